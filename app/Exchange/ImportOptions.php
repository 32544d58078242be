<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\Core\Technique\Stance;

/** Values for everything that a file does not say. */
final readonly class ImportOptions
{
    /** @param string|null $rules inferred for each chain when null */
    public function __construct(public string $numbering, public Stance $stance, public ?string $rules)
    {
    }
}
