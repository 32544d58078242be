<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/** Values that mend a problem of a set: of its drill's parameters, or of the set itself. */
final readonly class DrillFix
{
    /**
     * @param string $label what the button says
     * @param array<string, int|string|list<int>|list<string>> $values by name
     */
    private function __construct(public string $label, public array $values, public bool $ofParameters)
    {
    }

    /** @param int|string|list<int>|list<string> $value */
    public static function parameter(string $label, string $name, int|string|array $value): self
    {
        return new self($label, [$name => $value], true);
    }

    /** @param int $seconds the length of the set */
    public static function length(string $label, int $seconds): self
    {
        return new self($label, ['seconds' => $seconds], false);
    }
}
