<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** Several of one strike from one phrase, "ten straights", written out as they were read and the other way round. */
final readonly class CountedRow
{
    /** From how many on the row is written as a repeat. */
    private const LONG = 4;

    /** @param non-empty-list<StrikeItem> $items */
    public function __construct(private array $items, private Catalogue $catalogue)
    {
    }

    /** Says how the row was read. */
    public function message(string $said): string
    {
        return $this->alternates()
            ? t(
                '"{said}" alternates, the {side} side first.',
                said: $said,
                side: $this->items[0]->strike->role->value,
            )
            : t('"{said}" is thrown by the same side, as usual.', said: $said);
    }

    /** @return list<string> the row as it was read, and the row that begins with the other side or alternates */
    public function choices(): array
    {
        $first = $this->items[0]->strike->role;
        $texts = [$this->written($this->items)];
        $other = [];
        foreach ($this->items as $place => $item) {
            $role = $this->alternates() ? $item->strike->role->other() : self::inTurn($first, $place);
            $strike = $this->catalogue->inFamily($item->strike->family, $role);
            if (null === $strike) {
                return [];
            }
            $other[] = $item->by($strike, $item->target);
        }

        return [...$texts, $this->written($other)];
    }

    private function alternates(): bool
    {
        foreach ($this->items as $place => $item) {
            if ($item->strike->role !== self::inTurn($this->items[0]->strike->role, $place)) {
                return false;
            }
        }

        return true;
    }

    private static function inTurn(Role $first, int $place): Role
    {
        return 0 === $place % 2 ? $first : $first->other();
    }

    /** @param list<StrikeItem> $items */
    private function written(array $items): string
    {
        $words = array_map(
            static fn (StrikeItem $item): string => Words::byRole()->item($item, Stance::Orthodox),
            $items,
        );
        $pairs = intdiv(\count($words), 2);
        $pair = implode(', ', \array_slice($words, 0, 2));
        $isRepeat =
            \count($words) >= self::LONG
            && [] === array_filter(
                $words,
                static fn (string $word, int $place): bool => $word !== $words[$place % 2],
                \ARRAY_FILTER_USE_BOTH,
            );

        return $isRepeat
            ? "[$pair]x$pairs".(0 === \count($words) % 2 ? '' : ', '.$words[0])
            : implode(', ', $words);
    }
}
