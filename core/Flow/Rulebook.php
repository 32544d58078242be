<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

/** Every rule that Periplus knows, in the order in which a coach would raise them. */
final readonly class Rulebook
{
    /** @return list<Rule> */
    public static function all(): array
    {
        return [
            new Rules\RangeJump(),
            new Rules\Overcommitted(),
            new Rules\SquareStance(),
            new Rules\UnannouncedKick(),
            new Rules\KickOnLine(),
            new Rules\HandBeforeKick(),
            new Rules\HandAndKick(),
            new Rules\SpinUnsecured(),
            new Rules\StaticHead(),
            new Rules\SameSideRun(),
            new Rules\OneHeight(),
            new Rules\ColdOpen(),
            new Rules\NoExit(),
            new Rules\AllHard(),
            new Rules\TempoLimit(),
            new Rules\OutsideRules(),
            new Rules\BagWrist(),
            new Rules\YouthLimits(),
            new Rules\HeadThenBody(),
            new Rules\BodyThenHead(),
            new Rules\AngleTaken(),
            new Rules\Accelerates(),
        ];
    }
}
