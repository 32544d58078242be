<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

/** The text whose recorded clip is to be deleted. */
final readonly class ForgetClipRequest
{
    public function __construct(public string $text)
    {
    }
}
