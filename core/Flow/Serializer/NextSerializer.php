<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Next\Continuation;
use Periplus\Core\Flow\Next\Next;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;

/** Returns what could follow a text, as a JSON-ready array; docs/formats/suggest.md describes every key. */
final readonly class NextSerializer
{
    public function __construct(private Next $next)
    {
    }

    public static function builtIn(): self
    {
        return new self(Next::builtIn());
    }

    /**
     * @param int|null $caret place in the text, in characters: something is to follow the item there or the last one
     *                        before it; the last item when null
     *
     * @return array<string, mixed>
     */
    public function serialize(ReadChain $chain, CheckOptions $options, ?int $caret = null): array
    {
        $inStance = $chain->inStance;
        if (null === $inStance && '' !== trim($chain->text->text)) {
            return ['after' => null, 'next' => []];
        }
        $place = null === $inStance ? -1 : $chain->reading->placeOf($caret);
        $items = null === $inStance ? [] : \array_slice($inStance->chain->items, 0, $place + 1);
        $stance = null === $inStance ? $chain->text->stance : $inStance->stances[$place + 1] ?? $inStance->end;
        $writer = new Writer($chain->text->numbering);

        return [
            'after' => $place < 0 ? null : $place,
            'next' => array_map(static fn (Continuation $next): array => [
                'kind' => $next->item instanceof StrikeItem ? 'strike' : 'move',
                'text' => $writer->item($next->item, $stance),
                'words' => Words::byRole()->item($next->item, $stance),
                'role' => $next->item instanceof StrikeItem ? $next->item->strike->role->value : null,
                'limb' => $next->item instanceof StrikeItem ? $next->item->strike->limb->value : null,
                'target' => $next->item instanceof StrikeItem ? $next->item->target->word() : null,
                'waitMs' => (int) round($next->wait),
                'verdict' => $next->verdict->value,
                'cause' => $next->cause?->value,
                'reason' => $next->reason,
            ], $this->next->after($items, $options)),
        ];
    }
}
