<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

/** By what a list of combinations can be sorted. */
enum Sort: string
{
    case Name = 'name';
    case Level = 'level';
    case Length = 'length';
    case Updated = 'updated';
    case Drilled = 'drilled';

    /** On the row c. */
    public function column(): string
    {
        return match ($this) {
            self::Name => 'c.name',
            self::Level => 'c.level',
            self::Length => 'c.length_ms',
            self::Updated => 'c.updated_at',
            self::Drilled => 'c.drilled_at',
        };
    }

    /** The index that holds those in use in this order. */
    public function index(): string
    {
        return 'by_'.$this->value;
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_column(self::cases(), 'value');
    }
}
