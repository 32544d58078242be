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

/** A few repetitions of an exercise, then a chain. */
final readonly class WithConditioning implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            'conditioning',
            'With conditioning',
            'A few repetitions of an exercise, then the chain, in turn.',
            [1, 1],
            [
                Parameter::exercise('exercise', 'Exercise', 'squats'),
                Parameter::whole('count', 'Repetitions', 2, 1, 30, 'repetitions'),
            ],
            [
                new DrillExample(['1 8'], [], 60, [[0, 'show', '2 squats, then 1 8']], 1),
                new DrillExample(
                    ['1 2 3'],
                    ['exercise' => 'jumps', 'count' => 2],
                    60,
                    [[0, 'show', '2 jumps, then 1 2 3']],
                    1,
                ),
            ],
            160,
        );
    }

    public function problems(DrillRun $run): array
    {
        return null === $run->exercise($run->parameters->text('exercise'))
            ? [
                new DrillProblem(
                    \sprintf(
                        'The gym has no exercise "%s". Choose another, or add it to the list.',
                        mb_strimwidth($run->parameters->text('exercise'), 0, 40, '…'),
                    ),
                    'parameters.exercise',
                ),
            ]
            : [];
    }

    public function cues(DrillRun $run): array
    {
        $exercise = $run->exercise($run->parameters->text('exercise'));

        $before = \sprintf('%d %s', $run->parameters->whole('count'), lcfirst($exercise->name ?? 'exercise'));

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

    public function portions(DrillRun $run): array
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
