<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

/** A clip that a coach recorded. */
final readonly class ClipRequest
{
    /** @param string $wav the file, in base64 */
    public function __construct(public string $text, public string $wav)
    {
    }
}
