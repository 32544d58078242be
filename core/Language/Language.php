<?php

declare(strict_types=1);

namespace Periplus\Core\Language;

/** Translates the messages of the core and the server. */
interface Language
{
    /**
     * Returns the message in that language with its values filled in.
     *
     * @param string $message in English, an ICU pattern such as "{count, plural, one {# strike} other {# strikes}}"
     * @param array<string, string|int|float> $values by the name of their placeholder
     */
    public function translate(string $message, array $values): string;
}
