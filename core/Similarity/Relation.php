<?php

declare(strict_types=1);

namespace Periplus\Core\Similarity;

use Periplus\Core\Combination\Sequence;

/** How a chain stands to another, the closest first. */
enum Relation: string
{
    case Same = 'same';
    case Mirror = 'mirror';
    case TargetDiffers = 'target-differs';
    case OneApart = 'one-apart';
    case ContainedIn = 'contained-in';
    case Contains = 'contains';
    case Alike = 'alike';

    /** As it is read before the name of the other. */
    public function words(): string
    {
        return match ($this) {
            self::Same => 'the same chain as',
            self::Mirror => 'the same limbs in the other stance as',
            self::TargetDiffers => 'another target than',
            self::OneApart => 'one item apart from',
            self::ContainedIn => 'contained in',
            self::Contains => 'contains',
            self::Alike => 'much like',
        };
    }

    /** The closest that holds from one to the other, mirrors aside; null when they are farther apart than near. */
    public static function between(Sequence $one, Sequence $other, EditDistance $distance): ?self
    {
        return match (true) {
            $one->items === $other->items => self::Same,
            \count($one->items) === \count($other->items)
                && self::bare($one) === self::bare($other) => self::TargetDiffers,
            self::oneApart($one->items, $other->items) => self::OneApart,
            // A single item is contained in half of the library, which says nothing.
            \count($one->items) > 1 && $other->contains($one) => self::ContainedIn,
            \count($other->items) > 1 && $one->contains($other) => self::Contains,
            $distance->distance($one, $other) <= $distance->near() => self::Alike,
            default => null,
        };
    }

    /** @return list<string> the items without targets and prefixes */
    private static function bare(Sequence $sequence): array
    {
        return array_map(static fn (string $item): string => Sequence::strikeSign($item) ?? $item, $sequence->items);
    }

    /**
     * Whether one item put in, left out or exchanged makes one of the other.
     *
     * @param list<string> $one
     * @param list<string> $other
     */
    private static function oneApart(array $one, array $other): bool
    {
        if (abs(\count($one) - \count($other)) > 1) {
            return false;
        }
        $same = 0;
        while (isset($one[$same], $other[$same]) && $one[$same] === $other[$same]) {
            ++$same;
        }
        $rest = static fn (array $items, int $from): array => \array_slice($items, $from);

        return match (\count($one) <=> \count($other)) {
            0 => $rest($one, $same + 1) === $rest($other, $same + 1),
            1 => $rest($one, $same + 1) === $rest($other, $same),
            -1 => $rest($one, $same) === $rest($other, $same + 1),
        };
    }
}
