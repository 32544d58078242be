<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\Technique\ModelValue;

/** A number of the model as it is shown. */
final readonly class ShownModelValue
{
    public string $key;
    public string $name;
    public float $value;
    public string $unit;
    public string $meaning;
    public string $source;
    public float $least;
    public float $most;
    public float $step;

    public function __construct(ModelValue $value)
    {
        $this->key = $value->key;
        $this->name = $value->name;
        $this->value = $value->value;
        $this->unit = $value->unit;
        $this->meaning = $value->meaning;
        $this->source = $value->source;
        $this->least = $value->least;
        $this->most = $value->most;
        $this->step = $value->step;
    }
}
