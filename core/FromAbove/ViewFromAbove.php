<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

use Periplus\Core\Technique\Stance;

/** A chain seen from above, in one stance against one opponent. */
final readonly class ViewFromAbove
{
    /** Room around what stands on the floor, cm. */
    private const ROOM = 16.0;

    /**
     * @param bool $isOpen whether the stances differ
     * @param float $left edge of the floor that it shows, cm
     * @param float $top edge, cm
     * @param list<DrawnOpponent> $opponents where the opponent stands, one after the other
     * @param list<DrawnMoment> $moments the start first
     */
    public function __construct(
        public Stance $stance,
        public Stance $opponent,
        public bool $isOpen,
        public float $left,
        public float $top,
        public array $opponents,
        public array $moments,
    ) {
    }

    /**
     * Returns the edges of all that stands on the floor, with room around it.
     *
     * @param list<int>|null $places those moments alone; any when null
     */
    public function edges(?array $places = null): Edges
    {
        $parts = [];
        $moments =
            null === $places
                ? $this->moments
                : array_map(fn (int $at): DrawnMoment => $this->moments[$at], $places);
        foreach ([...$this->opponents, ...$moments] as $one) {
            array_push($parts, ...($one instanceof DrawnOpponent ? $one->parts : $one->us));
        }
        $x = array_map(static fn (DrawnPart $part): float => $part->x, $parts);
        foreach ($this->opponents as $opponent) {
            $x[] = $opponent->nameX();
        }
        $y = array_map(static fn (DrawnPart $part): float => $part->y, $parts);

        return new Edges(
            floor(min([0.0, ...$x]) - self::ROOM),
            floor(min([0.0, ...$y]) - self::ROOM),
            ceil(max([0.0, ...$x]) + self::ROOM),
            ceil(max([0.0, ...$y]) + self::ROOM),
        );
    }

    /** Returns the view of a floor of that size, in cm, with all that stands on it in its middle. */
    public function inTheMiddleOf(float $width, float $height): self
    {
        $edges = $this->edges();

        return new self(
            stance: $this->stance,
            opponent: $this->opponent,
            isOpen: $this->isOpen,
            left: ($edges->left + $edges->right - $width) / 2,
            top: ($edges->top + $edges->bottom - $height) / 2,
            opponents: $this->opponents,
            moments: $this->moments,
        );
    }

    /**
     * Returns the places of the moments that tell most, in their order: first those in which the side decides what is
     * reached, then those in which the feet move, then the start and the other strikes.
     *
     * @return list<int>
     */
    public function telling(int $most): array
    {
        $ranks = array_map(
            static fn (DrawnMoment $moment): int => match (true) {
                null !== $moment->blow?->where => 0,
                null !== $moment->way && null === $moment->blow => 1,
                null === $moment->at => 2,
                null !== $moment->blow => 3,
                default => 4,
            },
            $this->moments,
        );
        asort($ranks);
        $places = \array_slice(array_keys($ranks), 0, $most);
        sort($places);

        return $places;
    }
}
