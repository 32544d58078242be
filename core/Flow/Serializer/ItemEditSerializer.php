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

/** Finds the changes that can be made by hand to one item of a text. */
final readonly class ItemEditSerializer
{
    private ItemEdits $edits;

    public function __construct(private Reader $reader, private Check $check, Catalogue $catalogue)
    {
        $this->edits = new ItemEdits($catalogue);
    }

    /** @param int|null $caret place in the text, in characters, of the item; the last one when null */
    public function serialize(ReadChain $read, CheckOptions $options, ?int $caret): ItemEditsDocument
    {
        $chain = $read->inStance?->chain;
        if (null === $chain) {
            return new ItemEditsDocument(null, []);
        }
        $index = $read->reading->placeOf($caret);
        $edited = new EditedText($this->reader, $read);

        return new ItemEditsDocument(
            $index,
            array_map(
                function (ItemEdit $edit) use ($chain, $read, $edited, $options): ItemEditDocument {
                    $after = Chain::of(Edit::apply($chain->items, $edit->edits));
                    $result = $this->check->run(new ChainInStance($after, $read->text->stance), $options);

                    return new ItemEditDocument(
                        kind: $edit->kind,
                        name: $edit->name,
                        target: $edit->target?->word(),
                        text: $edited->with($edit->edits),
                        at: $edit->at,
                        verdict: $result->verdict,
                        lengthMs: (int) round($result->timing->length()),
                    );
                },
                $this->edits->list($chain, $index),
            ),
        );
    }
}
