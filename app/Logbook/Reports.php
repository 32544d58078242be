<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Measure\KeptLink;
use Periplus\App\Measure\KeptMeasurement;
use Periplus\App\Measure\Measurements;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Measure\MeasuredVerdict;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Words;
use Periplus\Core\Session\Log\LoadFindings;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Strike;

use function Periplus\Core\Language\t;

/** Computes the logbook reports. */
final readonly class Reports
{
    public const PAGE_SIZE = 50;
    /** Maximum number of links listed as trouble. */
    private const MAX_LINKS = 60;

    public function __construct(
        private Connection $connection,
        private Weeks $weeks,
        private CombinationTable $combinations,
        private LineRenderer $lines,
        private Measurements $measurements,
        private GymHouseRules $rules,
        private Check $check,
        private Reader $reader,
    ) {
    }

    /**
     * Returns how often and how long each combination was drilled.
     *
     * @return array<string, mixed>
     */
    public function drilled(
        Period $period,
        ?int $course,
        string $sort,
        string $direction,
        int $page,
        Numbering $numbering,
    ): array {
        $column =
            [
                'last' => 'last',
                'times' => 'times',
                'minutes' => 'ms',
                'southpaw' => 'southpaw_ms / ms',
                'fell' => 'fell',
            ][$sort] ?? 'last';
        $way = 'up' === $direction ? 'ASC' : 'DESC';
        [$where, $values] = self::where($period, $course);
        $skip = ($page - 1) * self::PAGE_SIZE;
        /**
         * @var list<array{
         *     combination_id: int|string,
         *     last: string,
         *     times: int|string,
         *     ms: int|string,
         *     southpaw_ms: int|string,
         *     fell: int|string,
         *     total: int|string,
         * }> $rows
         */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT g.*, COUNT(*) OVER () AS total '
                .'FROM (SELECT combination_id, MAX(day) AS last, COUNT(*) AS times, SUM(ms) AS ms, SUM(southpaw_ms) '
                .'AS southpaw_ms, SUM(fell > 0) AS fell FROM log_combination WHERE '
                .$where
                ." GROUP BY combination_id) g ORDER BY $column $way, combination_id LIMIT "
                .self::PAGE_SIZE
                ." OFFSET $skip",
            $values,
        );
        $summaries = $this->summaries(array_map(static fn (array $row): int => (int) $row['combination_id'], $rows));

        return [
            'rows' => array_map(
                fn (array $row): array => [
                    'combination' => $this->brief(
                        $summaries[(int) $row['combination_id']] ?? null,
                        (int) $row['combination_id'],
                        $numbering,
                    ),
                    'last' => $row['last'],
                    'times' => (int) $row['times'],
                    'ms' => (int) $row['ms'],
                    'southpawMs' => (int) $row['southpaw_ms'],
                    'fell' => (int) $row['fell'],
                ],
                $rows,
            ),
            'total' => (int) ($rows[0]['total'] ?? 0),
            'page' => $page,
            'size' => self::PAGE_SIZE,
            'never' => $this->combinations->count(['c.archived_at IS NULL AND c.drilled_at IS NULL', []]),
            'minutes' => $this->byWeek($period, $course),
        ];
    }

    /**
     * Returns the strikes thrown, by week and in total.
     *
     * @return array<string, mixed>
     */
    public function load(Period $period, ?int $course): array
    {
        $known = $this->weeks->between($period->from, $period->to, $course);
        $weeks = [];
        $sum = [];
        foreach ($period->weeks() as $week) {
            $row = $known[$week] ?? new SessionSum();
            $weeks[] = [
                'week' => $week,
                'sessions' => $row->sessions,
                'workMs' => $row->workMs,
                ...self::figures($row->figures),
                'strikesThrown' => (object) self::among(
                    $row->figures,
                    'strike',
                    array_keys(Catalogue::builtIn()->strikes),
                    true,
                ),
            ];
            foreach ($row->figures as $name => $value) {
                $sum[$name] = ($sum[$name] ?? 0.0) + $value;
            }
        }

        return [
            'weeks' => $weeks,
            'sum' => [
                'sessions' => array_sum(array_column($weeks, 'sessions')),
                'workMs' => array_sum(array_column($weeks, 'workMs')),
                ...self::figures($sum),
            ],
            'weapons' => array_values(
                array_map(
                    static fn (Strike $strike): array => [
                        'id' => $strike->id,
                        'name' => $strike->name,
                        'family' => $strike->family,
                        'sum' => round($sum['strike '.$strike->id] ?? 0.0, 1),
                    ],
                    Catalogue::builtIn()->strikes,
                ),
            ),
            'findings' => LoadFindings::find($sum),
        ];
    }

    /**
     * Returns the links that fell apart or were measured slower, compared with the check.
     *
     * @return array<string, mixed>
     */
    public function links(Period $period, ?int $course, Numbering $numbering): array
    {
        [$where, $values] = self::where($period, $course);
        // Grouped by a digest of the chain: grouping by whole chains would use temporary tables on disk.
        /** @var list<array{combination_id: int|string, chain: int|string, link: int|string, fell: int|string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT combination_id, CRC32(notation) AS chain, link, COUNT(*) AS fell FROM log_fallen_link WHERE '
                .$where
                .' AND combination_id IS NOT NULL GROUP BY combination_id, chain, link',
            $values,
        );
        $troubles = [];
        foreach ($rows as $row) {
            $troubles[(int) $row['combination_id']][(int) $row['chain']][(int) $row['link']] = (int) $row['fell'];
        }
        $measured = $this->measurements->newest();
        $ids = array_values(array_unique([...array_keys($troubles), ...array_keys($measured)]));
        $times = $this->times($ids, $where, $values);
        $links = [];
        foreach ($this->combinations->summaries($ids) as $summary) {
            if (null === $summary->archivedAt) {
                array_push(
                    $links,
                    ...$this->linksOf(
                        $summary,
                        $troubles[$summary->id] ?? [],
                        $measured[$summary->id] ?? [],
                        $times[$summary->id] ?? 0,
                    ),
                );
            }
        }
        // Contradictions of the check first, then the worst.
        usort(
            $links,
            static fn (array $one, array $other): int => [$other['disagrees'], $other['weight']] <=> [
                $one['disagrees'],
                $one['weight'],
            ],
        );

        return [
            'links' => array_map(
                fn (array $link): array => [
                    'combination' => $this->brief($link['summary'], $link['summary']->id, $numbering),
                    ...array_diff_key($link, ['weight' => 0, 'summary' => 0]),
                ],
                \array_slice($links, 0, self::MAX_LINKS),
            ),
        ];
    }

    /**
     * @param array<int, array<int, int>> $fallen how often, by the digest of the chain and the place of the link
     * @param list<KeptMeasurement> $measured
     *
     * @return list<array{summary: CombinationSummary, disagrees: bool, weight: float, ...}>
     */
    private function linksOf(CombinationSummary $summary, array $fallen, array $measured, int $times): array
    {
        $content = $summary->content;
        $inStance = $this->reader->readStored($content->notation, $content->stance);
        if (null === $inStance) {
            return [];
        }
        $result = $this->check->run($inStance, new CheckOptions($this->rules->named($content->rules)));
        $words = Words::byRole()->items($inStance);
        $links = [];
        foreach ($result->timing->links as $index => $link) {
            $fell = $fallen[crc32($content->notation)][$index] ?? 0;
            $measures = array_values(array_filter(
                array_merge(...array_map(static fn (KeptMeasurement $one): array => $one->links(), $measured)),
                static fn (KeptLink $one): bool => $one->covers($index) && null !== $one->median,
            ));
            $slower = \count(array_filter(
                $measures,
                static fn (KeptLink $one): bool => MeasuredVerdict::Stops === $one->verdict,
            ));
            $faster = \count(array_filter(
                $measures,
                static fn (KeptLink $one): bool => MeasuredVerdict::Faster === $one->verdict,
            ));
            if (0 === $fell + $slower + $faster) {
                continue;
            }
            $flows = 'flows' === $link->verdict->value;
            $disagrees = ($flows && ($slower >= 2 || $fell >= 2)) || (!$flows && $faster >= 2);
            $links[] = [
                'summary' => $summary,
                'link' => $index,
                'from' => $words[$index],
                'to' => $words[$index + 1],
                'fell' => $fell,
                'times' => $times,
                'measured' => [
                    'count' => \count($measures),
                    'slower' => $slower,
                    'faster' => $faster,
                    'median' => [] === $measures
                            ? null
                            : round(array_sum(array_column($measures, 'median')) / \count($measures), 1),
                    'computed' => [] === $measures
                            ? null
                            : round(array_sum(array_column($measures, 'computed')) / \count($measures), 1),
                ],
                'check' => [
                    'verdict' => $link->verdict->value,
                    'wait' => round($link->wait, 1),
                    'reason' => $flows ? '' : $result->timing->reason($link),
                ],
                'disagrees' => $disagrees,
                'says' => self::says($flows, $fell, $slower, $faster),
                'rules' => $content->rules,
                'of' => self::numbersOf($inStance->chain->items[$index + 1]->key()),
                'weight' => $fell + $slower + 0.5 * $faster,
            ];
        }

        return $links;
    }

    private static function says(bool $flows, int $fell, int $slower, int $faster): string
    {
        return match (true) {
            $flows && $fell + $slower > 0 => t('The check says that it flows. Where several athletes stop here, a '
                .'number of the model or a school may not be theirs.'),
            !$flows && $fell + $slower > 0 => t('The check says so, too: mend the chain, or teach the wait.'),
            !$flows && $faster > 0 => t('The check expects a wait that athletes do not need.'),
            default => t('Faster than computed, and it flows.'),
        };
    }

    /** Returns the key of the model's numbers behind that link: the strike or move that comes next. */
    private static function numbersOf(string $key): string
    {
        preg_match('/^[+(]*([a-z-]+)/', $key, $found);
        $id = $found[1] ?? '';

        return isset(Catalogue::builtIn()->strikes[$id]) || isset(Catalogue::builtIn()->moves[$id]) ? $id : 'body';
    }

    /**
     * @param list<int> $ids
     * @param list<mixed> $values
     *
     * @return array<int, int> in how many sessions each was drilled
     */
    private function times(array $ids, string $where, array $values): array
    {
        if ([] === $ids) {
            return [];
        }
        /** @var array<int, int|string> $rows */
        $rows = $this->connection->fetchAllKeyValue(
            'SELECT combination_id, COUNT(*) FROM log_combination WHERE '
                .$where
                .' AND combination_id IN ('
                .implode(', ', $ids)
                .') GROUP BY combination_id',
            $values,
        );

        return array_map(intval(...), $rows);
    }

    /** @return list<array{week: string, workMs: int, sessions: int}> */
    private function byWeek(Period $period, ?int $course): array
    {
        $known = $this->weeks->between($period->from, $period->to, $course, false);

        return array_map(
            static fn (string $week): array => [
                'week' => $week,
                'workMs' => $known[$week]->workMs ?? 0,
                'sessions' => $known[$week]->sessions ?? 0,
            ],
            $period->weeks(),
        );
    }

    /**
     * @param array<string, float> $sums
     *
     * @return array<string, mixed>
     */
    public static function figures(array $sums): array
    {
        return [
            'strikes' => round($sums['strikes'] ?? 0.0, 1),
            'repetitions' => round($sums['repetitions'] ?? 0.0, 1),
            'free' => round($sums['free'] ?? 0.0, 1),
            'weapons' => (object) self::among($sums, 'weapon', self::families()),
            'sides' => self::among($sums, 'side', ['left', 'right']),
            'limbs' => self::among($sums, 'limb', ['hand', 'elbow', 'leg', 'knee']),
            'targets' => self::among($sums, 'target', ['head', 'body', 'leg']),
            'stanceMs' => array_map(intval(...), self::among($sums, 'stance', ['orthodox', 'southpaw'])),
            'openings' => round($sums['openings'] ?? 0.0, 1),
            'jabOpenings' => round($sums['openings jab'] ?? 0.0, 1),
        ];
    }

    /**
     * @param array<string, float> $sums
     * @param list<string> $names
     *
     * @return array<string, float> those of a kind, to a tenth
     */
    private static function among(array $sums, string $kind, array $names, bool $thrownAlone = false): array
    {
        $numbers = [];
        foreach ($names as $name) {
            $number = round($sums[$kind.' '.$name] ?? 0.0, 1);
            if ($number > 0 || !$thrownAlone) {
                $numbers[$name] = $number;
            }
        }

        return $numbers;
    }

    /** @return list<string> families of strikes in the order of the catalogue */
    public static function families(): array
    {
        $families = [];
        foreach (Catalogue::builtIn()->strikes as $strike) {
            $families[$strike->family] = true;
        }

        return array_keys($families);
    }

    /**
     * @return array{
     *     id: int,
     *     name: string,
     *     text: string,
     *     level: int,
     *     archived: bool,
     *     line: array<string, mixed>|null,
     * }
     */
    public function brief(?CombinationSummary $summary, int $id, Numbering $numbering): array
    {
        if (null === $summary) {
            return [
                'id' => $id,
                'name' => t('A combination that is gone'),
                'text' => '',
                'level' => 1,
                'archived' => true,
                'line' => null,
            ];
        }
        $drawn = $this->lines->render($summary->content, $numbering);

        return [
            'id' => $id,
            'name' => $summary->content->name,
            'text' => $drawn['text'],
            'level' => $summary->content->level,
            'archived' => null !== $summary->archivedAt,
            'line' => $drawn['line'],
        ];
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, CombinationSummary> by id
     */
    public function summaries(array $ids): array
    {
        $found = [];
        foreach ($this->combinations->summaries($ids) as $summary) {
            $found[$summary->id] = $summary;
        }

        return $found;
    }

    /** @return array{string, list<mixed>} */
    private static function where(Period $period, ?int $course): array
    {
        return null === $course
            ? ['counts = 1 AND day BETWEEN ? AND ?', [$period->from, $period->to]]
            : ['course_id = ? AND counts = 1 AND day BETWEEN ? AND ?', [$course, $period->from, $period->to]];
    }
}
