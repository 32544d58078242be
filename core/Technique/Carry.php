<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/**
 * The strike that replaces one without a counterpart when the same limb throws it from the other role, and the
 * reason.
 */
final readonly class Carry
{
    public function __construct(public string $to, public string $why)
    {
    }
}
