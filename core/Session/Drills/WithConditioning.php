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
use Periplus\Core\Session\Drill\Portion;

use function Periplus\Core\Language\t;

/** A few repetitions of an exercise, then a chain. */
final readonly class WithConditioning implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'conditioning',
            title: t('With conditioning'),
            about: t('A few repetitions of an exercise, then the chain, in turn.'),
            combinations: [1, 1],
            parameters: [
                Parameter::exercise('exercise', t('Exercise'), 'squats'),
                Parameter::whole('count', t('Repetitions'), 2, 1, 30, 'repetitions'),
            ],
            examples: [
                new DrillExample(['1 8'], [], 60, [[0, 'show', '2 squats, then 1 8']], 1),
                new DrillExample(
                    ['1 2 3'],
                    ['exercise' => 'jumps', 'count' => 2],
                    60,
                    [[0, 'show', '2 jumps, then 1 2 3']],
                    1,
                ),
            ],
            order: 160,
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
        $exercise = $run->exercise($run->parameters->text('exercise'));

        $before = t(
            '{whole} {exercise}',
            whole: $run->parameters->whole('count'),
            exercise: lcfirst($exercise->name ?? 'exercise'),
        );

        return [
            $run->show(
                0,
                CueKind::Show,
                $run->chain(),
                $before.', then '.$run->write($run->chain()),
                before: $before,
            ),
        ];
    }

    public function portions(DrillRun $run): iterable
    {
        $exercise = $run->exercise($run->parameters->text('exercise'));
        if (null === $exercise) {
            return [];
        }
        // The duration of one repetition of an exercise that is counted.
        $each = 1000 * $exercise->seconds / max(1, $exercise->count ?? $exercise->seconds);
        $once = $run->parameters->whole('count') * $each + $run->period($run->chain());

        return [Portion::counted($run->chain(), $run->ms() / $once, $run->ms(), $run->stance)];
    }
}
