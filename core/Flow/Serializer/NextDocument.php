<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

/** What could follow a text; docs/formats/suggest.md describes every key. */
final readonly class NextDocument
{
    /**
     * @param int|null $after place of the item in the chain; null at its start, and when the text cannot be read
     * @param list<ContinuationDocument> $next
     */
    public function __construct(public ?int $after, public array $next)
    {
    }
}
