<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/**
 * Reads the fields of one object of a written plan. An invalid value is reported with its place and replaced by the
 * default.
 */
final class PlanFields
{
    /** @var list<PlanProblem> */
    private array $problems = [];

    /** @param array<array-key, mixed> $values */
    public function __construct(
        private readonly array $values,
        public readonly string $place,
        public readonly string $where,
        private readonly ?self $root = null,
    ) {
    }

    /** @return list<PlanProblem> */
    public function problems(): array
    {
        return $this->problems;
    }

    public function problem(string $message, string $field = '', bool $stops = true): void
    {
        $this->note(new PlanProblem($this->at($field), $this->where, $message, $stops));
    }

    public function note(PlanProblem $problem): void
    {
        $root = $this->root ?? $this;
        $root->problems[] = $problem;
    }

    public function has(string $field): bool
    {
        return isset($this->values[$field]);
    }

    public function raw(string $field): mixed
    {
        return $this->values[$field] ?? null;
    }

    public function whole(string $field, string $what, int $least, int $most, int $usual): int
    {
        return $this->optional($field, $what, $least, $most) ?? $usual;
    }

    public function optional(string $field, string $what, int $least, int $most): ?int
    {
        $value = $this->values[$field] ?? null;
        if (null === $value) {
            return null;
        }
        if (\is_float($value) && floor($value) === $value && abs($value) < 1e9) {
            $value = (int) $value;
        }
        if (!\is_int($value) || $value < $least || $value > $most) {
            $this->problem(
                \sprintf(
                    '%s is a whole number from %s to %s, not %s.',
                    $what,
                    number_format($least),
                    number_format($most),
                    self::shown($value),
                ),
                $field,
            );

            return \is_int($value) ? max($least, min($most, $value)) : null;
        }

        return $value;
    }

    public function number(string $field, string $what, float $least, float $most, float $usual): float
    {
        $value = $this->values[$field] ?? $usual;
        if ((!\is_int($value) && !\is_float($value)) || $value < $least || $value > $most) {
            $this->problem(
                \sprintf('%s is a number from %s to %s, not %s.', $what, $least, $most, self::shown($value)),
                $field,
            );

            return $usual;
        }

        return (float) $value;
    }

    public function text(string $field, string $what, int $most, string $usual = ''): string
    {
        $value = $this->values[$field] ?? $usual;
        if (!\is_string($value) || mb_strlen($value) > $most) {
            $this->problem(\sprintf('%s is a text of at most %d characters.', $what, $most), $field);

            return \is_string($value) ? mb_substr($value, 0, $most) : $usual;
        }

        return $value;
    }

    public function flag(string $field, bool $usual): bool
    {
        $value = $this->values[$field] ?? $usual;
        if (!\is_bool($value)) {
            $this->problem(\sprintf('"%s" is true or false, not %s.', $field, self::shown($value)), $field);

            return $usual;
        }

        return $value;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param T $usual
     *
     * @return T
     */
    public function choice(string $field, string $what, \BackedEnum $usual): \BackedEnum
    {
        $value = $this->values[$field] ?? $usual->value;
        $case = \is_string($value) ? $usual::tryFrom($value) : null;
        if (null === $case) {
            $this->problem(
                \sprintf(
                    '%s is %s, not %s.',
                    $what,
                    implode(
                        ' or ',
                        array_map(static fn (\BackedEnum $case): string => (string) $case->value, $usual::cases()),
                    ),
                    self::shown($value),
                ),
                $field,
            );

            return $usual;
        }

        return $case;
    }

    /**
     * Reads the objects of a list.
     *
     * @param \Closure(int): string $where each in words, counted from 0
     *
     * @return list<self>
     */
    public function each(string $field, string $what, int $most, \Closure $where): array
    {
        $list = $this->values[$field] ?? [];
        if (!\is_array($list) || !array_is_list($list)) {
            $this->problem(\sprintf('%s are a list.', $what), $field);

            return [];
        }
        if (\count($list) > $most) {
            $this->problem(
                \sprintf('%s: %s are too many; at most %d are read.', $what, number_format(\count($list)), $most),
                $field,
            );
        }
        $fields = [];
        foreach (\array_slice($list, 0, $most) as $index => $values) {
            $part = $this->child($values, $field."[$index]", $where($index));
            if (null !== $part) {
                $fields[] = $part;
            }
        }

        return $fields;
    }

    /** @return self|null null when it is no object, which is noted */
    public function child(mixed $values, string $field, string $where): ?self
    {
        if (!\is_array($values) || ([] !== $values && array_is_list($values))) {
            $this->problem(\sprintf('%s is an object with fields, not %s.', $where, self::shown($values)), $field);

            return null;
        }

        return new self($values, $this->at($field), $where, $this->root ?? $this);
    }

    public function at(string $field): string
    {
        return '' === $this->place || '' === $field ? $this->place.$field : $this->place.'.'.$field;
    }

    /** Returns a value as it is quoted in a sentence. */
    public static function shown(mixed $value): string
    {
        return match (true) {
            null === $value => 'nothing',
            \is_int($value) => number_format($value),
            \is_float($value) => (string) $value,
            \is_bool($value) => $value ? 'true' : 'false',
            \is_string($value) => '"'.mb_strimwidth($value, 0, 40, '…').'"',
            default => 'a list or an object',
        };
    }
}
