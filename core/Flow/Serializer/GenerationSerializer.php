<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Generate\GenerationCriteria;
use Periplus\Core\Flow\Generate\Generator;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;

/** Generates chains and returns them as a JSON-ready array; docs/formats/suggest.md describes every key. */
final readonly class GenerationSerializer
{
    public function __construct(private Generator $generator)
    {
    }

    public static function builtIn(): self
    {
        return new self(Generator::builtIn());
    }

    /**
     * @param list<string> $known fingerprints of chains that are not wanted again
     *
     * @return array<string, mixed>
     */
    public function serialize(
        GenerationCriteria $criteria,
        Stance $stance,
        Numbering $numbering,
        array $known = [],
    ): array {
        $generation = $this->generator->generate($criteria, $known);
        $writer = new Writer($numbering);
        $parity = new Writer(Numbering::named('parity'));

        return [
            'chains' => array_map(static function (CheckResult $result) use (
                $stance,
                $writer,
                $parity,
                $criteria,
            ): array {
                $inStance = new ChainInStance($result->inStance->chain, $stance);

                return [
                    'text' => $writer->write($inStance),
                    'notation' => $parity->write($inStance),
                    'words' => Words::byRole()->write($inStance),
                    'verdict' => $result->verdict->value,
                    'lengthMs' => (int) round($result->timing->length()),
                    'level' => Scale::builtIn()->difficulty($result, $criteria->options->tempo)->level,
                    'line' => (new LineDrawing($writer))->draw($inStance, $result->timing, null, LineSize::Row),
                ];
            }, $generation->results),
            'asked' => $criteria->count,
            'bent' => $generation->bent,
            'relax' => array_map(
                static fn (string $criterion, array $relaxed): array => ['criterion' => $criterion, ...$relaxed],
                array_keys($generation->relax),
                array_values($generation->relax),
            ),
        ];
    }
}
