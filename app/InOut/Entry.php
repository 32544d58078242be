<?php

declare(strict_types=1);

namespace Periplus\App\InOut;

/** One combination as a file has it, not read yet; or what is wrong with that place of the file. */
final readonly class Entry
{
    /**
     * @param int $line where it begins in the file, from 1
     * @param string $source as it stands there, shortened
     * @param array{name: string, chain: string, scheme: string, stance: string, rules: string, themes: list<string>, level: int|null, note: string, archived: bool}|null $fields
     */
    public function __construct(public int $line, public string $source, public ?array $fields, public string $problem = '')
    {
    }
}
