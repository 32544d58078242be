<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;

/** Every rule that Periplus knows, in the order in which a coach would raise them. */
final readonly class RuleRegistry
{
    /** @return list<Rule> */
    public static function all(): array
    {
        return [
            new RangeJump(),
            new Overcommitted(),
            new SquareStance(),
            new UnannouncedKick(),
            new KickOnLine(),
            new HandBeforeKick(),
            new HandAndKick(),
            new SpinUnsecured(),
            new StaticHead(),
            new SameSideRun(),
            new OneHeight(),
            new ColdOpen(),
            new NoExit(),
            new AllHard(),
            new TempoLimit(),
            new OutsideRules(),
            new BagWrist(),
            new YouthLimits(),
            new HeadThenBody(),
            new BodyThenHead(),
            new AngleTaken(),
            new Accelerates(),
        ];
    }
}
