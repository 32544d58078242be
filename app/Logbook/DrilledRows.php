<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Plan\PlanCheck;
use Periplus\App\Store\Invalid;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Load\Figures;
use Periplus\Core\Session\Log\Attendance;
use Periplus\Core\Session\Log\Coverage;
use Periplus\Core\Session\Log\Drilled;
use Periplus\Core\Session\Log\DrilledCounter;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** Converts the work on combinations between its stored form and the form for counting. */
final readonly class DrilledRows
{
    public function __construct(
        private Reader $reader,
        private PlanCheck $check,
        private CombinationTable $combinations,
    ) {
    }

    /**
     * @param list<Drilled> $drilled
     *
     * @return list<DrilledRow>
     */
    public function rows(array $drilled): array
    {
        return array_map(static fn (Drilled $one): DrilledRow => new DrilledRow(
            combination: $one->id,
            name: mb_strimwidth($one->name, 0, 120, '…'),
            notation: self::notation($one->combination),
            stance: $one->combination->stance ?? Stance::Orthodox,
            thrown: self::notation($one->thrown),
            medium: $one->medium,
            level: $one->level,
            ms: (int) round($one->ms),
            otherMs: (int) round($one->otherMs),
            repetitions: round($one->repetitions, 3),
            strikes: round($one->strikes, 3),
        ), $drilled);
    }

    /**
     * @param list<DrilledRow> $rows
     */
    public function figures(array $rows, Attendance $attendance): Figures
    {
        return Figures::ofLoad(DrilledCounter::load(array_map($this->drilled(...), $rows), $attendance));
    }

    /**
     * Returns how long each combination was drilled: by everybody, and by the level that did it longest, because the
     * levels work at the same time.
     *
     * @param list<DrilledRow> $rows
     *
     * @return array<int, CombinationTime> by the id of the combination
     */
    public static function byCombination(array $rows, Attendance $attendance): array
    {
        $southpaw = $attendance->ofStance(Stance::Southpaw);
        $times = [];
        foreach ($rows as $row) {
            if (null !== $row->combination) {
                $level = $row->level ?? 0;
                [$ms, $other] = $times[$row->combination][$level] ?? [0, 0.0];
                $times[$row->combination][$level] = [
                    $ms + $row->ms,
                    $other + $southpaw * ($row->ms - $row->otherMs) + (1.0 - $southpaw) * $row->otherMs,
                ];
            }
        }

        return array_map(static function (array $levels): CombinationTime {
            $everybody = $levels[0] ?? [0, 0.0];
            unset($levels[0]);
            $longest = [] === $levels ? [0, 0.0] : max(array_values($levels));

            return new CombinationTime($everybody[0] + $longest[0], (int) round($everybody[1] + $longest[1]));
        }, $times);
    }

    /**
     * Returns the work that a coach enters by hand: each combination repeated for so many minutes, as in a plan.
     *
     * @param list<array{combination: int, minutes: float|int, stance?: string}> $said
     */
    public function byHand(array $said, ?Course $course): WorkByHand
    {
        $found = [];
        foreach ($this->combinations->summaries(array_column($said, 'combination')) as $summary) {
            $found[$summary->id] = $summary;
        }
        $rounds = [];
        foreach ($said as $index => $one) {
            $summary =
                $found[$one['combination']]
                ?? throw Invalid::field("combinations[$index].combination", t('There is no such combination in the '
                    .'library.'));
            $written = [
                'chain' => $summary->content->notation,
                'stance' => $summary->content->stance->value,
                'name' => $summary->content->name,
                'id' => $summary->id,
                'version' => $summary->version,
            ];
            $stances = match ($one['stance'] ?? 'own') {
                'both' => ['own', 'other'],
                'other' => ['other'],
                default => ['own'],
            };
            foreach ($stances as $stance) {
                $rounds[] = [
                    'seconds' => max(5, (int) round((60 * $one['minutes']) / \count($stances))),
                    'rest' => 0,
                    'stance' => $stance,
                    'sets' => [['drill' => 'repeat', 'combinations' => [$written]]],
                ];
            }
        }
        $content = $course?->content();
        $reader = $this->check->reader();
        $plan = $reader->read([
            'numbering' => 'parity',
            'rules' => $content->rules ?? 'all-limbs',
            'medium' => $content?->medium->value ?? 'bag',
            'level' => $content?->hardestLevel() ?? 2,
            'blocks' => [] === $rounds ? [] : [['kind' => 'rounds', 'rounds' => $rounds]],
        ])->plan;

        return $this->whole(ProgrammeBuilder::build($plan, $reader->advice));
    }

    /**
     * Returns the work of a planned session, all of it.
     *
     * @param array<mixed> $content a written plan
     */
    public function asPlanned(array $content): WorkByHand
    {
        $reader = $this->check->reader();

        return $this->whole(ProgrammeBuilder::build($reader->read($content)->plan, $reader->advice));
    }

    private function whole(Programme $programme): WorkByHand
    {
        $whole = Coverage::whole($programme);

        return new WorkByHand(
            DrilledCounter::drilled($programme, $whole),
            DrilledCounter::workMs($programme, $whole),
            $programme->lengthMs,
        );
    }

    private function drilled(DrilledRow $row): Drilled
    {
        return new Drilled(
            combination: $this->chain($row->notation, $row->stance),
            thrown: $this->chain($row->thrown, $row->stance),
            name: $row->name,
            id: $row->combination,
            ms: $row->ms,
            otherMs: $row->otherMs,
            repetitions: $row->repetitions,
            strikes: $row->strikes,
            medium: $row->medium,
            level: $row->level,
        );
    }

    private function chain(?string $notation, Stance $stance): ?ChainInStance
    {
        return null === $notation ? null : $this->reader->readStored($notation, $stance);
    }

    private static function notation(?ChainInStance $chain): ?string
    {
        return null === $chain ? null : (new Writer(Numbering::named('parity')))->write($chain);
    }
}
