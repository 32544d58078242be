<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

use Periplus\App\Account\User;
use Periplus\App\Course\Courses;
use Periplus\App\Logbook\Logbook;
use Periplus\App\Logbook\LogEntries;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;

use function Periplus\Core\Language\t;

/** Imports a file of the logbook. Every entry has a unique key, so that importing a file twice adds nothing twice. */
final readonly class LogImport
{
    /** Maximum number of entries in a file. */
    private const MAX_ENTRIES = 20_000;
    /** Number of entries imported at a time. */
    private const STEP = 100;

    public function __construct(
        private LogParser $parser,
        private EntryReader $reader,
        private Logbook $logbook,
        private LogEntries $logEntries,
        private Courses $courses,
    ) {
    }

    /**
     * Imports the next entries of a file, all of them or none. Existing entries are skipped, so an interrupted import
     * can be repeated.
     *
     * @param int $from number of entries that were imported before
     *
     * @throws Refused when it cannot be read, with the place
     */
    public function import(string $text, User $editor, int $from = 0): ImportedPart
    {
        $entries = $this->parser->parse($text);
        $total = \count($entries);
        if ($total > self::MAX_ENTRIES) {
            throw new Invalid(t(
                'The file has {count} entries; at most {maxEntries} come in at a time. Split it.',
                count: number_format($total),
                maxEntries: number_format(self::MAX_ENTRIES),
            ));
        }
        $entries = \array_slice($entries, $from, self::STEP, true);
        $known = $this->logEntries->known(array_map(strval(...), array_keys($entries)));
        $courses = [];
        foreach ($this->courses->all() as $course) {
            $courses[$course->name()] = $course;
        }
        $new = [];
        foreach (array_diff_key($entries, $known) as $key => $entry) {
            $new[$key] = $this->reader->read($entry, $courses, t('Entry {key}', key: $key));
        }
        if ([] !== $new) {
            $this->logbook->import($new, $editor);
        }

        return new ImportedPart(
            \count($new),
            \count($known),
            $from + self::STEP < $total ? $from + self::STEP : null,
            $total,
        );
    }
}
