<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\Stretch;
use Periplus\Core\Session\ReturnFire\Answer;
use Periplus\Core\Session\ReturnFire\Defence;
use Periplus\Core\Session\ReturnFire\ReturnFire;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** The opponent answers; the athlete defends and counters. */
final readonly class ReturnFireDrill implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'return-fire',
            title: t('Return fire'),
            about: t(
                'The opponent answers with the strike that ended the chain; the athlete defends and counters. The '
                    .'defence and the counter are computed.',
            ),
            combinations: [1, 1],
            parameters: [
                Parameter::whole('seconds', t('Each defence'), 30, 10, 180, 'seconds'),
                ...FacingOpponent::parameters(),
            ],
            examples: [
                new DrillExample(
                    ['1 2'],
                    [],
                    60,
                    [
                        [0, 'show', '1 2'],
                        [0, 'answer', 'they answer: 2'],
                        [0, 'defence', 'slip-lead'],
                        [0, 'counter', '1'],
                        [30000, 'defence', 'slip-rear'],
                        [30000, 'counter', '2'],
                    ],
                    6,
                ),
                new DrillExample(
                    ['1 2 3'],
                    ['seconds' => 60],
                    60,
                    [
                        [0, 'show', '1 2 3'],
                        [0, 'answer', 'they answer: 3'],
                        [0, 'defence', 'roll-rear'],
                        [0, 'counter', '2'],
                    ],
                    4,
                ),
            ],
            order: 130,
            withPartner: true,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [] === $this->defences($run)
            ? [
                new DrillProblem(
                    t(
                        'Nothing of this chain lands, so there is nothing to answer. Choose one that ends with a '
                            .'strike.',
                    ),
                    'combinations[0]',
                ),
            ]
            : [];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $defences = $this->defences($run);

        return $run->show(
            0,
            CueKind::Show,
            $run->chain(),
            after: [] === $defences ? null : t(
                'they answer, {ways}',
                ways: implode(t(' or '), array_map(
                    static fn (Defence $one): string => $run->write(Chain::of($one->moves)),
                    $defences,
                )),
            ),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        yield $run->show(0, CueKind::Show, $run->chain());
        $delivered = array_filter($run->chain()->strikes(), static fn (StrikeItem $item): bool => $item->delivered());
        $last = end($delivered);
        if (false === $last) {
            return;
        }
        yield $run->cue(
            0,
            CueKind::Answer,
            t('they answer: {strike}', strike: $run->write(Chain::of([new StrikeItem($last->strike, $last->target)]))),
        );
        foreach ($this->stretches($run) as $one) {
            yield $run->show($one->fromMs, CueKind::Defence, Chain::of($one->of->moves));
            $counter = $this->counter($one->of);
            if (null !== $counter) {
                yield $run->show($one->fromMs, CueKind::Counter, Chain::of([$counter]));
            }
        }
    }

    public function portions(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            $counter = $this->counter($one->of);
            $items = [...$run->chain()->items, ...$one->of->moves, ...(null === $counter ? [] : [$counter])];
            yield Portion::repeated(
                \count($items) > Chain::MAX_ITEMS ? $run->chain() : Chain::of($items),
                $one->ms,
                $run->stance,
            );
        }
    }

    private function counter(Defence $defence): ?StrikeItem
    {
        $item = $defence->counters[0]->item ?? null;

        return $item instanceof StrikeItem ? $item : null;
    }

    /** @return iterable<Stretch<Defence>> what takes the answer */
    private function stretches(DrillRun $run): iterable
    {
        return $run->stretches(1000 * $run->parameters->whole('seconds'), $this->defences($run));
    }

    /** @return list<Defence> */
    private function defences(DrillRun $run): array
    {
        // Cached, because every round, its announcement and the load of each stance ask for the same answers.
        static $lasting = null;
        /** @var \WeakMap<Chain, array<string, list<Answer>>> $known by the combination and how it is thrown */
        $known = $lasting ??= new \WeakMap();
        $key = FacingOpponent::key($run);
        $answers = $known[$run->chain()] ?? [];
        $answers[$key] ??= ReturnFire::builtIn()->answers(
            new ChainInStance($run->chain(), Stance::Orthodox),
            $run->options,
            FacingOpponent::limbs($run),
        );
        $known[$run->chain()] = $answers;

        return $answers[$key][Stance::Orthodox === FacingOpponent::stance($run) ? 0 : 1]->defences ?? [];
    }
}
