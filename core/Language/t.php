<?php

declare(strict_types=1);

namespace Periplus\Core\Language;

/**
 * Returns a message in the language of the current request. The catalogues are made from the calls of this function.
 *
 * @param string $message in English, an ICU pattern such as 'The {strike} lands {count, plural, one {once} other {#
 *                        times}}.'
 */
function t(string $message, string|int|float ...$values): string
{
    /** @var array<string, string|int|float> $values placeholders are named arguments */
    return Languages::current()->translate($message, $values);
}
