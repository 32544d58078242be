<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Session\Plan\TimeCall;

/** What the voice of a gym says. */
final readonly class VoiceStyle
{
    /**
     * @param list<TimeCall> $timeCalls where the plan does not choose its own
     * @param bool $perSet whether times are called for each set; otherwise for the whole work between two rests
     */
    public function __construct(
        public Says $says = Says::Both,
        public array $timeCalls = [],
        public bool $perSet = false,
    ) {
    }
}
