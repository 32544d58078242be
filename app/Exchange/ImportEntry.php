<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/** A combination from a file before it is read, or what is wrong at that place of the file. */
final readonly class ImportEntry
{
    /**
     * @param int $line where it begins in the file, from 1
     * @param string $source its text in the file, shortened
     * @param array{
     *     name: string,
     *     chain: string,
     *     numbering: string,
     *     stance: string,
     *     rules: string,
     *     themes: list<string>,
     *     level: int|null,
     *     note: string,
     *     archived: bool,
     * }|null $fields
     * @param list<string> $stated which of its fields the file states: name, chain, stance, rules, themes, level, note;
     *                             the others are what was given for all, and change nothing that is there
     * @param bool $isRemark about something else than a combination
     */
    public function __construct(
        public int $line,
        public string $source,
        public ?array $fields,
        public string $problem = '',
        public array $stated = ['name', 'chain'],
        public bool $isRemark = false,
    ) {
    }

    /** Returns the part of the entry that is stored until it is read; its problem has a column of its own. */
    public function stored(): UnreadEntry
    {
        return new UnreadEntry($this->line, $this->source, $this->fields, $this->stated, $this->isRemark);
    }

    /** @param array<string, mixed> $stored the value as JSON has it */
    public static function of(array $stored, string $problem): self
    {
        /**
         * @var array{
         *     line: int,
         *     source: string,
         *     fields: array{
         *         name: string,
         *         chain: string,
         *         numbering: string,
         *         stance: string,
         *         rules: string,
         *         themes: list<string>,
         *         level: int|null,
         *         note: string,
         *         archived: bool,
         *     }|null,
         *     stated: list<string>,
         *     isRemark?: bool,
         * } $stored
         */
        return new self(
            $stored['line'],
            $stored['source'],
            $stored['fields'],
            $problem,
            $stored['stated'],
            $stored['isRemark'] ?? false,
        );
    }
}
