<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;

use function Periplus\Core\Language\t;

/** An exercise for a time or a count. */
final readonly class ExerciseDrill implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'exercise',
            title: t('Exercise'),
            about: t('Squats, skipping, mobility and the like, for a time or a count.'),
            combinations: [0, 0],
            parameters: [
                Parameter::exercise('exercise', t('Exercise'), 'jogging'),
                Parameter::whole('count', t('Repetitions (0: for the time)'), 0, 0, 200, 'repetitions'),
            ],
            examples: [
                new DrillExample([], [], 60, [[0, 'exercise', t('Jogging')]], 1),
                new DrillExample([], ['exercise' => 'squats', 'count' => 20], 60, [[0, 'exercise', '20 squats']], 1),
            ],
            order: 170,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return null === $run->exercise($run->parameters->text('exercise'))
            ? [
                new DrillProblem(
                    t(
                        'The gym has no exercise "{parameters}". Choose another, or add it to the list.',
                        parameters: mb_strimwidth($run->parameters->text('exercise'), 0, 40, '…'),
                    ),
                    'parameters.exercise',
                ),
            ]
            : [];
    }

    public function cues(DrillRun $run): iterable
    {
        $name = $run->exercise($run->parameters->text('exercise'))->name ?? t('Exercise');
        $count = $run->parameters->whole('count');

        return [$run->cue(0, CueKind::Exercise, 0 === $count ? $name : $count.' '.lcfirst($name))];
    }

    public function portions(DrillRun $run): iterable
    {
        return [];
    }
}
