<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Plan\PlanCheck;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Log\Attendance;
use Periplus\Core\Session\Log\Coverage;
use Periplus\Core\Session\Log\Drilled;
use Periplus\Core\Session\Log\DrilledCounter;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Technique\Stance;

/**
 * What was drilled, as it is stored and as it is counted.
 *
 * @phpstan-import-type DrilledRow from LogEntry
 */
final readonly class DrilledRows
{
    public function __construct(private Reader $reader, private PlanCheck $check, private CombinationTable $combinations)
    {
    }

    /**
     * @param list<Drilled> $drilled
     *
     * @return list<DrilledRow>
     */
    public function of(array $drilled): array
    {
        return array_map(static fn (Drilled $one): array => [
            'combination_id' => $one->id,
            'name' => mb_strimwidth($one->name, 0, 120, '…'),
            'notation' => self::notation($one->combination),
            'stance' => ($one->combination->stance ?? Stance::Orthodox)->value,
            'thrown' => self::notation($one->thrown),
            'medium' => $one->medium->value,
            'level' => $one->level,
            'ms' => (int) round($one->ms),
            'other_ms' => (int) round($one->otherMs),
            'repetitions' => round($one->repetitions, 3),
            'strikes' => round($one->strikes, 3),
        ], $drilled);
    }

    /**
     * @param list<DrilledRow> $rows
     *
     * @return array<string, float> {@see \Periplus\Core\Session\Load\Load::figures}
     */
    public function figures(array $rows, Attendance $attendance): array
    {
        return DrilledCounter::load(array_map($this->drilled(...), $rows), $attendance)->figures();
    }

    /**
     * How long each combination was worked on: by everybody, and by the level that did it longest. What a level did beside
     * the others took the same time.
     *
     * @param list<DrilledRow> $rows
     *
     * @return array<int, array{ms: int, southpaw_ms: int}> by the id of the combination; of the ms those in the southpaw stance
     */
    public static function byCombination(array $rows, Attendance $attendance): array
    {
        $southpaw = $attendance->ofStance(Stance::Southpaw);
        $times = [];
        foreach ($rows as $row) {
            if (null !== $row['combination_id']) {
                $level = $row['level'] ?? 0;
                [$ms, $other] = $times[$row['combination_id']][$level] ?? [0, 0.0];
                $times[$row['combination_id']][$level] = [$ms + $row['ms'], $other + $southpaw * ($row['ms'] - $row['other_ms']) + (1.0 - $southpaw) * $row['other_ms']];
            }
        }

        return array_map(static function (array $levels): array {
            $everybody = $levels[0] ?? [0, 0.0];
            unset($levels[0]);
            $longest = [] === $levels ? [0, 0.0] : max(array_values($levels));

            return ['ms' => $everybody[0] + $longest[0], 'southpaw_ms' => (int) round($everybody[1] + $longest[1])];
        }, $times);
    }

    /**
     * What a coach says was drilled: each combination over and over for so many minutes, as a plan would have it.
     *
     * @param list<array{combination: int, minutes: float|int, stance?: string}> $said
     *
     * @return array{list<Drilled>, int} with the work in ms
     */
    public function byHand(array $said, ?Course $course): array
    {
        $found = [];
        foreach ($this->combinations->summaries(array_column($said, 'combination')) as $summary) {
            $found[$summary->id] = $summary;
        }
        $rounds = [];
        foreach ($said as $at => $one) {
            $summary = $found[$one['combination']] ?? throw new ApiProblem(422, 'invalid', 'There is no such combination in the library.', ['violations' => [['field' => "combinations[$at].combination", 'message' => 'There is no such combination in the library.']]]);
            $written = ['chain' => $summary->content->notation, 'stance' => $summary->content->stance->value, 'name' => $summary->content->name, 'id' => $summary->id, 'version' => $summary->version];
            $stances = match ($one['stance'] ?? 'own') {
                'both' => ['own', 'other'],
                'other' => ['other'],
                default => ['own'],
            };
            foreach ($stances as $stance) {
                $rounds[] = ['seconds' => max(5, (int) round(60 * $one['minutes'] / \count($stances))), 'rest' => 0, 'stance' => $stance, 'sets' => [['drill' => 'repeat', 'combinations' => [$written]]]];
            }
        }
        $content = $course?->content;
        $reader = $this->check->reader();
        $plan = $reader->read(['numbering' => 'parity', 'rules' => $content['rules'] ?? 'all-limbs', 'medium' => $content['medium'] ?? 'bag', 'level' => null === $content ? 2 : max($content['levels']), 'blocks' => [] === $rounds ? [] : [['kind' => 'rounds', 'rounds' => $rounds]]])->plan;
        $programme = ProgrammeBuilder::build($plan, $reader->advice);
        $whole = Coverage::whole($programme);

        return [DrilledCounter::of($programme, $whole), DrilledCounter::workMs($programme, $whole)];
    }

    /** @param DrilledRow $row */
    private function drilled(array $row): Drilled
    {
        $stance = Stance::from($row['stance']);

        return new Drilled($this->chain($row['notation'], $stance), $this->chain($row['thrown'], $stance), $row['name'], $row['combination_id'], $row['ms'], $row['other_ms'], $row['repetitions'], $row['strikes'], Medium::from($row['medium']), $row['level']);
    }

    private function chain(?string $notation, Stance $stance): ?ChainInStance
    {
        $chain = null === $notation ? null : $this->reader->read($notation, Numbering::named('parity'), $stance)->chain;

        return null === $chain ? null : new ChainInStance($chain, $stance);
    }

    private static function notation(?ChainInStance $chain): ?string
    {
        return null === $chain ? null : (new Writer(Numbering::named('parity')))->write($chain);
    }
}
