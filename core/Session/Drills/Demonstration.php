<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;

use function Periplus\Core\Language\t;

/** The coach demonstrates slowly before the round. */
final readonly class Demonstration implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'demonstration',
            title: t('Demonstration'),
            about: t('The coach shows it slowly; the line moves at learning tempo, in both stances.'),
            combinations: [1, 1],
            parameters: [],
            examples: [
                new DrillExample(
                    ['1 2 3'],
                    [],
                    60,
                    [[0, 'demonstration', '1 2 3'], [30000, 'demonstration', '1 2 3']],
                    2,
                ),
                new DrillExample(['14l'], [], 30, [[0, 'demonstration', '14l'], [15000, 'demonstration', '14l']], 2),
            ],
            order: 180,
            isWork: false,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function cues(DrillRun $run): iterable
    {
        return [
            $run->show(0, CueKind::Demonstration, $run->chain()),
            $run->show(intdiv($run->ms(), 2), CueKind::Demonstration, $run->chain(), stance: $run->stance->flipped()),
        ];
    }

    public function portions(DrillRun $run): iterable
    {
        return [];
    }
}
