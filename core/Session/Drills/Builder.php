<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillFix;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\Rungs;
use Periplus\Core\Session\Drill\Stretch;
use Periplus\Core\Session\Sequence\SharedPart;

use function Periplus\Core\Language\t;

/** A combination that grows by an item or two each minute or round. */
final readonly class Builder implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'builder',
            title: t('Builder'),
            about: t(
                'Each minute or round adds to the same chain, at its end or anywhere in it; new items are marked.',
            ),
            combinations: [1, 5],
            parameters: [
                Parameter::choice('by', t('Grows'), 'work', [
                    'work' => t('within the round'),
                    'round' => t('from round to round'),
                ]),
                Parameter::whole('seconds', t('A step (0: shared equally)'), 0, 0, 600, 'seconds'),
                Parameter::whole('add', t('Strikes a step'), 1, 1, 2, 'strikes'),
            ],
            examples: [
                new DrillExample(
                    ['1 2 3 2'],
                    ['add' => 2, 'seconds' => 30],
                    60,
                    [[0, 'step', '1 2'], [30000, 'step', '1 2 3 2']],
                    2,
                ),
                new DrillExample(
                    ['1 1 exit', '1 1 4b exit', '1 1 4b 3b exit'],
                    [],
                    180,
                    [[0, 'step', '1 1 exit'], [60000, 'step', '1 1 4b exit'], [120000, 'step', '1 1 4b 3b exit']],
                    3,
                ),
            ],
            order: 40,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $chains = $run->chains();
        foreach ($chains as $index => $chain) {
            if ($index > 0 && [] === $this->added($chains[$index - 1], $chain)) {
                yield new DrillProblem(
                    t(
                        '{write} does not grow from {write2}. Each step of a builder keeps all of the one before, in '
                            .'its order, and adds something.',
                        write: $run->write($chain),
                        write2: $run->write($chains[$index - 1]),
                    ),
                    "combinations[$index]",
                );
            }
        }
        $steps = $this->steps($run);
        foreach (\array_slice($steps, 0, -1) as $index => $step) {
            if (Verdict::Breaks === $run->check($step)->linkVerdict) {
                yield new DrillProblem(
                    t('Step {index}, {write}, breaks by itself.', index: $index + 1, write: $run->write($step)),
                    'combinations[0]',
                    false,
                );
            }
        }
        yield from $this->neverWhole($run, \count($steps));
    }

    /**
     * @param int $steps how many there are
     *
     * @return iterable<DrillProblem> when the whole combination is never reached
     */
    private function neverWhole(DrillRun $run, int $steps): iterable
    {
        $seconds = $run->parameters->whole('seconds');
        if ('round' === $run->parameters->text('by')) {
            if ($run->times < $steps) {
                yield new DrillProblem(
                    t(
                        'It grows in {steps} steps, one a round, and the round is done {times, plural, one {once} '
                            .'other {# times}}: the whole is never thrown. Do it {steps} times, or let it grow '
                            .'within the round.',
                        steps: $steps,
                        times: $run->times,
                    ),
                    'parameters.by',
                    false,
                    DrillFix::parameter(t('Grow within the round'), 'by', 'work'),
                );
            }
        } elseif ($seconds * ($steps - 1) >= $run->seconds) {
            yield new DrillProblem(
                t(
                    '{steps} steps of {seconds} s take {all} s, and there are {work} s: the whole is never thrown.',
                    steps: $steps,
                    seconds: $seconds,
                    all: $steps * $seconds,
                    work: $run->seconds,
                ),
                'parameters.seconds',
                false,
                DrillFix::parameter(t('Share the time equally'), 'seconds', 0),
            );
        }
    }

    /** Announces the step of this round, or the first one and the whole. */
    public function announcement(DrillRun $run): DrillCue
    {
        $steps = $this->steps($run);
        $whole = \count($steps) - 1;
        if ('round' === $run->parameters->text('by')) {
            return $this->step($run, min($run->repeat, $whole), 0);
        }

        return $run->show(
            0,
            CueKind::Step,
            $steps[0],
            after: 0 === $whole ? null : t('growing up to {whole}', whole: $run->write($steps[$whole])),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            yield $this->step($run, $one->of, $one->fromMs);
        }
    }

    private function step(DrillRun $run, int $step, int $atMs): DrillCue
    {
        $steps = $this->steps($run);
        $chain = $steps[$step] ?? $run->chain();
        $before = $steps[$step - 1] ?? null;

        return $run->show(
            $atMs,
            CueKind::Step,
            $chain,
            marked: null === $before ? [] : $this->added($before, $chain),
        );
    }

    /** @return list<int> places of the items that are new; empty when it is not the earlier chain with more in it */
    private function added(Chain $earlier, Chain $later): array
    {
        $kept = SharedPart::find(Sequence::of($earlier), Sequence::of($later));

        return \count($kept) < \count($earlier->items)
            ? []
            : array_values(array_diff(array_keys($later->items), $kept));
    }

    public function portions(DrillRun $run): iterable
    {
        $steps = $this->steps($run);
        foreach ($this->stretches($run) as $one) {
            yield Portion::repeated($steps[$one->of], $one->ms, $run->stance);
        }
    }

    /** @return non-empty-list<Chain> several combinations are a path of a family; one alone is cut */
    private function steps(DrillRun $run): array
    {
        $chains = $run->chains();
        if (\count($chains) > 1) {
            return $chains;
        }
        $rungs = Rungs::cut($run->chain());
        $add = $run->parameters->whole('add');
        $steps = array_values(
            array_filter($rungs, static fn (int $index): bool => 0 === ($index + 1) % $add, \ARRAY_FILTER_USE_KEY),
        );

        return [] === $steps || end($steps) !== end($rungs) ? [...$steps, $rungs[\count($rungs) - 1]] : $steps;
    }

    /** @return iterable<Stretch<int>> which step */
    private function stretches(DrillRun $run): iterable
    {
        $last = \count($this->steps($run)) - 1;
        if ('round' === $run->parameters->text('by')) {
            yield new Stretch(0, $run->ms(), min($run->repeat, $last));

            return;
        }
        $seconds = $run->parameters->whole('seconds');
        $ms = 0 === $seconds ? intdiv($run->ms(), $last + 1) : 1000 * $seconds;
        for ($step = 0; $step <= $last && $step * $ms < $run->ms(); ++$step) {
            // The whole combination stays until the end.
            $left = $run->ms() - $step * $ms;
            yield new Stretch($step * $ms, $step === $last ? $left : min($ms, $left), $step);
        }
    }
}
