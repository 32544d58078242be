<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Drill\CalledChain;
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
use Random\Randomizer;

use function Periplus\Core\Language\t;

/** Short chains called at random. */
final readonly class Calls implements Drill
{
    /** Maximum number of draws to avoid the same call twice in a row. */
    private const DRAWS = 4;

    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'calls',
            title: t('Calls'),
            about: t(
                'Short chains, single strikes and moves are called at random times: at random, some more often than '
                    .'others, in an order, or more of them minute by minute.',
            ),
            combinations: [1, 24],
            parameters: [
                Parameter::whole('least', t('Shortest silence'), 2, 1, 60, 'seconds'),
                Parameter::whole('most', t('Longest silence'), 5, 1, 60, 'seconds'),
                Parameter::choice('order', t('Order'), 'random', [
                    'random' => t('at random'),
                    'script' => t('as listed, then again'),
                    'script-first' => t('as listed, then at random'),
                ]),
                Parameter::whole('each', t('Each in a row, as listed'), 1, 1, 10, 'times'),
                Parameter::flag('grows', t('Grows minute by minute'), false),
                Parameter::whole('new', t('New ones a minute'), 1, 1, 12, 'combinations'),
                Parameter::wholes('weights', t('How often each, compared'), [], 1, 9, 'parts'),
                Parameter::chain('between', t('Move after each call')),
            ],
            examples: [
                new DrillExample(
                    ['1', '1 2'],
                    ['least' => 10, 'most' => 10],
                    30,
                    [[0, 'call', '1 2'], [10490, 'call', '1'], [20690, 'last-call', '1 2']],
                    3,
                ),
                new DrillExample(
                    ['1 2', 'slip-lead'],
                    ['least' => 2, 'most' => 2, 'order' => 'script', 'each' => 2],
                    10,
                    [[0, 'call', '1 2'], [2490, 'call', '1 2'], [4980, 'call', 'slip-lead']],
                    5,
                ),
            ],
            order: 140,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        if ($run->parameters->whole('least') > $run->parameters->whole('most')) {
            yield new DrillProblem(
                t(
                    'The shortest silence of {whole} s is longer than the longest of {whole2} s.',
                    whole: $run->parameters->whole('least'),
                    whole2: $run->parameters->whole('most'),
                ),
                'parameters.least',
            );

            return;
        }
        foreach ($run->chains() as $index => $chain) {
            if ($run->length($chain) > $run->ms()) {
                yield new DrillProblem(
                    t(
                        '{write} takes {length} s and cannot be finished in {seconds} s.',
                        write: $run->write($chain),
                        length: \sprintf('%.1f', $run->length($chain) / 1000),
                        seconds: $run->seconds,
                    ),
                    "combinations[$index]",
                );
            }
        }
        $weights = $run->parameters->wholes('weights');
        if ([] !== $weights && \count($weights) !== \count($run->combinations)) {
            yield new DrillProblem(
                t(
                    '{count} weights are given for {count2} combinations. Give one each, or none.',
                    count: \count($weights),
                    count2: \count($run->combinations),
                ),
                'parameters.weights',
                false,
                DrillFix::parameter(t('All equally often'), 'weights', []),
            );
        }
        yield from $this->neverCalled($run);
    }

    /** @return iterable<DrillProblem> when some of it is never called */
    private function neverCalled(DrillRun $run): iterable
    {
        $count = \count($run->combinations);
        $minutes = (int) ceil($run->seconds / 60);
        if ($run->parameters->flag('grows') && $run->parameters->whole('new') * $minutes < $count) {
            $enough = min(12, (int) ceil($count / $minutes));
            yield new DrillProblem(
                t(
                    'With {new, plural, one {# new one} other {# new ones}} a minute, {known} of the {count} are '
                        .'called in {seconds} s and the others never.',
                    new: $run->parameters->whole('new'),
                    known: $run->parameters->whole('new') * $minutes,
                    count: $count,
                    seconds: $run->seconds,
                ),
                'parameters.new',
                false,
                DrillFix::parameter(t('{enough} new ones a minute', enough: $enough), 'new', $enough),
            );

            return;
        }
        $calls = \count($this->calls($run));
        $wanted = $count * ('random' === $run->parameters->text('order') ? 1 : $run->parameters->whole('each'));
        if ($calls < $wanted) {
            $seconds = min(7200, 5 * (int) ceil($run->seconds * $wanted / max(1, $calls) / 5));
            yield new DrillProblem(
                t(
                    'About {calls, plural, one {# call fits} other {# calls fit}} into {seconds} s, and {wanted} are '
                        .'asked for: some are never called.',
                    calls: $calls,
                    seconds: $run->seconds,
                    wanted: $wanted,
                ),
                'combinations',
                false,
                DrillFix::length(t('Make the set {seconds} s', seconds: $seconds), $seconds),
            );
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        // What random calls say is not given away.
        return $run->cue(
            0,
            CueKind::Show,
            'random' === $run->parameters->text('order')
                ? t('calls')
                : t('calls: {chains}', chains: implode(', ', array_map($run->write(...), $run->chains()))),
            t('calls'),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        $calls = $this->calls($run);
        $last = array_key_last($calls);
        $between = $run->parameters->chain('between');
        foreach ($calls as $index => $call) {
            yield $run->show(
                $call->atMs,
                $index === $last ? CueKind::LastCall : CueKind::Call,
                $call->chain,
                after: null === $between ? null : t('then {move}', move: $run->write($between)),
            );
        }
    }

    public function portions(DrillRun $run): iterable
    {
        $calls = $this->calls($run);
        $times = [];
        foreach ($calls as $call) {
            $index = (int) array_search($call->chain, $run->chains(), true);
            $times[$index] = 1 + ($times[$index] ?? 0);
        }
        foreach ($times as $index => $count) {
            yield Portion::counted(
                $run->chains()[$index],
                $count,
                ($run->ms() * $count) / \count($calls),
                $run->stance,
            );
        }
    }

    /** @return list<CalledChain> none that could not be finished */
    private function calls(DrillRun $run): array
    {
        // The random generator is reset, so that cues and load use the same calls.
        $random = $run->chance();
        [$least, $most] = [1000 * $run->parameters->whole('least'), 1000 * $run->parameters->whole('most')];
        $chains = $run->chains();
        $between = $run->parameters->chain('between');
        $moveMs = null === $between ? 0 : $run->length($between);
        $calls = [];
        $before = null;
        for ($offsetMs = 0; $offsetMs < $run->ms();) {
            $chain = $this->listed($run, \count($calls)) ?? $this->drawn($run, $random, $offsetMs, $before);
            $length = $run->length($chain);
            if ($offsetMs + $length > $run->ms()) {
                break;
            }
            $calls[] = new CalledChain($offsetMs, $chain);
            $before = $chain;
            $offsetMs += $length + $moveMs + $random->getInt($least, max($least, $most));
        }

        return $calls;
    }

    /** Returns the call of the list that comes after that many; null when it is drawn. */
    private function listed(DrillRun $run, int $calls): ?Chain
    {
        $order = $run->parameters->text('order');
        $place = intdiv($calls, $run->parameters->whole('each'));
        $count = \count($run->combinations);

        return 'random' === $order || ('script-first' === $order && $place >= $count)
            ? null
            : $run->chains()[$place % $count];
    }

    /** Draws a call among those that are known by now, by their weights, and rarely the one before. */
    private function drawn(DrillRun $run, Randomizer $random, int $offsetMs, ?Chain $before): Chain
    {
        $chains = $run->chains();
        $known = $run->parameters->flag('grows')
            ? min(\count($chains), $run->parameters->whole('new') * (1 + intdiv($offsetMs, 60_000)))
            : \count($chains);
        $weights = $run->parameters->wholes('weights');
        $pot = [];
        for ($index = 0; $index < $known; ++$index) {
            array_push($pot, ...array_fill(0, $weights[$index] ?? 1, $chains[$index]));
        }
        $chain = $pot[$random->getInt(0, \count($pot) - 1)];
        // What is weighted on purpose may come twice.
        for ($draw = 0; [] === $weights && $draw < self::DRAWS && $chain === $before; ++$draw) {
            $chain = $pot[$random->getInt(0, \count($pot) - 1)];
        }

        return $chain;
    }
}
