<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Drill\Stretch;

use function Periplus\Core\Language\t;

/** One technique repeated on one leg. */
final readonly class BalanceDrill implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'balance',
            title: 'BalanceDrill',
            about: t(
                'One technique repeated on one leg, with the other foot off the floor until the side changes; each '
                    .'side twice.',
            ),
            combinations: [1, 1],
            parameters: [
                Parameter::whole('seconds', 'A side', 30, 10, 120, 'seconds'),
                Parameter::whole('times', t('Times each side'), 2, 1, 6, 'times'),
            ],
            examples: [
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
            order: 150,
        );
    }

    public function problems(DrillRun $run): iterable
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

    public function cues(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            yield $run->show(
                $one->fromMs,
                CueKind::Side,
                $run->chain(),
                t('{stance} stance: {chain}', stance: $one->of->value, chain: $run->write($run->chain())),
                $one->of,
                short: t('{stance} stance', stance: $one->of->value),
            );
        }
    }

    public function portions(DrillRun $run): iterable
    {
        // On one leg there is no gap to come back to stance: the techniques follow each other.
        $length = max(1, $run->length($run->chain()));
        foreach ($this->stretches($run) as $one) {
            yield Portion::counted($run->chain(), $one->ms / (2 * $length), $one->ms, $one->of);
        }
    }

    /** @return iterable<Stretch<RoundStance>> */
    private function stretches(DrillRun $run): iterable
    {
        return \array_slice(
            $run->stretches(1000 * $run->parameters->whole('seconds'), [$run->stance, $run->stance->flipped()]),
            0,
            2 * $run->parameters->whole('times'),
        );
    }
}
