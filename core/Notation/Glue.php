<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/**
 * Words that carry nothing: they are passed over wherever they stand. A gym adds its own; a word that means something
 * in a combination cannot be one.
 */
final readonly class Glue
{
    /** Maximum number of a gym's own words. */
    public const MAX_OWN = 200;
    /** Maximum length of one of them in characters. */
    public const MAX_LENGTH = 40;

    /** @var array<string, true> lower-case words and phrases */
    public array $phrases;

    /** @param list<string> $own those of the gym, beside the built-in ones */
    public function __construct(array $own = [])
    {
        $this->phrases = HearingData::read()->glue + array_fill_keys($own, true);
    }
}
