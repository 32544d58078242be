<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Target;

/**
 * A chain by role as a short byte string, for storing, searching and comparing. Each item is its prefixes followed by
 * its code: for a strike its sign (a capital letter and a digit, so 260 are possible) and its target (h, b, l); for a
 * move its sign (a small letter and a digit); a comma for a beat; for free strikes "@", a byte from 128 up, their count
 * and their target; for free strikes with a choice "$", their count, and four bytes from 128 up for the choice.
 * Prefixes, in this order: "=" joined or "^" leg still up, "~" feinted, "!" lands forward, "<" behind or "|" half way.
 * Effort is left out. No code is the beginning of another, so one sequence is a prefix of another exactly when its
 * chain begins the other chain; and the first byte of a code never occurs elsewhere before a digit, so that a code is
 * only found where an item is.
 */
final readonly class Sequence
{
    public const JOINED = '=';
    public const FEINT = '~';
    public const LEG_UP = '^';
    public const FORWARD = '!';
    public const BEHIND = '<';
    public const HALF_WAY = '|';
    /** Every prefix. */
    public const PREFIXES = '=^~!<|';
    public const BEAT = ',';
    public const FREE = '@';
    public const CHOICE = '$';
    /** A regular expression for every choice. */
    public const CHOICE_PATTERN = '\$[\x80-\xff]{5}';
    /** Maximum number of bytes of one item. */
    public const MAX_ITEM_BYTES = 6;
    private const ITEM = '/[=^~!<|]*(?:[A-Z][0-9][hbl]|[a-z][0-9]|,|@[\x80-\xff]|'.self::CHOICE_PATTERN.')/';

    /** @param list<string> $items each with its prefixes */
    private function __construct(public array $items)
    {
    }

    public static function of(Chain $chain): self
    {
        return new self(array_map(self::item(...), $chain->items));
    }

    /** @throws \UnexpectedValueException when it is not what {@see text} wrote */
    public static function read(string $text): self
    {
        preg_match_all(self::ITEM, $text, $found);
        if (implode('', $found[0]) !== $text) {
            throw new \UnexpectedValueException('This is not a sequence.');
        }

        return new self($found[0]);
    }

    public function text(): string
    {
        return implode('', $this->items);
    }

    /**
     * Encodes free strikes: the count in the lower half of the byte, the target above it. A choice is four times seven
     * bits of its hash.
     *
     * @param list<StrikeItem> $choice
     */
    public static function free(int $count, ?Target $target, array $choice = []): string
    {
        if ([] !== $choice) {
            $hash = crc32(FreeStrikes::keyOf($choice));

            return self::CHOICE.\chr(128 + $count).implode('', array_map(
                static fn (int $place): string => \chr(128 + (($hash >> (7 * $place)) & 127)),
                range(0, 3),
            ));
        }
        $of = match ($target) {
            null => 0,
            Target::Head => 16,
            Target::Body => 32,
            Target::Leg => 48,
        };

        return self::FREE.\chr(128 + $of + $count);
    }

    public static function item(Item $item): string
    {
        return $item->accept(new ItemBytes());
    }

    /**
     * Returns the sign of a strike without target and prefixes, or null for other items: no other code ends like a
     * target.
     */
    public static function strikeSign(string $item): ?string
    {
        return \in_array($item[-1], ['h', 'b', 'l'], true) ? substr($item, -3, 2) : null;
    }

    /** @return list<string> the signs of the strikes alone, in their order */
    public function strikes(): array
    {
        return array_values(
            array_filter(
                array_map(self::strikeSign(...), $this->items),
                static fn (?string $sign): bool => null !== $sign,
            ),
        );
    }

    /** @return list<string> every proper beginning, the longest first */
    public function beginnings(): array
    {
        $beginnings = [];
        $text = '';
        foreach (\array_slice($this->items, 0, -1) as $item) {
            $text .= $item;
            array_unshift($beginnings, $text);
        }

        return $beginnings;
    }

    /** @return list<string> every run of two or more items that is not the whole, beginnings left out */
    public function runs(): array
    {
        $runs = [];
        $count = \count($this->items);
        for ($from = 1; $from < $count - 1; ++$from) {
            $text = $this->items[$from];
            for ($to = $from + 1; $to < $count; ++$to) {
                $text .= $this->items[$to];
                $runs[$text] = true;
            }
        }

        return array_map(strval(...), array_keys($runs));
    }

    public function startsWith(self $other): bool
    {
        return \array_slice($this->items, 0, \count($other->items)) === $other->items;
    }

    public function contains(self $other): bool
    {
        $count = \count($other->items);
        for ($from = 0; $from + $count <= \count($this->items); ++$from) {
            if (\array_slice($this->items, $from, $count) === $other->items) {
                return true;
            }
        }

        return false;
    }
}
