<?php

declare(strict_types=1);

namespace Periplus\App\Run;

/** A recorded clip that is taken away. */
final readonly class ForgetClipRequest
{
    public function __construct(public string $text)
    {
    }
}
