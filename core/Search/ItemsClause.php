<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Combination\Sequence;
use Periplus\Core\Similarity\Family;

use function Periplus\Core\Language\t;

/**
 * Items at a place in the chain. The items of a run follow each other directly; between two runs ("then") there may be
 * anything, and after the end of a chain the exit footwork. Free strikes and beats match no term for a strike or move.
 */
final readonly class ItemsClause implements Clause
{
    private const BOUNDARY = '(?<!['.Sequence::PREFIXES.'])';

    /** @param non-empty-list<non-empty-list<ItemPattern>> $runs */
    public function __construct(public ChainPart $place, public array $runs, private string $text)
    {
    }

    public function says(): string
    {
        $says = implode(
            t(', then later '),
            array_map(
                static fn (array $run): string => implode(
                    t(' and directly '),
                    array_map(static fn (ItemPattern $pattern): string => $pattern->says, $run),
                ),
                $this->runs,
            ),
        );

        return $this->place->words()
            .' '
            .(ChainPart::No === $this->place ? (string) preg_replace('/^an? /', '', $says) : $says);
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->items($this);
    }

    /** Tells whether the pattern has to be found or must not be found. */
    public function wanted(): bool
    {
        return ChainPart::No !== $this->place;
    }

    /** Returns a regular expression over the bytes of a sequence, without delimiters. */
    public function pattern(): string
    {
        $runs = array_map(
            static fn (array $run): string => self::BOUNDARY
                .implode('', array_map(static fn (ItemPattern $pattern): string => $pattern->pattern(), $run)),
            $this->runs,
        );

        return (ChainPart::Starts === $this->place ? '^' : '')
            .implode('.*', $runs)
            .(ChainPart::Ends === $this->place ? '(?:'.implode('|', Family::footwork()).')*$' : '');
    }

    /** Matches a sequence item by item, without the regular expression. */
    public function matches(Sequence $sequence): bool
    {
        $found = match ($this->place) {
            ChainPart::Starts => $this->from($sequence->items, 0, 0, true),
            default => $this->from($sequence->items, 0, 0, false),
        };

        return $this->wanted() === $found;
    }

    /** @param list<string> $items */
    private function from(array $items, int $index, int $run, bool $here): bool
    {
        $patterns = $this->runs[$run] ?? null;
        if (null === $patterns) {
            // A chain that ends with a kick may still have exit footwork.
            return ChainPart::Ends !== $this->place
                || []
                    === array_filter(
                        \array_slice($items, $index),
                        static fn (string $item): bool => !\in_array($item, Family::footwork(), true),
                    );
        }
        for (; $index + \count($patterns) <= \count($items); ++$index) {
            $fits = true;
            foreach ($patterns as $step => $pattern) {
                $fits = $fits && $pattern->matches($items[$index + $step]);
            }
            if ($fits && $this->from($items, $index + \count($patterns), $run + 1, false)) {
                return true;
            }
            if ($here) {
                return false;
            }
        }

        return false;
    }
}
