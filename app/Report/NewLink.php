<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** A link that a step of a path brings. */
final readonly class NewLink
{
    /** @param int $link place in the chain */
    public function __construct(public int $link, public string $says)
    {
    }
}
