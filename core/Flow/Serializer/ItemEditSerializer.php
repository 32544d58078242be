<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Mend\ItemEdit;
use Periplus\Core\Flow\Mend\ItemEdits;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\EditedText;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Catalogue;

/**
 * Returns the changes that can be made by hand to one item of a text, as a JSON-ready array; docs/formats/suggest.md
 * describes every key.
 */
final readonly class ItemEditSerializer
{
    private ItemEdits $edits;

    public function __construct(private Reader $reader, private Check $check, Catalogue $catalogue)
    {
        $this->edits = new ItemEdits($catalogue);
    }

    /**
     * @param int|null $caret place in the text, in characters, of the item; the last one when null
     *
     * @return array{at: int|null, edits: list<array<string, mixed>>} nothing in it when the text cannot be read
     */
    public function serialize(ReadChain $read, CheckOptions $options, ?int $caret): array
    {
        $chain = $read->inStance?->chain;
        if (null === $chain) {
            return ['at' => null, 'edits' => []];
        }
        $index = $read->reading->placeOf($caret);
        $stance = $read->text->stance;
        $edited = new EditedText($this->reader, $read);

        return [
            'at' => $index,
            'edits' => array_map(function (ItemEdit $edit) use ($chain, $edited, $stance, $options): array {
                $inStance = new ChainInStance(Chain::of(Edit::apply($chain->items, $edit->edits)), $stance);
                $result = $this->check->run($inStance, $options);

                return [
                    'kind' => $edit->kind->value,
                    'name' => $edit->name,
                    'target' => $edit->target?->word(),
                    'text' => $edited->with($edit->edits),
                    'at' => $edit->at,
                    'verdict' => $result->verdict->value,
                    'lengthMs' => (int) round($result->timing->length()),
                ];
            }, $this->edits->list($chain, $index))];
    }
}
