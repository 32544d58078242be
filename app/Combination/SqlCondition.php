<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

/** A part of an SQL statement, with the values of its placeholders. */
final readonly class SqlCondition
{
    /** @var list<mixed> */
    public array $values;

    public function __construct(public string $sql, mixed ...$values)
    {
        $this->values = array_values($values);
    }

    /**
     * Returns "IN (?, ?)" with as many placeholders as values.
     *
     * @param list<int|string> $values
     */
    public static function in(array $values): self
    {
        return [] === $values
            ? new self('IN (NULL)')
            : new self('IN ('.implode(', ', array_fill(0, \count($values), '?')).')', ...$values);
    }

    /** @param list<self> $conditions that all have to hold */
    public static function all(array $conditions): self
    {
        return self::joined('(', ') AND (', ')', $conditions);
    }

    /** @param list<self> $conditions of which one has to hold */
    public static function any(array $conditions): self
    {
        return self::joined('(', ') OR (', ')', $conditions);
    }

    /**
     * Joins parts with a text before, between and after them.
     *
     * @param list<self> $parts
     */
    public static function joined(string $before, string $between, string $after, array $parts): self
    {
        return new self(
            $before.implode($between, array_column($parts, 'sql')).$after,
            ...array_merge(...array_column($parts, 'values')),
        );
    }

    /** Returns the condition with SQL around it, such as a column before it. */
    public function within(string $before, string $after = ''): self
    {
        return new self($before.$this->sql.$after, ...$this->values);
    }
}
