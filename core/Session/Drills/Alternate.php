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
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** The same combination in one stance and then in the other. */
final readonly class Alternate implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'alternate',
            title: t('Alternate'),
            about: t('The same combination in each stance in turn, with one switch between.'),
            combinations: [1, 1],
            parameters: [Parameter::whole('times', t('Times in each stance'), 1, 1, 20, 'times')],
            examples: [
                new DrillExample(
                    ['1 2'],
                    ['times' => 5],
                    60,
                    [
                        [0, 'show', '1 2'],
                        [0, 'stance', t('own stance')],
                        [22450, 'stance', 'switch: other stance'],
                        [44900, 'stance', 'switch: own stance'],
                    ],
                    4,
                ),
                new DrillExample(['1'], ['times' => 20], 60, [[0, 'show', '1'], [0, 'stance', t('own stance')]], 2),
            ],
            order: 100,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function cues(DrillRun $run): iterable
    {
        $cues = [$run->show(0, CueKind::Show, $run->chain())];
        $stance = $run->stance;
        foreach ($this->stretches($run) as $index => [$from]) {
            $cues[] = $run->show(
                $from,
                CueKind::Stance,
                $run->chain(),
                (0 === $index ? '' : 'switch: ').$stance->value.' stance',
                $stance,
            );
            $stance = $stance->flipped();
        }

        return $cues;
    }

    public function portions(DrillRun $run): iterable
    {
        $stance = $run->stance;
        foreach ($this->stretches($run) as [, $ms]) {
            yield Portion::repeated($run->chain(), $ms, $stance);
            $stance = $stance->flipped();
        }
    }

    /** @return list<array{int, int}> from and for how long, in ms */
    private function stretches(DrillRun $run): array
    {
        $ms = $run->parameters->whole('times') * $run->period($run->chain());
        $stretches = [];
        for ($from = 0; $from < $run->ms(); $from += $ms) {
            $stretches[] = [$from, min($ms, $run->ms() - $from)];
        }

        return $stretches;
    }
}
