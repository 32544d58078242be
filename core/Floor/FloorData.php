<?php

declare(strict_types=1);

namespace Periplus\Core\Floor;

use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Move;

/** Values for where people stand, from core/data/floor.json. */
final readonly class FloorData
{
    /**
     * @param array<string, float> $values by name
     * @param array<string, FloorMove> $moves by the id of the move
     */
    private function __construct(private array $values, private array $moves)
    {
    }

    public static function builtIn(): self
    {
        /** @var self|null $built */
        static $built = null;

        return $built ??= self::read();
    }

    /** @throws \OutOfBoundsException */
    public function value(string $name): float
    {
        return $this->values[$name] ?? throw new \OutOfBoundsException(\sprintf('There is no value "%s".', $name));
    }

    public function move(Move $move): FloorMove
    {
        return $this->moves[$move->id] ?? new FloorMove();
    }

    private static function read(): self
    {
        /**
         * @var array{
         *     values: array<string, array{value: int|float}>,
         *     moves: array<string, array{
         *         ahead?: int|float, lead?: int|float, turn?: int|float, around?: int|float,
         *     }>,
         * } $data
         */
        $data = Data::read('floor');

        return new self(
            array_map(static fn (array $row): float => (float) $row['value'], $data['values']),
            array_map(
                static fn (array $row): FloorMove => new FloorMove(
                    (float) ($row['ahead'] ?? 0),
                    (float) ($row['lead'] ?? 0),
                    (float) ($row['turn'] ?? 0),
                    (float) ($row['around'] ?? 0),
                ),
                $data['moves'],
            ),
        );
    }
}
