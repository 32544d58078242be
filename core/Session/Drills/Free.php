<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;

use function Periplus\Core\Language\t;

/** Free work. */
final readonly class Free implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'free',
            title: t('Free'),
            about: t('The athlete throws what they like.'),
            combinations: [0, 0],
            parameters: [Parameter::choices('weapons', t('Weapons'), ['hand'], WeaponChoices::ALL)],
            examples: [
                new DrillExample([], [], 120, [[0, 'show', 'free: hand']], 1),
                new DrillExample([], ['weapons' => ['hand', 'leg']], 60, [[0, 'show', 'free: hand, leg']], 1),
            ],
            order: 125,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function cues(DrillRun $run): iterable
    {
        $weapons = $run->parameters->choices('weapons');

        return [
            $run->cue(
                0,
                CueKind::Show,
                \count($weapons) === \count(WeaponChoices::ALL) ? 'free' : 'free: '.implode(', ', $weapons),
            ),
        ];
    }

    public function portions(DrillRun $run): iterable
    {
        return [
            Portion::free(
                $run->ms(),
                $run->stance,
                weapons: WeaponChoices::limbs($run->parameters->choices('weapons')),
            ),
        ];
    }
}
