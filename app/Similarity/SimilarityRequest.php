<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\Core\Technique\Stance;

/** A chain for which the library is asked whether it has it already. */
final readonly class SimilarityRequest
{
    /** @param int|null $except the combination that is being changed */
    public function __construct(public string $text, public string $numbering = 'parity', public Stance $stance = Stance::Orthodox, public ?int $except = null)
    {
    }
}
