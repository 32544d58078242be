<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Flow\Rule\RuleThreshold;

/** The threshold of a warning, with the value that ships. */
final readonly class WarningThreshold extends ShownThreshold
{
    public int|float $usual;

    public function __construct(RuleThreshold $threshold)
    {
        parent::__construct($threshold);
        $this->usual = $threshold->default;
    }
}
