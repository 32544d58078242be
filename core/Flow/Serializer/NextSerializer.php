<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Next\Continuation;
use Periplus\Core\Flow\Next\Next;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;

/** Finds what could follow a text. */
final readonly class NextSerializer
{
    public function __construct(private Next $next)
    {
    }

    /**
     * @param int|null $caret place in the text, in characters: something is to follow the item there or the last one
     *                        before it; the last item when null
     * @param Usage|null $usage what is usual in the gym; null for what ships
     */
    public function serialize(
        ReadChain $chain,
        CheckOptions $options,
        ?int $caret = null,
        ?Usage $usage = null,
    ): NextDocument {
        $inStance = $chain->inStance;
        if (null === $inStance && '' !== trim($chain->text->text)) {
            return new NextDocument(null, []);
        }
        $place = null === $inStance ? -1 : $chain->reading->placeOf($caret);
        $items = null === $inStance ? [] : \array_slice($inStance->chain->items, 0, $place + 1);
        $stance = null === $inStance ? $chain->text->stance : $inStance->stances[$place + 1] ?? $inStance->end;
        $writer = new Writer($chain->text->numbering);

        return new NextDocument(
            $place < 0 ? null : $place,
            array_map(
                static fn (Continuation $next): ContinuationDocument => new ContinuationDocument(
                    $next,
                    $writer->item($next->item, $stance),
                    Words::byRole()->item($next->item, $stance),
                ),
                $this->next->after($items, $options, $usage),
            ),
        );
    }
}
