<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** What lands. Hand and elbow are one arm, leg and knee are one leg. */
enum Limb: string
{
    case Hand = 'hand';
    case Elbow = 'elbow';
    case Leg = 'leg';
    case Knee = 'knee';

    /** Whether the limb is an arm; otherwise it is a leg and the strike stands on one foot. */
    public function isArm(): bool
    {
        return self::Hand === $this || self::Elbow === $this;
    }
}
