<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;

use function Periplus\Core\Language\t;

/** Free strikes counted up and down. */
final readonly class Pyramid implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'pyramid',
            title: t('Pyramid'),
            about: t('One strike, two, up to the top and down again; which strikes is the athlete’s choice.'),
            combinations: [0, 0],
            parameters: [
                Parameter::whole('top', t('Top'), 5, 2, FreeStrikes::MAX_COUNT, 'strikes'),
                Parameter::choices('weapons', t('Weapons'), ['hand'], WeaponChoices::ALL),
            ],
            examples: [
                new DrillExample(
                    [],
                    ['top' => 3],
                    100,
                    [
                        [0, 'count', '1'],
                        [20000, 'count', '2'],
                        [40000, 'count', '3'],
                        [60000, 'count', '2'],
                        [80000, 'count', '1'],
                    ],
                    5,
                ),
                new DrillExample(
                    [],
                    ['top' => 5, 'weapons' => ['leg']],
                    90,
                    [[0, 'count', '1'], [10000, 'count', '2']],
                    9,
                ),
            ],
            order: 50,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        return $run->cue(
            0,
            CueKind::Show,
            t(
                'pyramid, 1 up to {top} and back: {weapons}',
                top: $run->parameters->whole('top'),
                weapons: implode(', ', $run->parameters->choices('weapons')),
            ),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        $counts = $this->counts($run->parameters->whole('top'));
        $ms = intdiv($run->ms(), \count($counts));

        return array_map(
            static fn (int $index, int $count): DrillCue => $run->cue($index * $ms, CueKind::Count, (string) $count),
            array_keys($counts),
            $counts,
        );
    }

    public function portions(DrillRun $run): iterable
    {
        return [
            Portion::free(
                $run->ms(),
                $run->stance,
                $this->reached($run),
                weapons: WeaponChoices::limbs($run->parameters->choices('weapons')),
            ),
        ];
    }

    /** Estimates the strikes that are reached in the time, with a gap after each step. */
    private function reached(DrillRun $run): float
    {
        $left = (float) $run->ms();
        $strikes = 0.0;
        foreach ($this->counts($run->parameters->whole('top')) as $count) {
            $step = min((float) $count, max(0.0, $left / $run->freeStrikeMs()));
            $strikes += $step;
            $left -= $step * $run->freeStrikeMs() + $run->gap();
        }

        return $strikes;
    }

    /** @return non-empty-list<int> */
    private function counts(int $top): array
    {
        return [...range(1, $top), ...range($top - 1, 1)];
    }
}
