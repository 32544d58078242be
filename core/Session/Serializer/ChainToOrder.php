<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Technique\Stance;

/** A chain of a question for an order. */
final readonly class ChainToOrder
{
    /** @param int|null $level worked out when null */
    public function __construct(public string $text, public Stance $stance, public ?int $level = null)
    {
    }
}
