<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Technique\Side;

/** How the two stances face each other. */
final readonly class GuardDocument
{
    /**
     * @param bool $isOpen the lead feet are on one line
     * @param Side $out the side away from the opponent's rear hand
     */
    public function __construct(public bool $isOpen, public Side $out, public string $message)
    {
    }
}
