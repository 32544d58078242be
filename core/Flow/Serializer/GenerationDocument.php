<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Generate\Relaxation;

/** Generated chains; docs/formats/suggest.md describes every key. */
final readonly class GenerationDocument
{
    /**
     * @param list<GeneratedChain> $chains
     * @param int $asked how many were asked for
     * @param Relaxation|null $bent what was given up, because no chain met all criteria
     * @param list<Relaxation> $relax what could be given up for more chains
     */
    public function __construct(public array $chains, public int $asked, public ?Relaxation $bent, public array $relax)
    {
    }
}
