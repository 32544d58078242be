<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\StrikeItem;
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
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Drill\Stretch;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/** One technique repeated on one leg. */
final readonly class BalanceDrill implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'balance',
            title: t('Balance'),
            about: t(
                'One technique repeated on one leg, with the other foot off the floor until the side changes; each '
                    .'side twice. The other side is the other stance, or the other leg in the same stance.',
            ),
            combinations: [1, 1],
            parameters: [
                Parameter::whole('seconds', 'A side', 30, 10, 120, 'seconds'),
                Parameter::whole('times', t('Times each side'), 2, 1, 6, 'times'),
                Parameter::choice('by', t('The other side'), 'stance', [
                    'stance' => t('the other stance'),
                    'leg' => t('the other leg, same stance'),
                ]),
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
                    ['12'],
                    ['seconds' => 20, 'times' => 1, 'by' => 'leg'],
                    40,
                    [[0, 'side', 'one leg: 12'], [20000, 'side', 'other leg: 11']],
                    2,
                ),
            ],
            order: 150,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $seconds = 2 * $run->parameters->whole('seconds') * $run->parameters->whole('times');
        if (null === $this->otherLeg($run)) {
            yield new DrillProblem(
                t(
                    '{chain} is not thrown by the other leg. Let the stance change.',
                    chain: $run->write($run->chain()),
                ),
                'parameters.by',
                true,
                DrillFix::parameter(t('Change the stance'), 'by', 'stance'),
            );
        }
        if ($seconds !== $run->seconds) {
            yield new DrillProblem(
                t(
                    'Both sides {whole} times for {whole2} s take {seconds} s, and the set has {seconds2} s.',
                    whole: $run->parameters->whole('times'),
                    whole2: $run->parameters->whole('seconds'),
                    seconds: $seconds,
                    seconds2: $run->seconds,
                ),
                'parameters.seconds',
                false,
                DrillFix::length(t('Make the set {seconds} s', seconds: $seconds), $seconds),
            );
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        return $run->show(
            0,
            CueKind::Side,
            $run->chain(),
            after: $this->isByLeg($run) ? t('on one leg, then on the other') : t('on one leg, in both stances'),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $index => $one) {
            [$chain, $stance] = [$one->of->chain, $one->of->stance];
            $side = $this->isByLeg($run)
                ? (0 === $index % 2 ? t('one leg') : t('other leg'))
                : t('{stance} stance', stance: $stance->value);
            yield $run->show(
                $one->fromMs,
                CueKind::Side,
                $chain,
                t('{side}: {chain}', side: $side, chain: $run->write($chain)),
                $stance,
                short: $side,
            );
        }
    }

    public function portions(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            // On one leg there is no gap to come back to stance: the techniques follow each other.
            $length = max(1, $run->length($one->of->chain));
            yield Portion::counted($one->of->chain, $one->ms / (2 * $length), $one->ms, $one->of->stance);
        }
    }

    private function isByLeg(DrillRun $run): bool
    {
        return 'leg' === $run->parameters->text('by');
    }

    /** Returns the technique of the other side; null when there is none. */
    private function otherLeg(DrillRun $run): ?InRoundStance
    {
        return $this->isByLeg($run)
            ? self::withOtherRoles($run->chain(), $run->stance)
            : new InRoundStance($run->chain(), $run->stance->flipped());
    }

    private static function withOtherRoles(Chain $chain, RoundStance $stance): ?InRoundStance
    {
        $items = [];
        foreach ($chain->items as $item) {
            if ($item instanceof StrikeItem) {
                $strike = Catalogue::builtIn()->inFamily($item->strike->family, $item->strike->role->other());
                if (null === $strike) {
                    return null;
                }
                $item = $item->by($strike, $item->target);
            }
            $items[] = $item;
        }

        return new InRoundStance(Chain::of($items), $stance);
    }

    /** @return list<Stretch<InRoundStance>> */
    private function stretches(DrillRun $run): array
    {
        $other = $this->otherLeg($run);
        $sides = [new InRoundStance($run->chain(), $run->stance), ...(null === $other ? [] : [$other])];

        return \array_slice(
            $run->stretches(1000 * $run->parameters->whole('seconds'), $sides),
            0,
            2 * $run->parameters->whole('times'),
        );
    }
}
