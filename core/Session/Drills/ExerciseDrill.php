<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Advice\Exercise;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;

/** An exercise for a time or a count. */
final readonly class ExerciseDrill implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            'exercise',
            'Exercise',
            'Squats, skipping, mobility and the like, for a time or a count.',
            [0, 0],
            [
                Parameter::choice('exercise', 'Exercise', 'jogging', self::names()),
                Parameter::whole('count', 'Repetitions (0: for the time)', 0, 0, 200, 'repetitions'),
            ],
            [
                new DrillExample([], [], 60, [[0, 'exercise', 'Jogging']], 1),
                new DrillExample([], ['exercise' => 'squats', 'count' => 20], 60, [[0, 'exercise', '20 squats']], 1),
            ],
            170,
        );
    }

    public function problems(DrillRun $run): array
    {
        return [];
    }

    public function cues(DrillRun $run): array
    {
        $name = Advice::builtIn()->exercises[$run->parameters->text('exercise')]->name;
        $count = $run->parameters->whole('count');

        return [$run->say(0, CueKind::Exercise, 0 === $count ? $name : $count.' '.lcfirst($name))];
    }

    public function portions(DrillRun $run): array
    {
        return [];
    }

    /** @return array<string, string> names by id */
    public static function names(?string $for = null): array
    {
        $exercises = null === $for ? array_values(Advice::builtIn()->exercises) : Advice::builtIn()->exercisesFor($for);

        return array_combine(
            array_map(static fn (Exercise $exercise): string => $exercise->id, $exercises),
            array_map(static fn (Exercise $exercise): string => $exercise->name, $exercises),
        );
    }
}
