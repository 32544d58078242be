<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CountedPart;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillFix;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\OwnLength;
use Periplus\Core\Session\Drill\Pace;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\Stretch;

use function Periplus\Core\Language\t;

/** Chains that are thrown a number of times, and not for a time. */
final readonly class Repetitions implements Drill, OwnLength
{
    private const MAX_COUNT = 200;
    /** Before the first of a number that is counted aloud, in ms: who hears it has to hear first what is counted. */
    private const LEAD = 3000;
    /** Faster repetitions cannot be counted aloud, in ms. */
    private const FASTEST_ALOUD = 700;

    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'repetitions',
            title: t('Repetitions'),
            about: t(
                'Each chain a number of times: ten slow, then five fast; five, three, two, one; counted aloud or at '
                    .'the athlete’s own pace. The set lasts as long as they take.',
            ),
            combinations: [1, 6],
            parameters: [
                Parameter::wholes('counts', t('How many'), [10], 1, self::MAX_COUNT, 'repetitions'),
                Parameter::choices('paces', t('Pace of each number'), ['working'], [
                    'slow' => t('slow'),
                    'working' => t('as the set'),
                    'fast' => t('fast'),
                ]),
                Parameter::flag('aloud', t('Counted aloud'), false),
                Parameter::whole('breath', t('Breath between'), 5, 0, 120, 'seconds'),
            ],
            examples: [
                new DrillExample(
                    ['1 2'],
                    ['counts' => [2, 3], 'paces' => ['slow', 'fast'], 'aloud' => true, 'breath' => 5],
                    60,
                    [
                        [0, 'repetitions', '2 × 1 2, slow'],
                        [3000, 'aloud', '1'],
                        [7784, 'aloud', '2'],
                        [17568, 'repetitions', '3 × 1 2, fast'],
                    ],
                    4,
                ),
                new DrillExample(
                    ['11', '12'],
                    ['counts' => [10]],
                    120,
                    [[0, 'repetitions', '10 × 11'], [52600, 'repetitions', '10 × 12']],
                    2,
                ),
            ],
            order: 15,
        );
    }

    public function seconds(DrillRun $run): int
    {
        $parts = $this->stretches($run);
        $last = end($parts);

        return false === $last ? 0 : max(5, (int) ceil(($last->fromMs + $last->ms) / 1000));
    }

    public function problems(DrillRun $run): iterable
    {
        $seconds = $this->seconds($run);
        if ($seconds > $run->seconds) {
            yield new DrillProblem(
                t(
                    'These repetitions take about {seconds} s, and the set has {work} s: the last ones never come.',
                    seconds: $seconds,
                    work: $run->seconds,
                ),
                'seconds',
                false,
                DrillFix::length(t('Make the set {seconds} s', seconds: $seconds), $seconds),
            );
        }
        $paces = \count($run->parameters->choices('paces'));
        $counts = \count($run->parameters->wholes('counts'));
        if ($paces > 1 && $paces !== $counts) {
            yield new DrillProblem(
                t(
                    '{paces} paces are given for {counts} numbers. Give one each, or one for all.',
                    paces: $paces,
                    counts: $counts,
                ),
                'parameters.paces',
                false,
            );
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $parts = $this->parts($run);
        $numbers = array_map(
            self::number(...),
            \array_slice($parts, 0, max(1, \count($run->parameters->wholes('counts')))),
        );
        $others = array_map($run->write(...), \array_slice($run->chains(), 1));

        return $run->show(
            0,
            CueKind::Repetitions,
            $run->chain(),
            before: t('{numbers} times', numbers: implode(', ', $numbers)),
            after: [] === $others ? null : t('then {others}', others: implode(t(', then '), $others)),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            $part = $one->of;
            if ($one->fromMs >= $run->ms()) {
                return;
            }
            $written = t('{count} × {chain}', count: $part->count, chain: $run->write($part->chain));
            yield $part->run->show(
                $one->fromMs,
                CueKind::Repetitions,
                $part->chain,
                $written.('' === $part->pace ? '' : ', '.$part->pace),
                before: t('{number} ×', number: $part->count),
                after: '' === $part->pace ? null : $part->pace,
                short: self::number($part),
            );
            for ($number = 0; $this->isAloud($run, $part) && $number < $part->count; ++$number) {
                $atMs = $one->fromMs + self::LEAD + $number * $part->eachMs;
                if ($atMs < $run->ms()) {
                    yield $run->cue($atMs, CueKind::Aloud, (string) ($number + 1));
                }
            }
        }
    }

    public function portions(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            $done = max(0, min($one->ms, $run->ms() - $one->fromMs));
            if ($done > 0) {
                yield Portion::counted(
                    $one->of->chain,
                    $one->of->count * $done / max(1, $one->ms),
                    $done,
                    $run->stance,
                );
            }
        }
    }

    private function isAloud(DrillRun $run, CountedPart $part): bool
    {
        return $run->parameters->flag('aloud') && $part->eachMs >= self::FASTEST_ALOUD;
    }

    private static function number(CountedPart $part): string
    {
        return $part->count.('' === $part->pace ? '' : ' '.$part->pace);
    }

    /** @return list<CountedPart> every number of every chain, in their order */
    private function parts(DrillRun $run): array
    {
        $counts = $run->parameters->wholes('counts');
        $paces = $run->parameters->choices('paces');
        $parts = [];
        foreach ($run->chains() as $chain) {
            foreach ([] === $counts ? [1] : $counts as $index => $count) {
                $pace = Pace::from($paces[$index] ?? $paces[\count($paces) - 1] ?? Pace::Working->value);
                $paced = Pace::Working === $pace ? $run : $run->atTempo($pace->tempo());
                $length = $paced->length($chain);
                // Fast ones follow each other without a stop.
                $each = Pace::Fast === $pace ? max(1, $length) : $length + $run->gap();
                $parts[] = new CountedPart(
                    $chain,
                    $count,
                    $each,
                    Pace::Working === $pace ? '' : $pace->title(),
                    $paced,
                );
            }
        }

        return $parts;
    }

    /** @return list<Stretch<CountedPart>> with the breath between them */
    private function stretches(DrillRun $run): array
    {
        $from = 0;
        $stretches = [];
        foreach ($this->parts($run) as $part) {
            $ms = $part->ms() + ($this->isAloud($run, $part) ? self::LEAD : 0);
            $stretches[] = new Stretch($from, $ms, $part);
            $from += $ms + 1000 * $run->parameters->whole('breath');
        }

        return $stretches;
    }
}
