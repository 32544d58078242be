<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Doctrine\DBAL\Exception\ConnectionException;
use Periplus\App\Similarity\Matches;
use Periplus\App\Similarity\MatchRenderer;
use Periplus\App\Similarity\SimilarCombinations;
use Periplus\App\Usage\GymUsage;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Serializer\FromAboveSerializer;
use Periplus\Core\Flow\Serializer\ItemEditSerializer;
use Periplus\Core\Flow\Serializer\MendSerializer;
use Periplus\Core\Flow\Serializer\NextSerializer;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadChain;

/** Computes the parts that were requested with a check, one after the other. */
final readonly class Parts
{
    public function __construct(
        private FromAboveSerializer $fromAbove,
        private NextSerializer $next,
        private ItemEditSerializer $edits,
        private MendSerializer $mends,
        private SimilarCombinations $similar,
        private MatchRenderer $matches,
        private GymUsage $usage,
    ) {
    }

    /**
     * @param Numbering $numbering in which combinations of the library are shown
     *
     * @return iterable<string, object|null> by the part's name; null when it cannot be had for the moment
     */
    public function compute(
        CheckRequest $request,
        ReadChain $chain,
        CheckOptions $options,
        Numbering $numbering,
    ): iterable {
        $ranks = [Part::Next->value, Part::Mends->value];
        $usage = [] === array_intersect($ranks, $request->with) ? null : $this->usage->under($options->rules->id);
        foreach (Part::cases() as $part) {
            if (\in_array($part->value, $request->with, true)) {
                yield $part->value => match ($part) {
                    Part::FromAbove => $this->fromAbove->serialize($chain, $options),
                    Part::Next => $this->next->serialize($chain, $options, $request->caret, $usage),
                    Part::Edits => $this->edits->serialize($chain, $options, $request->caret),
                    Part::Similar => $this->similar($chain, $request->except, $numbering),
                    Part::Mends => $this->mends->serialize($chain, $options, $usage),
                };
            }
        }
    }

    /** @return Matches|null null while the database is away; an unreadable text is similar to nothing */
    private function similar(ReadChain $chain, ?int $except, Numbering $numbering): ?Matches
    {
        try {
            return $this->matches->render(
                null === $chain->inStance ? [] : $this->similar->find($chain->inStance, $except),
                $numbering,
            );
        } catch (ConnectionException) {
            return null;
        }
    }
}
