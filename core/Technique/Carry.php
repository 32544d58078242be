<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** What a strike without a counterpart becomes when the same limb throws it from the other role, and why. */
final readonly class Carry
{
    public function __construct(public string $to, public string $why)
    {
    }
}
