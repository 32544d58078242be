<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The limb that lands. Hand and elbow are the same arm, leg and knee the same leg. */
enum Limb: string
{
    case Hand = 'hand';
    case Elbow = 'elbow';
    case Leg = 'leg';
    case Knee = 'knee';

    /** Tells whether the limb is an arm; otherwise it is a leg and the athlete stands on one foot. */
    public function isArm(): bool
    {
        return self::Hand === $this || self::Elbow === $this;
    }
}
