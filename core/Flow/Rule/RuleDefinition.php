<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\HouseRules\Severity;

/** The metadata of a rule, used by the check, the house rules, the screens and the documentation. */
final readonly class RuleDefinition
{
    /**
     * @param string $id stable, in lower case with hyphens
     * @param string $title two to five words
     * @param string $reason why a coach looks for it; common practice unless it says otherwise
     * @param RuleExample $shows a chain in which it holds
     * @param RuleExample $doesNotShow a chain, as near as can be, in which it does not hold
     * @param int $order the place among all rules in which a coach would raise it
     * @param array<string, Severity>|null $severities as it comes, by the id of the built-in house rules; null for a
     *                                                 credit, which has no severity of its own
     * @param list<Purpose>|null $matters purposes of a round for which it is more than a tip; null for all
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $reason,
        public RuleExample $shows,
        public RuleExample $doesNotShow,
        public int $order,
        public ?array $severities = null,
        public ?RuleThreshold $threshold = null,
        public ?array $matters = null,
    ) {
    }

    /** Tells whether it is more than a tip in a round with that purpose; always when it has none. */
    public function mattersFor(?Purpose $purpose): bool
    {
        return null === $purpose || null === $this->matters || \in_array($purpose, $this->matters, true);
    }

    /** Tells whether the rule praises. */
    public function isCredit(): bool
    {
        return null === $this->severities;
    }
}
