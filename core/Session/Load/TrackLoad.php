<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Load;

use Periplus\Core\Technique\Stance;

/** The load of a session for an athlete of a track and a stance. */
final readonly class TrackLoad
{
    /** @param int|null $track null when everybody works together */
    public function __construct(public ?int $track, public Stance $stance, public Load $load)
    {
    }
}
