<?php

declare(strict_types=1);

namespace Periplus\Core\Similarity;

use Periplus\Core\Combination\Sequence;

use function Periplus\Core\Language\t;

/** The relation of one chain to another, the closest first. */
enum Relation: string
{
    case Same = 'same';
    case Mirror = 'mirror';
    case TargetDiffers = 'target-differs';
    case OneApart = 'one-apart';
    case ContainedIn = 'contained-in';
    case Contains = 'contains';
    case Alike = 'alike';

    /** Returns a rank for sorting: the closest is 0. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    /** Returns the words before the name of the other chain. */
    public function words(): string
    {
        return match ($this) {
            self::Same => t('the same chain as'),
            self::Mirror => t('the same limbs in the other stance as'),
            self::TargetDiffers => t('the same, except for targets, as'),
            self::OneApart => t('one item apart from'),
            self::ContainedIn => t('contained in'),
            self::Contains => t('contains'),
            self::Alike => t('similar to'),
        };
    }

    /** Returns the closest relation from one to the other, ignoring mirrors; null when they are not similar. */
    public static function between(Sequence $one, Sequence $other, EditDistance $distance): ?self
    {
        return match (true) {
            $one->items === $other->items => self::Same,
            \count($one->items) === \count($other->items)
                && self::bare($one) === self::bare($other) => self::TargetDiffers,
            self::oneApart($one->items, $other->items) => self::OneApart,
            // A single item occurs in half of the library, so containing it means nothing.
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
     * Tells whether inserting one item turns one into the other.
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
