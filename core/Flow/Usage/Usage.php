<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Usage;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Stance;

/**
 * How usual it is that one item follows another: counted in the chains that coaches call, which ship with the program
 * (common practice, no source), and in the library and the logbook of a gym. The start and the end of a chain count as
 * items, too; efforts and a foot that comes down half way do not.
 *
 * What was never counted is still possible: the share of an item after the last two is mixed with its share after the
 * last one, and that with its share among all items (linear interpolation of n-grams, Jelinek and Mercer 1980, with the
 * weights of Witten and Bell 1991; both from memory).
 */
final readonly class Usage
{
    /** The start and the end of a chain; no code of an item is like it. */
    public const EDGE = '.';
    /** How much an item that was never counted weighs beside those that were. */
    private const UNSEEN = 0.05;
    /** About how many items there are besides those that were counted. */
    private const MORE_ITEMS = 100;

    /** @var array<string, float|int> how often anything comes, by the code of the item before it */
    private array $linkTotals;
    /** @var array<string, float|int> the same by the codes of the two items before it */
    private array $tripleTotals;
    private float $total;

    /**
     * @param array<string, array<string, float>> $links how often an item comes, by the code of the item before it and
     *                                                   by its own
     * @param array<string, array<string, float>> $triples the same by the codes of the two items before it
     * @param array<string, float> $items how often each item comes
     */
    private function __construct(private array $links, private array $triples, private array $items)
    {
        $this->linkTotals = array_map(array_sum(...), $links);
        $this->tripleTotals = array_map(array_sum(...), $triples);
        $this->total = (float) array_sum($items);
    }

    /**
     * Returns what is common in the chains that ship.
     *
     * @param string $rules id of the house rules: chains of wider ones are not counted
     */
    public static function shipped(string $rules): self
    {
        /** @var array<string, self> $shipped */
        static $shipped = [];

        return $shipped[$rules] ??= self::counted(self::chains(self::within($rules)));
    }

    /** @return list<string> the ids of the house rules that those include, narrower ones first */
    public static function within(string $rules): array
    {
        $sets = BuiltInHouseRules::ids();
        $place = array_search($rules, $sets, true);

        return false === $place ? $sets : \array_slice($sets, 0, $place + 1);
    }

    /**
     * Counts the links of chains.
     *
     * @param iterable<array{list<string>, float}> $sequences the codes of the items of a chain, see {@see Sequence},
     *                                                        and how often it counts
     */
    public static function counted(iterable $sequences): self
    {
        [$links, $triples, $items] = [[], [], []];
        foreach ($sequences as [$codes, $times]) {
            [$last, $before] = [self::EDGE, self::EDGE];
            foreach ([...array_map(self::plain(...), $codes), self::EDGE] as $code) {
                $items[$code] = ($items[$code] ?? 0.0) + $times;
                $links[$before][$code] = ($links[$before][$code] ?? 0.0) + $times;
                $triples[$last.$before][$code] = ($triples[$last.$before][$code] ?? 0.0) + $times;
                [$last, $before] = [$before, $code];
            }
        }

        return new self($links, $triples, $items);
    }

    /** Returns the counts of both together. */
    public function with(self $other): self
    {
        return new self(
            self::sum($this->links, $other->links),
            self::sum($this->triples, $other->triples),
            self::sum(['' => $this->items], ['' => $other->items])[''],
        );
    }

    /** Tells whether the item was ever counted after that one; null is the start or the end of a chain. */
    public function knows(?Item $before, ?Item $item): bool
    {
        return isset($this->links[self::code($before)][self::code($item)]);
    }

    /** Tells whether anybody throws it. */
    public function knowsItem(Item $item): bool
    {
        return isset($this->items[self::code($item)]);
    }

    /**
     * Returns the share of that item among all that come there, 0 to 1.
     *
     * @param Item|null $last the item before the one before; null at the start
     * @param Item|null $before the item before it; null at the start
     * @param Item|null $item null for the end of the chain
     */
    public function share(?Item $last, ?Item $before, ?Item $item): float
    {
        return $this->shareOf(self::code($last), self::code($before), self::code($item));
    }

    private function shareOf(string $last, string $before, string $code): float
    {
        $among =
            (($this->items[$code] ?? 0.0) + self::UNSEEN)
            / ($this->total + self::UNSEEN * (\count($this->items) + self::MORE_ITEMS));
        $after = self::mixed($this->links[$before] ?? [], $this->linkTotals[$before] ?? 0, $code, $among);
        $both = $last.$before;

        return self::mixed($this->triples[$both] ?? [], $this->tripleTotals[$both] ?? 0, $code, $after);
    }

    /** Returns how unusual a chain is: the mean of its links in bits, start and end included. */
    public function rarity(Chain $chain): float
    {
        $bits = 0.0;
        [$last, $before] = [self::EDGE, self::EDGE];
        foreach ([...array_map(self::code(...), $chain->items), self::EDGE] as $code) {
            $bits -= log($this->shareOf($last, $before, $code), 2);
            [$last, $before] = [$before, $code];
        }

        return $bits / (\count($chain) + 1);
    }

    /** Returns how unusual the links of a chain are together, in bits. */
    public function surprise(Chain $chain): float
    {
        return $this->rarity($chain) * (\count($chain) + 1);
    }

    /**
     * @param array<string, float> $counts of what came there, by code
     * @param float|int $all the sum of the counts
     */
    private static function mixed(array $counts, float|int $all, string $code, float $otherwise): float
    {
        // The more kinds of items came there, the likelier is another one.
        $kinds = \count($counts);

        return 0 === $kinds
            ? $otherwise
            : (($counts[$code] ?? 0.0) + $kinds * $otherwise) / ($all + $kinds);
    }

    private static function code(?Item $item): string
    {
        return null === $item ? self::EDGE : self::plain(Sequence::item($item));
    }

    /** Returns the code of a kick that comes down half way as that of the kick. */
    private static function plain(string $code): string
    {
        return str_replace(Sequence::HALF_WAY, '', $code);
    }

    /**
     * @param array<string, array<string, float>> $one
     * @param array<string, array<string, float>> $other
     *
     * @return array<string, array<string, float>>
     */
    private static function sum(array $one, array $other): array
    {
        foreach ($other as $before => $counts) {
            foreach ($counts as $code => $count) {
                $one[$before][$code] = ($one[$before][$code] ?? 0.0) + $count;
            }
        }

        return $one;
    }

    /**
     * @param list<string> $sets ids of house rules
     *
     * @return iterable<array{list<string>, float}>
     */
    private static function chains(array $sets): iterable
    {
        foreach (Data::lines('usual-chains.tsv') as $line) {
            [$notation, $rules] = explode("\t", $line);
            if (\in_array($rules, $sets, true)) {
                $chain =
                    Reader::builtIn()->readStored($notation, Stance::Orthodox)->chain
                    ?? throw new \LogicException('A usual chain cannot be read: '.$notation);
                yield [Sequence::of($chain)->items, 1.0];
            }
        }
    }
}
