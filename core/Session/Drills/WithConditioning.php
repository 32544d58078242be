<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
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
            about: t('A few repetitions of an exercise before or after the chain, or between its repetitions.'),
            combinations: [1, 1],
            parameters: [
                Parameter::exercise('exercise', t('Exercise'), 'squats'),
                Parameter::whole('count', t('Repetitions'), 2, 1, 30, 'repetitions'),
                Parameter::choice('when', t('When'), 'before', [
                    'before' => t('before the chain'),
                    'after' => t('after the chain'),
                    'between' => t('between repetitions'),
                ]),
            ],
            examples: [
                new DrillExample(['1 8'], [], 60, [[0, 'show', '2 squats, then 1 8']], 1),
                new DrillExample(
                    ['1 2 3'],
                    ['exercise' => 'foot-switches', 'count' => 4, 'when' => 'after'],
                    60,
                    [[0, 'show', '1 2 3, then 4 foot switches']],
                    1,
                ),
            ],
            order: 160,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return array_filter([$run->unknownExercise('exercise')]);
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $count = $run->parameters->whole('count');
        $exercise = $run->exercise($run->parameters->text('exercise'));
        $what = t(
            '{count} {exercise}',
            count: 1 === $count && null === $exercise?->count ? '' : $count,
            exercise: lcfirst($exercise->name ?? t('exercise')),
        );
        $when = $run->parameters->text('when');

        return $run->show(
            0,
            CueKind::Show,
            $run->chain(),
            before: 'before' === $when ? t('{what}, then', what: trim($what)) : null,
            after: match ($when) {
                'after' => t('then {what}', what: trim($what)),
                'between' => t('between repetitions {what}', what: trim($what)),
                default => null,
            },
        );
    }

    public function cues(DrillRun $run): iterable
    {
        return [$this->announcement($run)];
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
