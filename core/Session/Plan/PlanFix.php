<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Drill\DrillFix;

/** One press that mends a problem: values that replace those of an object of the written plan. */
final readonly class PlanFix
{
    /** What the button says. */
    public string $label;
    /** @var array<string, int|string|list<int>|list<string>> to set, by key */
    public array $values;

    /** @param string $place of the object that has the keys, such as blocks[1].rounds[0].sets[2].parameters */
    public function __construct(public string $place, DrillFix $fix)
    {
        $this->label = $fix->label;
        $this->values = $fix->values;
    }
}
