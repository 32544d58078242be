<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

/** The part of a chain in which items are searched for. */
enum ChainPart: string
{
    case Starts = 'starts';
    case Ends = 'ends';
    case Has = 'has';
    case No = 'no';

    public function words(): string
    {
        return match ($this) {
            self::Starts => 'starts with',
            self::Ends => 'ends with',
            self::Has => 'has',
            self::No => 'has no',
        };
    }
}
