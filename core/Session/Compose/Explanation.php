<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** The reason for a part of a generated session, in one sentence. */
final readonly class Explanation
{
    public function __construct(public string $place, public string $message)
    {
    }
}
