<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

/** The changes that can be made by hand to one item; docs/formats/suggest.md describes every key. */
final readonly class ItemEditsDocument
{
    /**
     * @param int|null $at place of the item in the chain; null when the text cannot be read
     * @param list<ItemEditDocument> $edits
     */
    public function __construct(public ?int $at, public array $edits)
    {
    }
}
