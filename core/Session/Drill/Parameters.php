<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** The values of a drill's parameters, with the defaults for those that are not set. */
final readonly class Parameters
{
    /** Maximum number of values in a list. */
    private const MAX_VALUES = 24;

    /**
     * @param array<
     *     string,
     *     int|bool|string|list<int>|list<string>|list<Chain|null>,
     * > $values every one that the drill names; chains as they were read
     */
    private function __construct(private array $values)
    {
    }

    /**
     * @param list<Parameter> $parameters
     * @param array<array-key, mixed> $given
     * @param (\Closure(string): (Chain|string))|null $chain reads a chain, or says why it cannot; the parity numbering
     *                                                       when null
     */
    public static function read(array $parameters, array $given, ?\Closure $chain = null): ReadParameters
    {
        $chain ??= static fn (string $text): Chain|string => Reader::builtIn()
            ->readStored($text, Stance::Orthodox)
            ->chain
            ?? t('It cannot be read.');
        $values = $wrong = [];
        foreach ($parameters as $parameter) {
            $value = $given[$parameter->name] ?? null;
            $values[$parameter->name] = ParameterKind::Chain === $parameter->kind ? [] : $parameter->usual;
            if (null === $value) {
                continue;
            }
            if (\in_array($parameter->kind, [ParameterKind::Chain, ParameterKind::Chains], true)) {
                $read = self::chainsOf($parameter, $value, $chain);
                $wrong += \is_string($read) ? [$parameter->name => $read] : [];
                $values[$parameter->name] = \is_string($read) ? [] : $read;
                continue;
            }
            $taken = self::take($parameter, $value);
            if (null === $taken) {
                $wrong[$parameter->name] = self::expected($parameter);
            } else {
                $values[$parameter->name] = $taken;
            }
        }
        foreach (array_diff_key($given, $values) as $name => $value) {
            $wrong[(string) $name] = t(
                'This drill has no "{name}"; it has {known}.',
                name: mb_strimwidth((string) $name, 0, 40, '…'),
                known: [] === $values ? t('nothing to set') : implode(', ', array_keys($values)),
            );
        }

        return new ReadParameters(new self($values), $wrong);
    }

    public function whole(string $name): int
    {
        $value = $this->values[$name] ?? null;

        return \is_int($value) ? $value : throw $this->missing($name);
    }

    /** @return list<int> */
    public function wholes(string $name): array
    {
        $value = $this->values[$name] ?? null;

        return \is_array($value) ? array_values(array_filter($value, \is_int(...))) : throw $this->missing($name);
    }

    public function text(string $name): string
    {
        $value = $this->values[$name] ?? null;

        return \is_string($value) ? $value : throw $this->missing($name);
    }

    /** @return list<string> */
    public function choices(string $name): array
    {
        $value = $this->values[$name] ?? null;

        return \is_array($value) ? array_values(array_filter($value, \is_string(...))) : throw $this->missing($name);
    }

    /** Returns a chain; null when none is given. */
    public function chain(string $name): ?Chain
    {
        return $this->chains($name)[0] ?? null;
    }

    /** @return list<Chain|null> null where one of several was left open */
    public function chains(string $name): array
    {
        $value = $this->values[$name] ?? null;
        $chains = [];
        foreach (\is_array($value) ? $value : throw $this->missing($name) as $one) {
            $chains[] = null === $one || $one instanceof Chain ? $one : throw $this->missing($name);
        }

        return $chains;
    }

    public function flag(string $name): bool
    {
        $value = $this->values[$name] ?? null;

        return \is_bool($value) ? $value : throw $this->missing($name);
    }

    /** @return int|bool|string|list<int>|list<string>|null null when it cannot be taken */
    private static function take(Parameter $parameter, mixed $value): int|bool|string|array|null
    {
        $isIn = static fn (mixed $number): bool => \is_int($number)
            && $number >= $parameter->least
            && $number <= $parameter->most;
        $isChoice = static fn (mixed $choice): bool => \is_string($choice) && isset($parameter->choices[$choice]);
        switch ($parameter->kind) {
            case ParameterKind::Whole:
                return $isIn($value) && \is_int($value) ? $value : null;
            case ParameterKind::Flag:
                return \is_bool($value) ? $value : null;
            case ParameterKind::Text:
            case ParameterKind::Exercise:
                return \is_string($value) && mb_strlen($value) <= $parameter->most ? $value : null;
            case ParameterKind::Choice:
                return $isChoice($value) && \is_string($value) ? $value : null;
            case ParameterKind::Wholes:
                $numbers = \is_array($value) ? array_values(array_filter($value, $isIn)) : [];

                return \is_array($value)
                    && \count($numbers) === \count($value)
                    && \count($numbers) <= self::MAX_VALUES
                    ? array_values(array_filter($numbers, \is_int(...)))
                    : null;
            case ParameterKind::Themes:
                $isWord = static fn (mixed $word): bool => \is_string($word)
                    && '' !== trim($word)
                    && mb_strlen($word) <= $parameter->most;
                $words = \is_array($value) ? array_values(array_filter($value, $isWord)) : [];

                return \is_array($value)
                    && [] !== $words
                    && \count($words) === \count($value)
                    && \count($words) <= self::MAX_VALUES
                    ? array_values(array_filter($words, \is_string(...)))
                    : null;
            case ParameterKind::Chain:
            case ParameterKind::Chains:
                throw new \LogicException('Chains are read by chainsOf().');
            case ParameterKind::Choices:
                $chosen = \is_array($value) ? array_values(array_filter($value, $isChoice)) : [];

                return \is_array($value)
                    && [] !== $chosen
                    && \count($chosen) === \count($value)
                    && \count($chosen) <= self::MAX_VALUES
                    ? array_values(array_filter($chosen, \is_string(...)))
                    : null;
        }
    }

    /**
     * @param \Closure(string): (Chain|string) $read
     *
     * @return list<Chain|null>|string what is wrong
     */
    private static function chainsOf(Parameter $parameter, mixed $value, \Closure $read): array|string
    {
        $texts = ParameterKind::Chain === $parameter->kind ? [$value] : $value;
        if (!\is_array($texts) || \count($texts) > self::MAX_VALUES) {
            return self::expected($parameter);
        }
        $chains = [];
        foreach ($texts as $text) {
            if (!\is_string($text) || mb_strlen($text) > $parameter->most) {
                return self::expected($parameter);
            }
            $chain = '' === trim($text) ? null : $read($text);
            if (\is_string($chain)) {
                return t('"{title}": {why}', title: $parameter->title, why: $chain);
            }
            $chains[] = $chain;
        }

        return ParameterKind::Chain === $parameter->kind && [null] === $chains ? [] : $chains;
    }

    private static function expected(Parameter $parameter): string
    {
        return t('"{title}" is ', title: $parameter->title).
            match ($parameter->kind) {
                ParameterKind::Whole => t(
                    'a whole number of {unit} from {least} to {most}.',
                    unit: $parameter->unit,
                    least: $parameter->least,
                    most: $parameter->most,
                ),
                ParameterKind::Wholes => t(
                    'a list of at most {count} whole numbers of {unit} from {least} to {most}.',
                    count: self::MAX_VALUES,
                    unit: $parameter->unit,
                    least: $parameter->least,
                    most: $parameter->most,
                ),
                ParameterKind::Flag => t('true or false.'),
                ParameterKind::Text, ParameterKind::Exercise => t(
                    'a text of at most {most} characters.',
                    most: $parameter->most,
                ),
                ParameterKind::Choice => implode(t(' or '), array_keys($parameter->choices)).'.',
                ParameterKind::Themes => t(
                    'a list of at least one theme, of at most {most} characters each.',
                    most: $parameter->most,
                ),
                ParameterKind::Chain => t('a chain.'),
                ParameterKind::Chains => t('a list of at most {count} chains.', count: self::MAX_VALUES),
                ParameterKind::Choices => t('a list of at least one of ').
                    implode(', ', array_keys($parameter->choices)).
                    '.',
            };
    }

    private function missing(string $name): \LogicException
    {
        return new \LogicException(\sprintf('The drill does not name the parameter "%s" of that kind.', $name));
    }
}
