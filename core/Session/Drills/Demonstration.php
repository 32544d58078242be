<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillProblem;
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
            about: t(
                'The coach shows it slowly; the line moves at learning tempo, in both stances. In a rest without a '
                    .'combination it is what comes next.',
            ),
            combinations: [0, 1],
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
            inRest: true,
            isWork: false,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [] === $run->combinations && !$run->isRest
            ? [new DrillProblem(t('There is nothing to show yet. Drop a combination in, or type it.'), 'combinations')]
            : [];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $chain = $this->shown($run);

        return null === $chain
            ? $run->cue(0, CueKind::Demonstration, t('what comes, slowly'))
            : $run->show(0, CueKind::Demonstration, $chain, before: t('watch'));
    }

    public function cues(DrillRun $run): iterable
    {
        $chain = $this->shown($run);

        return null === $chain ? [] : [
            $run->show(0, CueKind::Demonstration, $chain),
            $run->show(intdiv($run->ms(), 2), CueKind::Demonstration, $chain, stance: $run->stance->flipped()),
        ];
    }

    public function portions(DrillRun $run): iterable
    {
        return [];
    }

    private function shown(DrillRun $run): ?Chain
    {
        return ($run->combinations[0] ?? null)?->inStance->chain ?? $run->comes;
    }
}
