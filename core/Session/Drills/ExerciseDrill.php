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
            inRest: true,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return array_filter([$run->unknownExercise('exercise')]);
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $name = $run->exercise($run->parameters->text('exercise'))->name ?? t('Exercise');
        $count = $run->parameters->whole('count');

        return $run->cue(0, CueKind::Exercise, 0 === $count ? $name : $count.' '.lcfirst($name));
    }

    public function cues(DrillRun $run): iterable
    {
        return [$this->announcement($run)];
    }

    public function portions(DrillRun $run): iterable
    {
        return [];
    }
}
