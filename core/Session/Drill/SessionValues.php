<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Technique\Data;

/** The house values for sessions, from core/data/session.json. */
final readonly class SessionValues
{
    /** @param array<string, int|float> $values */
    private function __construct(private array $values)
    {
    }

    public static function builtIn(): self
    {
        /** @var self|null $builtIn */
        static $builtIn = null;
        if (null === $builtIn) {
            /** @var array{values: array<string, array{value: int|float}>} $data */
            $data = Data::read('session');
            $builtIn = new self(array_map(static fn (array $row): int|float => $row['value'], $data['values']));
        }

        return $builtIn;
    }

    /** Returns the time from the end of one repetition to the start of the next for that level, in ms. */
    public function gapMs(int $level): int
    {
        return (int) (1000 * $this->value('gap'.$level));
    }

    public function value(string $name): int|float
    {
        return $this->values[$name]
            ?? throw new \OutOfBoundsException(\sprintf('core/data/session.json has no "%s".', $name));
    }
}
