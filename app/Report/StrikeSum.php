<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\Core\Technique\Strike;

/** How often a strike was thrown. */
final readonly class StrikeSum
{
    public string $id;
    public string $name;
    public string $family;

    public function __construct(Strike $strike, public float $sum)
    {
        $this->id = $strike->id;
        $this->name = $strike->name;
        $this->family = $strike->family;
    }
}
