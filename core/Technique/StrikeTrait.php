<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** What a strike is like beside its numbers; core/data/techniques.json says of which each holds. */
enum StrikeTrait: string
{
    /** A beginners' course teaches it. */
    case Basic = 'basic';
    /** It is thrown every day. */
    case Daily = 'daily';
    /** It prepares other strikes and needs nothing before it. */
    case SetsUp = 'sets-up';
    case LandsWithShin = 'lands-with-shin';
    /** The feet change under the body. */
    case UnderBody = 'under-body';
    /** Both feet leave the ground. */
    case Leaps = 'leaps';
    /** It can roll the wrist on a bag. */
    case BendsWrist = 'bends-wrist';
    /** It takes the head off the line. */
    case MovesHead = 'moves-head';
    /** The role that is meant when none is named. */
    case Usual = 'usual';
    /** Its role is meant at the start of a chain. */
    case UsualFirst = 'usual-first';
    /** Its role is meant after a lead straight. */
    case UsualAfterJab = 'usual-after-jab';
}
