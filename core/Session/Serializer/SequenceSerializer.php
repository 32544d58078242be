<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Sequence\Sequencer;
use Periplus\Core\Session\Sequence\SharedPart;
use Periplus\Core\Session\Sequence\Stop;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** Orders chains and returns them as a JSON-ready array. */
final readonly class SequenceSerializer
{
    /**
     * @param list<array{text: string, stance: Stance, level: int|null}> $chains a level of null is worked out
     *
     * @return array{
     *     order: list<int>,
     *     steps: list<float>,
     *     cost: float,
     *     bound: float,
     *     proven: bool,
     *     levels: list<int>,
     *     shared: list<list<int>>,
     *     problems: list<array{line: int, message: string}>,
     * }
     */
    public static function serialize(array $chains, Numbering $numbering, CheckOptions $options): array
    {
        $stops = $problems = [];
        foreach ($chains as $line => $row) {
            $reading = Reader::builtIn()->read($row['text'], $numbering, $row['stance']);
            if (null === $reading->chain) {
                $problems[] = [
                    'line' => $line,
                    'message' => t(
                        'Line {line}, "{text}": {value}',
                        line: $line,
                        text: mb_strimwidth($row['text'], 0, 60, '…'),
                        value: $reading->problems[0]->message,
                    ),
                ];
                continue;
            }
            $level =
                $row['level']
                ?? Scale::builtIn()->difficulty(
                    Check::builtIn()->run(new ChainInStance($reading->chain, $row['stance']), $options),
                    $options->tempo,
                )->level;
            $stops[] = new Stop($reading->chain, $level);
        }
        if (\count($stops) > Sequencer::MAX_COMBINATIONS) {
            $problems[] = [
                'line' => Sequencer::MAX_COMBINATIONS,
                'message' => t(
                    'At most {maxCombinations} combinations can be ordered at a time.',
                    maxCombinations: Sequencer::MAX_COMBINATIONS,
                ),
            ];
        }
        if ([] !== $problems) {
            return [
                'order' => [],
                'steps' => [],
                'cost' => 0.0,
                'bound' => 0.0,
                'proven' => false,
                'levels' => [],
                'shared' => [],
                'problems' => $problems,
            ];
        }
        $order = Sequencer::order($stops);
        $shared = [];
        foreach ($order->order as $index => $place) {
            $shared[] =
                0 === $index
                    ? []
                    : SharedPart::find($stops[$order->order[$index - 1]]->sequence, $stops[$place]->sequence);
        }

        return [
            'order' => $order->order,
            'steps' => $order->steps,
            'cost' => $order->cost,
            'bound' => $order->bound,
            'proven' => $order->proven,
            'levels' => array_map(static fn (Stop $stop): int => $stop->level, $stops),
            'shared' => $shared,
            'problems' => [],
        ];
    }
}
