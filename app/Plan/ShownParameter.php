<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\ParameterKind;

/** A setting of a drill as the planner shows it. */
final readonly class ShownParameter
{
    public string $name;
    public string $title;
    public ParameterKind $kind;
    /** @var int|bool|string|list<int>|list<string> */
    public int|bool|string|array $usual;
    public int $least;
    public int $most;
    public string $unit;
    /** @var list<ParameterChoice> */
    public array $choices;

    public function __construct(Parameter $parameter)
    {
        $this->name = $parameter->name;
        $this->title = $parameter->title;
        $this->kind = $parameter->kind;
        $this->usual = $parameter->usual;
        $this->least = $parameter->least;
        $this->most = $parameter->most;
        $this->unit = $parameter->unit;
        $this->choices = array_map(
            static fn (string $value, string $label): ParameterChoice => new ParameterChoice($value, $label),
            array_map(strval(...), array_keys($parameter->choices)),
            $parameter->choices,
        );
    }
}
