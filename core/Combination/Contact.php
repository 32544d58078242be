<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** The part of the opponent that an item reaches; depends on our side and on the opponent's stance. */
enum Contact: string
{
    case Liver = 'liver';
    case Spleen = 'spleen';
    case ThighInside = 'thigh-inside';
    case ThighOutside = 'thigh-outside';
    case OpenSide = 'open-side';
    case AwayFromRearHand = 'away-from-rear-hand';
    case TowardRearHand = 'toward-rear-hand';

    /** Returns the words that follow the name of a strike or move: "to the liver" in "left hook to the liver". */
    public function words(): string
    {
        return match ($this) {
            self::Liver => 'to the liver',
            self::Spleen => 'to the spleen side',
            self::ThighInside => 'inside of the lead thigh',
            self::ThighOutside => 'outside of the lead thigh',
            self::OpenSide => 'into the open side',
            self::AwayFromRearHand => 'away from their rear hand',
            self::TowardRearHand => 'toward their rear hand',
        };
    }
}
