<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/** Reports a chain that cannot be thrown or is too long; the message is shown to coaches. */
final class InvalidChain extends \DomainException
{
    public static function target(Strike $strike, Target $target): self
    {
        $may = implode(t(' or '), array_map(static fn (Target $t): string => $t->word(), $strike->targets));

        return new self(
            t(
                'The {strike} does not go to the {target}, only to {allowed}.',
                strike: $strike->name,
                target: $target->word(),
                allowed: $may,
            ),
        );
    }

    public static function landing(Strike $strike, Landing $landing): self
    {
        return new self(
            match ($landing) {
                Landing::Behind => t(
                    'Only a kick or knee of the lead leg can land behind, the {strike} cannot.',
                    strike: $strike->name,
                ),
                Landing::HalfWay => t(
                    'Only a kick or knee of the rear leg can land half way, the {strike} cannot.',
                    strike: $strike->name,
                ),
                default => t(
                    'Only a kick or knee of the rear leg can land forward, the {strike} cannot.',
                    strike: $strike->name,
                ),
            },
        );
    }

    public static function legUp(Strike $strike): self
    {
        return new self(
            t(
                'A leg stays up only from one kick or knee to the next of the same leg; the {strike} cannot follow so.',
                strike: $strike->name,
            ),
        );
    }

    public static function startsLater(Move $move): self
    {
        return new self(t('Where a chain begins, {move}, stands before everything else.', move: $move->words()));
    }

    public static function joinsMove(Move $move): self
    {
        return new self(
            t('No such strike goes together with {move}; put it after the move, without the +.', move: $move->words()),
        );
    }

    public static function free(int $count): self
    {
        return new self(
            t(
                'Free strikes are 1 to {maxCount} at a time, not {count}.',
                maxCount: FreeStrikes::MAX_COUNT,
                count: $count,
            ),
        );
    }

    public static function choice(): self
    {
        return new self(
            t(
                'A choice names 2 to {maxChoice} strikes, each with its own target: *(1,2)3.',
                maxChoice: FreeStrikes::MAX_CHOICE,
            ),
        );
    }

    public static function tooLong(): self
    {
        return new self(t('A chain holds at most {maxItems} items.', maxItems: Chain::MAX_ITEMS));
    }

    public static function joinsNothing(): self
    {
        return new self(t('A strike joined with + needs a delivered strike or a move directly before it.'));
    }

    public static function joinsSameLimb(Strike $strike): self
    {
        return new self(
            t(
                'Two strikes land together only from different limbs; the {strike} uses the limb of the strike it is '
                    .'joined to.',
                strike: $strike->name,
            ),
        );
    }

    public static function joinsLanding(Strike $strike): self
    {
        return new self(
            t(
                'Of strikes that land together only the last can land in front or behind; put the {strike} before it.',
                strike: $strike->name,
            ),
        );
    }

    public static function joinedFeint(Strike $strike): self
    {
        return new self(
            t('A feint lands nowhere, so the {strike} cannot be feinted and joined.', strike: $strike->name),
        );
    }
}
