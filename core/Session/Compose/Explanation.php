<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** Why a part of a generated session is as it is. */
final readonly class Explanation
{
    public function __construct(public string $place, public string $message)
    {
    }
}
