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

use function Periplus\Core\Language\t;

/** Orders chains. */
final readonly class SequenceSerializer
{
    public function __construct(private Reader $reader, private Check $check)
    {
    }

    /** @param list<ChainToOrder> $chains */
    public function serialize(array $chains, Numbering $numbering, CheckOptions $options): SequenceDocument
    {
        $stops = $problems = [];
        foreach ($chains as $line => $chain) {
            $read = $this->reader->read($chain->text, $numbering, $chain->stance);
            if (null === $read->chain) {
                $problems[] = new SequenceProblem($line, t(
                    'Line {line}, "{text}": {value}',
                    line: $line,
                    text: mb_strimwidth($chain->text, 0, 60, '…'),
                    value: $read->problems[0]->message,
                ));
                continue;
            }
            $level = $chain->level ?? Scale::builtIn()->difficulty(
                $this->check->run(new ChainInStance($read->chain, $chain->stance), $options),
                $options->tempo,
            )->level;
            $stops[] = new Stop($read->chain, $level);
        }
        if (\count($stops) > Sequencer::MAX_COMBINATIONS) {
            $problems[] = new SequenceProblem(Sequencer::MAX_COMBINATIONS, t(
                'At most {maxCombinations} combinations can be ordered at a time.',
                maxCombinations: Sequencer::MAX_COMBINATIONS,
            ));
        }

        return [] === $problems ? $this->ordered($stops) : new SequenceDocument($problems);
    }

    /** @param list<Stop> $stops */
    private function ordered(array $stops): SequenceDocument
    {
        $order = Sequencer::order($stops);
        $shared = [];
        foreach ($order->order as $index => $place) {
            $shared[] = 0 === $index
                ? []
                : SharedPart::find($stops[$order->order[$index - 1]]->sequence, $stops[$place]->sequence);
        }

        return new SequenceDocument(
            problems: [],
            order: $order->order,
            steps: $order->steps,
            cost: $order->cost,
            bound: $order->bound,
            proven: $order->proven,
            levels: array_column($stops, 'level'),
            shared: $shared,
        );
    }
}
