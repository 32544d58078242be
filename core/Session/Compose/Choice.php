<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** A combination that was chosen, and why. */
final readonly class Choice
{
    public function __construct(public Candidate $candidate, public string $why)
    {
    }
}
