<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\RoundStance;

use function Periplus\Core\Language\t;

/** One technique repeated on one leg. */
final readonly class BalanceDrill implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            'balance',
            'BalanceDrill',
            t(
                'One technique repeated on one leg, with the other foot off the floor until the side changes; each '
                    .'side twice.',
            ),
            [1, 1],
            [
                Parameter::whole('seconds', 'A side', 30, 10, 120, 'seconds'),
                Parameter::whole('times', t('Times each side'), 2, 1, 6, 'times'),
            ],
            [
                new DrillExample(
                    ['13'],
                    [],
                    120,
                    [
                        [0, 'side', 'own stance: 13'],
                        [30000, 'side', 'other stance: 13'],
                        [60000, 'side', 'own stance: 13'],
                        [90000, 'side', 'other stance: 13'],
                    ],
                    4,
                ),
                new DrillExample(
                    ['11'],
                    ['seconds' => 20, 'times' => 1],
                    40,
                    [[0, 'side', 'own stance: 11'], [20000, 'side', 'other stance: 11']],
                    2,
                ),
            ],
            150,
        );
    }

    public function problems(DrillRun $run): array
    {
        $seconds = 2 * $run->parameters->whole('seconds') * $run->parameters->whole('times');

        return $seconds === $run->seconds
            ? []
            : [
                new DrillProblem(
                    t(
                        'Both sides {whole} times for {whole2} s take {seconds} s, and the set has {seconds2} s.',
                        whole: $run->parameters->whole('times'),
                        whole2: $run->parameters->whole('seconds'),
                        seconds: $seconds,
                        seconds2: $run->seconds,
                    ),
                    'parameters.seconds',
                    false,
                ),
            ];
    }

    public function cues(DrillRun $run): array
    {
        return array_map(
            static fn (array $stretch): DrillCue => $run->show(
                $stretch[0],
                CueKind::Side,
                $run->chain(),
                $stretch[2]->value.' stance: '.$run->write($run->chain()),
                $stretch[2],
                short: $stretch[2]->value.' stance',
            ),
            self::stretches($run),
        );
    }

    public function portions(DrillRun $run): array
    {
        // On one leg there is no gap to come back to stance: the techniques follow each other.
        $length = max(1, $run->length($run->chain()));

        return array_map(
            static fn (array $stretch): Portion => Portion::counted(
                $run->chain(),
                $stretch[1] / (2 * $length),
                $stretch[1],
                $stretch[2],
            ),
            self::stretches($run),
        );
    }

    /** @return list<array{int, int, RoundStance}> from and for how long, in ms, and in which stance */
    private static function stretches(DrillRun $run): array
    {
        $ms = 1000 * $run->parameters->whole('seconds');
        $stretches = [];
        $stance = $run->stance;
        for ($index = 0; $index < 2 * $run->parameters->whole('times') && $index * $ms < $run->ms(); ++$index) {
            $stretches[] = [$index * $ms, min($ms, $run->ms() - $index * $ms), $stance];
            $stance = $stance->flipped();
        }

        return $stretches;
    }
}
