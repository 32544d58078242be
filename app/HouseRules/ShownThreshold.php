<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Flow\Rule\RuleThreshold;

/** The values that a threshold may have. */
readonly class ShownThreshold
{
    public int|float $least;
    public int|float $most;
    public string $unit;
    public string $word;
    public bool $isWhole;

    public function __construct(RuleThreshold $threshold)
    {
        $this->least = $threshold->least;
        $this->most = $threshold->most;
        $this->unit = $threshold->unit;
        $this->word = $threshold->word;
        $this->isWhole = \is_int($threshold->default);
    }
}
