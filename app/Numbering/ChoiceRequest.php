<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

/** A choice of numbering; null for the gym's. */
final readonly class ChoiceRequest
{
    public function __construct(public ?string $numbering = null)
    {
    }
}
