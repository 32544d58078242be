<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\Rungs;
use Periplus\Core\Session\Drill\Stretch;

use function Periplus\Core\Language\t;

/** A combination that grows by an item or two each minute or round. */
final readonly class Builder implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'builder',
            title: t('Builder'),
            about: t('Each minute or round adds one or two items to the same chain; new items are marked.'),
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
                    ['1 2', '1 2 3b', '1 2 3b 2'],
                    [],
                    180,
                    [[0, 'step', '1 2'], [60000, 'step', '1 2 3b'], [120000, 'step', '1 2 3b 2']],
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
            if ($index > 0 && !Sequence::of($chain)->startsWith(Sequence::of($chains[$index - 1]))) {
                yield new DrillProblem(
                    t(
                        '{write} does not start with {write2}. Each step of a builder continues the one before.',
                        write: $run->write($chain),
                        write2: $run->write($chains[$index - 1]),
                    ),
                    "combinations[$index]",
                );
            }
        }
        foreach (\array_slice($this->steps($run), 0, -1) as $index => $step) {
            if (Verdict::Breaks === $run->check($step)->linkVerdict) {
                yield new DrillProblem(
                    t('Step {index}, {write}, breaks by itself.', index: $index + 1, write: $run->write($step)),
                    'combinations[0]',
                    false,
                );
            }
        }
    }

    public function cues(DrillRun $run): iterable
    {
        $steps = $this->steps($run);
        foreach ($this->stretches($run) as $one) {
            $step = $one->of;
            $known = $step > 0 ? \count($steps[$step - 1]->items) : 0;
            yield $run->show(
                $one->fromMs,
                CueKind::Step,
                $steps[$step],
                marked: 0 === $known ? [] : range($known, \count($steps[$step]->items) - 1),
            );
        }
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
