<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Drawing\LineDrawer;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Generate\GenerationCriteria;
use Periplus\Core\Flow\Generate\Generator;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;

/** Generates chains and writes them for the question. */
final readonly class GenerationSerializer
{
    public function __construct(private Generator $generator)
    {
    }

    /**
     * @param list<string> $known fingerprints of chains that are not wanted again
     * @param Usage|null $usage what is usual in the gym; null for what ships
     */
    public function serialize(
        GenerationCriteria $criteria,
        Stance $stance,
        Numbering $numbering,
        array $known = [],
        ?Usage $usage = null,
    ): GenerationDocument {
        $generation = $this->generator->generate($criteria, $known, $usage);
        $writer = new Writer($numbering);

        return new GenerationDocument(
            array_map(
                fn (CheckResult $result): GeneratedChain => $this->chain($result, $criteria, $stance, $writer),
                $generation->results,
            ),
            $criteria->count,
            $generation->bent,
            $generation->relax,
        );
    }

    private function chain(
        CheckResult $result,
        GenerationCriteria $criteria,
        Stance $stance,
        Writer $writer,
    ): GeneratedChain {
        $inStance = new ChainInStance($result->inStance->chain, $stance);

        return new GeneratedChain(
            text: $writer->write($inStance),
            notation: (new Writer(Numbering::named('parity')))->write($inStance),
            words: Words::byRole()->write($inStance),
            verdict: $result->verdict,
            lengthMs: (int) round($result->timing->length()),
            level: Scale::builtIn()->difficulty($result, $criteria->options->tempo)->level,
            line: (new LineDrawer($writer))->draw($inStance, $result->timing, null, LineSize::Row),
        );
    }
}
