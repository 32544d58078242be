<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

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

use function Periplus\Core\Language\t;

/** Technique, speed and power in turn. */
final readonly class Thirds implements Drill
{
    private const PHASES = ['technique', 'speed', 'power'];

    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'thirds',
            title: t('Thirds'),
            about: t('Technique, then speed, then power, each for as long, as often as it fits.'),
            combinations: [0, 1],
            parameters: [Parameter::whole('seconds', t('Each'), 30, 10, 180, 'seconds')],
            examples: [
                new DrillExample(
                    ['1 2 3'],
                    [],
                    180,
                    [
                        [0, 'show', '1 2 3'],
                        [0, 'phase', 'technique'],
                        [30000, 'phase', 'speed'],
                        [60000, 'phase', 'power'],
                        [90000, 'phase', 'technique'],
                    ],
                    7,
                ),
                new DrillExample(
                    [],
                    ['seconds' => 20],
                    60,
                    [[0, 'phase', 'technique'], [20000, 'phase', 'speed'], [40000, 'phase', 'power']],
                    3,
                ),
            ],
            order: 60,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $seconds = 3 * $run->parameters->whole('seconds');

        return 0 === $run->seconds % $seconds
            ? []
            : [
                new DrillProblem(
                    t(
                        'Three times {whole} s is {seconds} s, which does not fill {seconds2} s of work evenly; the '
                            .'last one is cut short.',
                        whole: $run->parameters->whole('seconds'),
                        seconds: $seconds,
                        seconds2: $run->seconds,
                    ),
                    'parameters.seconds',
                    false,
                    0 === $run->seconds % 3 && $run->seconds >= 30
                        ? DrillFix::parameter(
                            t('Each {seconds} s', seconds: intdiv($run->seconds, 3)),
                            'seconds',
                            min(180, intdiv($run->seconds, 3)),
                        )
                        : null,
                ),
            ];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $phases = implode(', ', self::PHASES);

        return [] === $run->combinations
            ? $run->cue(0, CueKind::Show, $phases)
            : $run->show(0, CueKind::Show, $run->chain(), after: $phases);
    }

    public function cues(DrillRun $run): iterable
    {
        $cues = [] === $run->combinations ? [] : [$run->show(0, CueKind::Show, $run->chain())];
        $ms = 1000 * $run->parameters->whole('seconds');
        for ($index = 0; $index * $ms < $run->ms(); ++$index) {
            $cues[] = $run->cue($index * $ms, CueKind::Phase, self::PHASES[$index % 3]);
        }

        return $cues;
    }

    public function portions(DrillRun $run): iterable
    {
        return [
            [] === $run->combinations
                ? Portion::free($run->ms(), $run->stance)
                : Portion::repeated($run->chain(), $run->ms(), $run->stance),
        ];
    }
}
