<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\HouseRules\HouseRules;

/** The gym's house rules of a sport. */
final readonly class GymSet
{
    /** @param bool $isBuiltIn the gym has changed nothing */
    public function __construct(public HouseRules $rules, public int $version, public bool $isBuiltIn)
    {
    }
}
