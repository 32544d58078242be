<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

/** Thrown for a chain that nobody can throw or that is too long; the message is shown to coaches. */
final class InvalidChain extends \DomainException
{
    public static function target(Strike $strike, Target $target): self
    {
        $may = implode(' or ', array_map(static fn (Target $t): string => $t->word(), $strike->targets));

        return new self(\sprintf('The %s does not go to the %s, only to %s.', $strike->name, $target->word(), $may));
    }

    public static function landing(Strike $strike): self
    {
        return new self(
            \sprintf('Only a kick or knee of the rear leg can land forward, the %s cannot.', $strike->name),
        );
    }

    public static function free(int $count): self
    {
        return new self(\sprintf('Free strikes are 1 to %d at a time, not %d.', FreeStrikes::MAX_COUNT, $count));
    }

    public static function tooLong(): self
    {
        return new self(\sprintf('A chain holds at most %d items.', Chain::MAX_ITEMS));
    }

    public static function joinsNothing(): self
    {
        return new self('A strike joined with + needs a delivered strike directly before it.');
    }

    public static function joinsSameLimb(Strike $strike): self
    {
        return new self(
            \sprintf(
                'Two strikes land together only from different limbs; the %s uses the limb of the strike it is '
                    .'joined to.',
                $strike->name,
            ),
        );
    }

    public static function joinsLanding(Strike $strike): self
    {
        return new self(
            \sprintf(
                'Of strikes that land together only the last can land forward; put the %s before it.',
                $strike->name,
            ),
        );
    }

    public static function joinedFeint(Strike $strike): self
    {
        return new self(\sprintf('A feint lands nowhere, so the %s cannot be feinted and joined.', $strike->name));
    }
}
