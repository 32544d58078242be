<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Flow\Rules\BuiltInHouseRules;

/** The gym's house rules of a sport, with what ships. */
final readonly class GymRuleSet extends ShownHouseRules
{
    public int $version;
    /** Tells whether the gym has changed nothing. */
    public bool $isBuiltIn;
    public ShownHouseRules $builtIn;

    public function __construct(GymSet $set)
    {
        parent::__construct($set->rules);
        $this->version = $set->version;
        $this->isBuiltIn = $set->isBuiltIn;
        $this->builtIn = new ShownHouseRules(BuiltInHouseRules::named($set->rules->id));
    }
}
