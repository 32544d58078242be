<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Timing\Verdict;
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
use Periplus\Core\Session\Drill\Rungs;
use Periplus\Core\Session\Drill\Stretch;

use function Periplus\Core\Language\t;

/** A combination that grows strike by strike, then starts again. */
final readonly class Ladder implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'ladder',
            title: t('Ladder'),
            about: t(
                'The first strike, the first two, up to the whole, then again; on the clock or at the athlete’s '
                    .'own pace.',
            ),
            combinations: [1, 1],
            parameters: [Parameter::whole('rung', t('A rung (0: own pace)'), 0, 0, 300, 'seconds')],
            examples: [
                new DrillExample(['1 2 3'], [], 60, [[0, 'rung', '1'], [0, 'rung', '1 2'], [0, 'rung', '1 2 3']], 3),
                new DrillExample(
                    ['1 2 slip-lead 3 exit'],
                    ['rung' => 20],
                    60,
                    [[0, 'rung', '1'], [20000, 'rung', '1 2'], [40000, 'rung', '1 2 slip-lead 3 exit']],
                    3,
                ),
            ],
            order: 30,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $rungs = Rungs::cut($run->chain());
        foreach (\array_slice($rungs, 0, -1) as $index => $rung) {
            if (Verdict::Breaks === $run->check($rung)->linkVerdict) {
                yield new DrillProblem(
                    t('Rung {index}, {write}, breaks by itself.', index: $index + 1, write: $run->write($rung)),
                    'combinations[0]',
                    false,
                );
            }
        }
        $rung = $run->parameters->whole('rung');
        if ($rung > 0 && $rung * \count($rungs) > $run->seconds) {
            yield new DrillProblem(
                t(
                    '{count} rungs of {rung} s take {rung2} s; there are {seconds} s, so the whole is never reached. '
                        .'Shorten the rungs to {seconds2} s.',
                    count: \count($rungs),
                    rung: $rung,
                    rung2: $rung * \count($rungs),
                    seconds: $run->seconds,
                    seconds2: max(1, intdiv($run->seconds, \count($rungs))),
                ),
                'parameters.rung',
                false,
                DrillFix::parameter(
                    t('Rungs of {seconds} s', seconds: max(1, intdiv($run->seconds, \count($rungs)))),
                    'rung',
                    max(1, intdiv($run->seconds, \count($rungs))),
                ),
            );
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        return $run->show(0, CueKind::Show, $run->chain(), before: t('ladder up to'));
    }

    public function cues(DrillRun $run): iterable
    {
        $rungs = Rungs::cut($run->chain());
        $ms = 1000 * $run->parameters->whole('rung');
        if (0 === $ms) {
            return array_map(static fn (Chain $rung): DrillCue => $run->show(0, CueKind::Rung, $rung), $rungs);
        }

        return array_map(
            static fn (Stretch $one): DrillCue => $run->show($one->fromMs, CueKind::Rung, $one->of),
            $run->stretches($ms, $rungs),
        );
    }

    public function portions(DrillRun $run): iterable
    {
        $rungs = Rungs::cut($run->chain());
        $ms = 1000 * $run->parameters->whole('rung');
        if ($ms > 0) {
            return array_map(
                static fn (Stretch $one): Portion => Portion::repeated($one->of, $one->ms, $run->stance),
                $run->stretches($ms, $rungs),
            );
        }
        // At the athlete's own pace each rung is thrown equally often.
        $once = array_sum(array_map($run->period(...), $rungs));

        return array_map(
            static fn (Chain $rung): Portion => Portion::repeated(
                $rung,
                ($run->ms() * $run->period($rung)) / $once,
                $run->stance,
            ),
            $rungs,
        );
    }
}
