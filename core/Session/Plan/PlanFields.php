<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Session\Drill\DrillFix;

use function Periplus\Core\Language\t;

/**
 * Reads the fields of one object of a written plan. An invalid value is reported with its place and replaced by the
 * default.
 */
final class PlanFields
{
    private const MAX_WORDS = 24;

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

    public function problem(string $message, string $field = '', bool $stops = true, ?DrillFix $fix = null): void
    {
        $this->note(
            new PlanProblem(
                $this->at($field),
                $this->where,
                $message,
                $stops,
                null === $fix ? null : new PlanFix($this->at($fix->ofParameters ? 'parameters' : ''), $fix),
            ),
        );
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
                t(
                    '{what} is a whole number from {least} to {most}, not {value}.',
                    what: $what,
                    least: number_format($least),
                    most: number_format($most),
                    value: self::shown($value),
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
                t(
                    '{what} is a number from {least} to {most}, not {value}.',
                    what: $what,
                    least: $least,
                    most: $most,
                    value: self::shown($value),
                ),
                $field,
            );

            return $usual;
        }

        return (float) $value;
    }

    /** Returns the tempo of a part of the session, or that of the whole. */
    public function tempo(float $usual): float
    {
        return $this->number('tempo', t('The tempo'), CheckOptions::FASTEST, CheckOptions::SLOWEST, $usual);
    }

    public function purpose(?Purpose $usual): ?Purpose
    {
        return $this->has('purpose') ? $this->choice('purpose', t('The purpose'), Purpose::Technique) : $usual;
    }

    public function text(string $field, string $what, int $most, string $usual = ''): string
    {
        $value = $this->values[$field] ?? $usual;
        if (!\is_string($value) || mb_strlen($value) > $most) {
            $this->problem(t('{what} is a text of at most {most} characters.', what: $what, most: $most), $field);

            return \is_string($value) ? mb_substr($value, 0, $most) : $usual;
        }

        return $value;
    }

    /** @return list<string> short texts, such as themes */
    public function words(string $field, string $what): array
    {
        $list = $this->values[$field] ?? [];
        $words = \is_array($list) ? array_values(array_filter($list, \is_string(...))) : [];
        if (!\is_array($list) || \count($words) !== \count($list) || \count($words) > self::MAX_WORDS) {
            $this->problem(t('{what} are a list of at most {most} words.', what: $what, most: self::MAX_WORDS), $field);
        }

        return \array_slice($words, 0, self::MAX_WORDS);
    }

    public function flag(string $field, bool $usual): bool
    {
        $value = $this->values[$field] ?? $usual;
        if (!\is_bool($value)) {
            $this->problem(
                t('"{field}" is true or false, not {value}.', field: $field, value: self::shown($value)),
                $field,
            );

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
                t('{what} is {cases}, not {value}.', what: $what, cases: implode(
                    ' or ',
                    array_map(static fn (\BackedEnum $case): string => (string) $case->value, $usual::cases()),
                ), value: self::shown($value)),
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
            $this->problem(t('{what} are a list.', what: $what), $field);

            return [];
        }
        if (\count($list) > $most) {
            $this->problem(
                t(
                    '{what}: {count} are too many; at most {most} are read.',
                    what: $what,
                    count: number_format(\count($list)),
                    most: $most,
                ),
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
            $this->problem(
                t('{where} is an object with fields, not {values}.', where: $where, values: self::shown($values)),
                $field,
            );

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
            default => t('a list or an object'),
        };
    }
}
