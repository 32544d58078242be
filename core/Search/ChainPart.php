<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use function Periplus\Core\Language\t;

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
            self::Starts => t('starts with'),
            self::Ends => t('ends with'),
            self::Has => t('has'),
            self::No => t('has no'),
        };
    }
}
