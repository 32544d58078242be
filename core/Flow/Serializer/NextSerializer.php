<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Next\Continuation;
use Periplus\Core\Flow\Next\Next;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;

/** Returns what could follow a text, as a JSON-ready array; docs/formats/suggest.md describes every key. */
final readonly class NextSerializer
{
    public function __construct(private Reader $reader, private Next $next)
    {
    }

    public static function builtIn(): self
    {
        return new self(Reader::builtIn(), Next::builtIn());
    }

    /**
     * @param int|null $caret place in the text, in characters: of the item there, or of the last one before it,
     *                        something is
     *                        to follow; of the last item when null
     *
     * @return array<string, mixed>
     */
    public function serialize(ChainText $text, CheckOptions $options, ?int $caret = null): array
    {
        $numbering = $text->numbering;
        $isEmpty = '' === trim($text->text);
        $reading = $isEmpty ? null : $this->reader->read($text->text, $numbering, $text->stance);
        $chain = $reading?->chain;
        if (null === $chain && !$isEmpty) {
            return ['after' => null, 'next' => []];
        }
        $place = null === $reading ? -1 : $reading->placeOf($caret);
        $items = null === $chain ? [] : \array_slice($chain->items, 0, $place + 1);
        $stance = $this->stance($chain, $text->stance, $place);
        $writer = new Writer($numbering);

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

    private function stance(?Chain $chain, Stance $start, int $place): Stance
    {
        if (null === $chain) {
            return $start;
        }
        $inStance = new ChainInStance($chain, $start);

        return $inStance->stances[$place + 1] ?? $inStance->end;
    }
}
