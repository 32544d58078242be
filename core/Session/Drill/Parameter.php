<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Notation\Reader;

/** A setting of a drill. */
final readonly class Parameter
{
    /**
     * @param string $title the label of the field
     * @param int|bool|string|list<int>|list<string> $usual
     * @param int $least of a number; of several numbers each
     * @param int $most of a number; of a text its characters
     * @param string $unit of a number
     * @param array<string, string> $choices their words by value
     */
    private function __construct(
        public string $name,
        public string $title,
        public ParameterKind $kind,
        public int|bool|string|array $usual,
        public int $least = 0,
        public int $most = 0,
        public string $unit = '',
        public array $choices = [],
    ) {
    }

    public static function whole(string $name, string $title, int $usual, int $least, int $most, string $unit): self
    {
        return new self(
            name: $name,
            title: $title,
            kind: ParameterKind::Whole,
            usual: $usual,
            least: $least,
            most: $most,
            unit: $unit,
        );
    }

    /** @param list<int> $usual */
    public static function wholes(string $name, string $title, array $usual, int $least, int $most, string $unit): self
    {
        return new self(
            name: $name,
            title: $title,
            kind: ParameterKind::Wholes,
            usual: $usual,
            least: $least,
            most: $most,
            unit: $unit,
        );
    }

    /** @param array<string, string> $choices */
    public static function choice(string $name, string $title, string $usual, array $choices): self
    {
        return new self($name, $title, ParameterKind::Choice, $usual, choices: $choices);
    }

    /**
     * @param list<string> $usual
     * @param array<string, string> $choices
     */
    public static function choices(string $name, string $title, array $usual, array $choices): self
    {
        return new self($name, $title, ParameterKind::Choices, $usual, choices: $choices);
    }

    public static function flag(string $name, string $title, bool $usual): self
    {
        return new self($name, $title, ParameterKind::Flag, $usual);
    }

    public static function text(string $name, string $title, int $most): self
    {
        return new self($name, $title, ParameterKind::Text, '', most: $most);
    }

    public static function chain(string $name, string $title): self
    {
        return new self($name, $title, ParameterKind::Chain, '', most: Reader::MAX_LENGTH);
    }

    public static function chains(string $name, string $title): self
    {
        return new self($name, $title, ParameterKind::Chains, [], most: Reader::MAX_LENGTH);
    }

    /**
     * @param list<string> $usual
     * @param array<string, string> $choices
     */
    public static function themes(string $name, string $title, array $usual, array $choices): self
    {
        return new self($name, $title, ParameterKind::Themes, $usual, most: 40, choices: $choices);
    }

    public static function exercise(string $name, string $title, string $usual): self
    {
        return new self($name, $title, ParameterKind::Exercise, $usual, most: 40);
    }
}
