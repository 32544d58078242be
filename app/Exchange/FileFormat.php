<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/**
 * The formats for export and import of a library, and a page of notes, which is imported alone; docs/formats/library.md
 * describes them.
 */
enum FileFormat: string
{
    case Json = 'json';
    case Csv = 'csv';
    case Text = 'text';
    case Notes = 'notes';

    public function type(): string
    {
        return match ($this) {
            self::Json => 'application/json',
            self::Csv => 'text/csv; charset=utf-8',
            self::Text, self::Notes => 'text/plain; charset=utf-8',
        };
    }

    public function ending(): string
    {
        return self::Text === $this ? 'txt' : $this->value;
    }
}
