<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CalledChain;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;

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
                'Short chains, single strikes and moves are called at random times. The vocabulary may grow minute '
                    .'by minute.',
            ),
            combinations: [1, 24],
            parameters: [
                Parameter::whole('least', t('Shortest silence'), 2, 1, 60, 'seconds'),
                Parameter::whole('most', t('Longest silence'), 5, 1, 60, 'seconds'),
                Parameter::flag('grows', t('Grows by a chain a minute'), false),
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
                    ['least' => 2, 'most' => 2, 'grows' => true],
                    10,
                    [[0, 'call', '1 2'], [2490, 'call', '1 2'], [4980, 'call', '1 2'], [7470, 'last-call', '1 2']],
                    4,
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
    }

    public function cues(DrillRun $run): iterable
    {
        $calls = $this->calls($run);
        $last = array_key_last($calls);
        foreach ($calls as $index => $call) {
            yield $run->show($call->atMs, $index === $last ? CueKind::LastCall : CueKind::Call, $call->chain);
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
        $calls = [];
        $before = null;
        for ($offsetMs = 0; $offsetMs < $run->ms();) {
            $known = $run->parameters->flag('grows')
                ? min(\count($chains), 1 + intdiv($offsetMs, 60_000))
                : \count($chains);
            $chain = $chains[$random->getInt(0, $known - 1)];
            for ($draw = 0; $draw < self::DRAWS && $chain === $before; ++$draw) {
                $chain = $chains[$random->getInt(0, $known - 1)];
            }
            $length = $run->length($chain);
            if ($offsetMs + $length > $run->ms()) {
                break;
            }
            $calls[] = new CalledChain($offsetMs, $chain);
            $before = $chain;
            $offsetMs += $length + $random->getInt($least, max($least, $most));
        }

        return $calls;
    }
}
