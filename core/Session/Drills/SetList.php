<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillFix;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Drill\Stretch;

use function Periplus\Core\Language\t;

/** Several combinations in one stretch of work, each announced beforehand. */
final readonly class SetList implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'set-list',
            title: t('Set list'),
            about: t('Two to five combinations, one after the other; the next one is shown before the change.'),
            combinations: [2, 5],
            parameters: [
                Parameter::wholes('seconds', t('Seconds each'), [], 5, 600, 'seconds'),
                Parameter::whole(
                    'announce',
                    t('Announced before'),
                    (int) SessionValues::builtIn()->value('announce'),
                    5,
                    10,
                    'seconds',
                ),
            ],
            examples: [
                new DrillExample(
                    ['1 2', '1 2 3', '1 6'],
                    ['seconds' => [30, 30, 60]],
                    120,
                    [
                        [0, 'show', '1 2'],
                        [22000, 'next', 'Next: 1 2 3'],
                        [30000, 'change', '1 2 3'],
                        [52000, 'next', 'Next: 1 6'],
                        [60000, 'change', '1 6'],
                    ],
                    5,
                ),
                new DrillExample(
                    ['1 2', '3 2'],
                    ['announce' => 5],
                    60,
                    [[0, 'show', '1 2'], [25000, 'next', 'Next: 3 2'], [30000, 'change', '3 2']],
                    3,
                ),
            ],
            order: 20,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $seconds = $run->parameters->wholes('seconds');
        if ([] === $seconds) {
            return 0 === $run->seconds % \count($run->combinations)
                ? []
                : [
                    new DrillProblem(
                        t(
                            '{seconds} s cannot be shared equally by {count} combinations in whole seconds. Say how '
                                .'long each takes.',
                            seconds: $run->seconds,
                            count: \count($run->combinations),
                        ),
                        'parameters.seconds',
                        fix: DrillFix::length(
                            t('Make the set {seconds} s', seconds: $this->even($run)),
                            $this->even($run),
                        ),
                    ),
                ];
        }
        if (\count($seconds) !== \count($run->combinations)) {
            return [
                new DrillProblem(
                    t(
                        '{count} times are given for {count2} combinations. Give one each, or none to share equally.',
                        count: \count($seconds),
                        count2: \count($run->combinations),
                    ),
                    'parameters.seconds',
                    fix: DrillFix::parameter(t('Share the time equally'), 'seconds', []),
                ),
            ];
        }
        $sum = array_sum($seconds);

        return 0 === $run->seconds % $sum
            ? []
            : [
                new DrillProblem(
                    t(
                        'The combinations take {sum} s together, which does not fill {seconds} s of work. Change the '
                            .'seconds, or the length of the set to {seconds2} s.',
                        sum: $sum,
                        seconds: $run->seconds,
                        seconds2: max(1, intdiv($run->seconds, $sum)) * $sum,
                    ),
                    'parameters.seconds',
                    fix: DrillFix::parameter(t('Share the time equally'), 'seconds', []),
                ),
            ];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $others = array_map($run->write(...), \array_slice($run->chains(), 1));

        return $run->show(
            0,
            CueKind::Show,
            $run->chain(),
            after: t('then {others}', others: implode(t(', then '), $others)),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        $stretches = iterator_to_array($this->stretches($run), false);
        $announce = 1000 * $run->parameters->whole('announce');
        foreach ($stretches as $index => $one) {
            yield $run->show($one->fromMs, 0 === $index ? CueKind::Show : CueKind::Change, $one->of);
            $next = $stretches[$index + 1] ?? null;
            if (null !== $next) {
                yield $run->show(0, CueKind::Change, $next->of)
                    ->announced(atMs: max($one->fromMs, $next->fromMs - $announce));
            }
        }
    }

    public function portions(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            yield Portion::repeated($one->of, $one->ms, $run->stance);
        }
    }

    /** Returns the longest length within the work that the combinations share equally, in s. */
    private function even(DrillRun $run): int
    {
        return max(1, intdiv($run->seconds, \count($run->combinations))) * \count($run->combinations);
    }

    /** @return iterable<Stretch<Chain>> what is thrown; the list begins again until the work is filled */
    private function stretches(DrillRun $run): iterable
    {
        $chains = $run->chains();
        $seconds = $run->parameters->wholes('seconds');
        for ($from = $index = 0; $from < $run->ms(); ++$index) {
            $ms =
                [] === $seconds
                    ? intdiv($run->ms(), \count($chains))
                    : 1000 * ($seconds[$index % \count($seconds)] ?? 0);
            $ms = max(1000, min($ms, $run->ms() - $from));
            yield new Stretch($from, $ms, $chains[$index % \count($chains)]);
            $from += $ms;
        }
    }
}
