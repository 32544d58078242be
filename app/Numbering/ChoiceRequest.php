<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

/** Which numbering is chosen; null for none of one's own. */
final readonly class ChoiceRequest
{
    public function __construct(public ?string $numbering = null)
    {
    }
}
