<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

/** A place where a rule applies, with one sentence. Severity is assigned by the house rules. */
final readonly class RuleMatch
{
    /**
     * @param int|null $at place of the item, or null for the whole chain
     * @param bool $heavier whether it weighs a step more here than the house rules say: a should is a must
     */
    public function __construct(public ?int $at, public string $message, public bool $heavier = false)
    {
    }
}
