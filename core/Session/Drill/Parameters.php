<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use function Periplus\Core\Language\t;

/** The values of a drill's parameters, with the defaults for those that are not set. */
final readonly class Parameters
{
    /** @param array<string, int|bool|string|list<int>|list<string>> $values every one that the drill names */
    private function __construct(private array $values)
    {
    }

    /**
     * @param list<Parameter> $parameters
     * @param array<array-key, mixed> $given
     */
    public static function read(array $parameters, array $given): ReadParameters
    {
        $values = $wrong = [];
        foreach ($parameters as $parameter) {
            $value = $given[$parameter->name] ?? null;
            $values[$parameter->name] = $parameter->usual;
            if (null === $value) {
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

                return \is_array($value) && \count($numbers) === \count($value) && \count($numbers) <= 12
                    ? array_values(array_filter($numbers, \is_int(...)))
                    : null;
            case ParameterKind::Choices:
                $chosen = \is_array($value) ? array_values(array_filter($value, $isChoice)) : [];

                return \is_array($value)
                    && [] !== $chosen
                    && \count($chosen) === \count($value)
                    && \count($chosen) <= 12
                    ? array_values(array_filter($chosen, \is_string(...)))
                    : null;
        }
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
                    'a list of at most 12 whole numbers of {unit} from {least} to {most}.',
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
