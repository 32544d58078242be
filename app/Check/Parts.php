<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Doctrine\DBAL\Exception\ConnectionException;
use Periplus\App\Similarity\MatchRenderer;
use Periplus\App\Similarity\SimilarCombinations;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Serializer\ItemEditSerializer;
use Periplus\Core\Flow\Serializer\MendSerializer;
use Periplus\Core\Flow\Serializer\NextSerializer;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;

/** Computes the parts that were requested with a check, one after the other. */
final readonly class Parts
{
    public function __construct(
        private NextSerializer $next,
        private ItemEditSerializer $edits,
        private MendSerializer $mends,
        private Reader $reader,
        private SimilarCombinations $similar,
        private MatchRenderer $matches,
    ) {
    }

    /**
     * @param Numbering $numbering in which combinations of the library are shown
     *
     * @return iterable<string, array<string, mixed>|null> by the part's name; null when it cannot be had for the moment
     */
    public function compute(
        CheckRequest $request,
        ChainText $text,
        CheckOptions $options,
        Numbering $numbering,
    ): iterable {
        foreach (Part::cases() as $part) {
            if (\in_array($part->value, $request->with, true)) {
                yield $part->value => match ($part) {
                    Part::Next => $this->next->serialize($text, $options, $request->caret),
                    Part::Edits => $this->edits->serialize($text, $options, $request->caret),
                    Part::Similar => $this->similar($text, $request->except, $numbering),
                    Part::Mends => $this->mends->serialize($text, $options),
                };
            }
        }
    }

    /** @return array<string, mixed>|null null while the database is away; an unreadable text is similar to nothing */
    private function similar(ChainText $text, ?int $except, Numbering $numbering): ?array
    {
        $chain = $this->reader->read($text->text, $text->numbering, $text->stance)->chain;
        try {
            return $this->matches->render(
                null === $chain ? [] : $this->similar->find(new ChainInStance($chain, $text->stance), $except),
                $numbering,
            );
        } catch (ConnectionException) {
            return null;
        }
    }
}
