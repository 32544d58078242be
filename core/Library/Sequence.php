<?php

declare(strict_types=1);

namespace Periplus\Core\Library;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;

/**
 * A chain by role as one short line of bytes, for storing, searching and comparing: the marks of an item, then its body.
 * A strike's body is its sign and its target (h, b, l), a move's is its sign, a beat is a comma, free strikes are "@" and
 * a byte 128 + count. Marks, in this order: "=" joined, "~" feinted, "!" lands forward. Effort is left out. A body ends an
 * item, so that one sequence is the beginning of another exactly when its chain is the beginning of the other.
 */
final readonly class Sequence
{
    public const JOINED = '=';
    public const FEINT = '~';
    public const LANDS = '!';
    public const BEAT = ',';
    public const FREE = '@';
    /** One item: its marks, then its body. */
    private const ITEM = '/[=~!]*(?:[A-Z&][hbl]|[ac-gi-km-z0-9]|,|@[\x80-\xff])/';

    /** @param list<string> $items each with its marks */
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

    public static function item(Item $item): string
    {
        return match (true) {
            $item instanceof StrikeItem => ($item->joined ? self::JOINED : '').($item->feint ? self::FEINT : '').($item->landsForward ? self::LANDS : '').$item->strike->sign.$item->target->value,
            $item instanceof MoveItem => $item->move->sign,
            $item instanceof Beat => self::BEAT,
            $item instanceof FreeStrikes => self::FREE.\chr(128 + $item->count),
            default => throw new \LogicException('There is no sign for '.$item::class),
        };
    }

    /** The sign of a strike, without its target and marks; null for what is no strike: no other body ends like a target. */
    public static function strikeSign(string $item): ?string
    {
        return \in_array($item[-1], ['h', 'b', 'l'], true) ? $item[-2] : null;
    }

    /** @return list<string> the signs of the strikes alone, in their order */
    public function strikes(): array
    {
        return array_values(array_filter(array_map(self::strikeSign(...), $this->items), static fn (?string $sign): bool => null !== $sign));
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
