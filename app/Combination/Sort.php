<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

/** The orders in which combinations can be listed. */
enum Sort: string
{
    case Name = 'name';
    case Level = 'level';
    case Length = 'length';
    case Updated = 'updated';
    case Drilled = 'drilled';

    /** Returns the column of the row c. */
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

    /** Returns the index with this order for combinations in use. */
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
