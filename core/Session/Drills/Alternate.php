<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillFix;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\InRoundStance;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\Stretch;
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
            about: t('Each combination in one stance and then in the other, one combination after the other.'),
            combinations: [1, 5],
            parameters: [Parameter::whole('times', t('Times in each stance'), 1, 1, 20, 'times')],
            examples: [
                new DrillExample(
                    ['1 2'],
                    ['times' => 5],
                    60,
                    [
                        [0, 'show', '1 2'],
                        [0, 'stance', t('own stance')],
                        [22450, 'stance', t('other stance')],
                        [44900, 'stance', t('own stance')],
                    ],
                    4,
                ),
                new DrillExample(
                    ['1', '2'],
                    [],
                    17,
                    [
                        [0, 'show', '1'],
                        [0, 'stance', t('own stance')],
                        [4200, 'stance', t('other stance')],
                        [8400, 'show', '2'],
                        [8400, 'stance', t('own stance')],
                        [12650, 'stance', t('other stance')],
                        [16900, 'show', '1'],
                        [16900, 'stance', t('own stance')],
                    ],
                    8,
                ),
            ],
            order: 100,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $once = 0;
        foreach ($run->chains() as $chain) {
            $once += 2 * $run->parameters->whole('times') * $run->period($chain);
        }
        if ($once > $run->ms()) {
            yield new DrillProblem(
                t(
                    'Once through in both stances takes {once} s, and there are {seconds} s: the last ones never come.',
                    once: (int) ceil($once / 1000),
                    seconds: $run->seconds,
                ),
                'combinations',
                false,
                DrillFix::length(
                    t('Make the set {seconds} s', seconds: 5 * (int) ceil($once / 5000)),
                    5 * (int) ceil($once / 5000),
                ),
            );
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $others = array_map($run->write(...), \array_slice($run->chains(), 1));

        return $run->show(
            0,
            CueKind::Show,
            $run->chain(),
            after: implode('; ', array_filter([
                [] === $others ? '' : t('then {others}', others: implode(t(', then '), $others)),
                t('each in both stances'),
            ], static fn (string $part): bool => '' !== $part)),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        $shown = null;
        foreach ($this->stretches($run) as $one) {
            [$chain, $stance] = [$one->of->chain, $one->of->stance];
            if ($shown !== $chain) {
                yield $run->show($one->fromMs, CueKind::Show, $chain);
                $shown = $chain;
            }
            yield $run->show(
                $one->fromMs,
                CueKind::Stance,
                $chain,
                t('{stance} stance', stance: $stance->value),
                $stance,
            );
        }
    }

    public function portions(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            yield Portion::repeated($one->of->chain, $one->ms, $one->of->stance);
        }
    }

    /** @return iterable<Stretch<InRoundStance>> what is thrown, and in which stance */
    private function stretches(DrillRun $run): iterable
    {
        $from = 0;
        while ($from < $run->ms()) {
            foreach ($run->chains() as $chain) {
                $ms = $run->parameters->whole('times') * $run->period($chain);
                foreach ([$run->stance, $run->stance->flipped()] as $stance) {
                    if ($from < $run->ms()) {
                        yield new Stretch($from, min($ms, $run->ms() - $from), new InRoundStance($chain, $stance));
                    }
                    $from += $ms;
                }
            }
        }
    }
}
