<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Http\PlainText;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Store\Invalid;
use Periplus\Core\Notation\NotesEntry;
use Periplus\Core\Notation\NotesKind;
use Periplus\Core\Notation\NotesPage;
use Periplus\Core\Notation\Reader;

use function Periplus\Core\Language\t;

/** Splits a page of notes into entries for the import. */
final readonly class NotesFile
{
    /** Maximum number of characters of a theme, see {@see \Periplus\App\Combination\SaveRequest}. */
    private const MAX_THEME = 40;
    private NotesPage $page;

    public function __construct(Reader $reader, private GymNumberings $numberings)
    {
        $this->page = new NotesPage($reader);
    }

    /**
     * @return list<ImportEntry>
     *
     * @throws Invalid when it is no text, or there is nothing in it
     */
    public function split(string $content, ImportOptions $given): array
    {
        if (!mb_check_encoding($content, 'UTF-8')) {
            throw new Invalid(t('This file is not UTF-8 text. Save it as UTF-8 and import it again.'));
        }
        $entries = $this->page->split(
            PlainText::lines($content),
            $this->numberings->named($given->numbering),
            $given->stance,
            ImportFile::MAX_ENTRIES,
        );
        if ([] === $entries) {
            throw new Invalid(t('There is nothing on this page.'));
        }

        return array_map(
            static fn (NotesEntry $entry): ImportEntry => new ImportEntry(
                $entry->line,
                ImportFile::short($entry->text),
                [
                    'name' => $entry->name,
                    'chain' => $entry->text,
                    'numbering' => $given->numbering,
                    'stance' => $given->stance->value,
                    'rules' => $given->rules ?? '',
                    'themes' => '' === $entry->heading ? [] : [mb_substr($entry->heading, 0, self::MAX_THEME)],
                    'level' => null,
                    'note' => '',
                    'archived' => false,
                ],
                stated: ['name', 'chain', ...'' === $entry->heading ? [] : ['themes']],
                isRemark: NotesKind::Remark === $entry->kind,
            ),
            $entries,
        );
    }
}
