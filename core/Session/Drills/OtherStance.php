<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** A stretch of work in the other stance. */
final readonly class OtherStance implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'other-stance',
            title: t('Other stance'),
            about: t('The work is done in the other stance, with a combination or free.'),
            combinations: [0, 1],
            parameters: [],
            examples: [
                new DrillExample(['1 2 3'], [], 120, [[0, 'stance', t('other stance')], [0, 'show', '1 2 3']], 2),
                new DrillExample([], [], 60, [[0, 'stance', t('other stance')]], 1),
            ],
            order: 90,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        return [] === $run->combinations
            ? new DrillCue(0, CueKind::Stance, t('other stance'), null, $run->stance->flipped())
            : $run->show(0, CueKind::Show, $run->chain(), stance: $run->stance->flipped(), after: t('other stance'));
    }

    public function cues(DrillRun $run): iterable
    {
        $other = $run->stance->flipped();
        $cues = [new DrillCue(0, CueKind::Stance, t('other stance'), null, $other)];

        return [] === $run->combinations
            ? $cues
            : [...$cues, $run->show(0, CueKind::Show, $run->chain(), stance: $other)];
    }

    public function portions(DrillRun $run): iterable
    {
        $other = $run->stance->flipped();

        return [
            [] === $run->combinations
                ? Portion::free($run->ms(), $other)
                : Portion::repeated($run->chain(), $run->ms(), $other),
        ];
    }
}
