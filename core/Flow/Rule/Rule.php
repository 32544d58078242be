<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

/** One thing beside the links that a head coach looks for. */
interface Rule
{
    /** Stable, in lower case with hyphens. */
    public function id(): string;

    /** Two to five words. */
    public function title(): string;

    /** Why a coach looks for it; common practice unless it says otherwise. */
    public function reason(): string;

    /** Whether it praises; a credit has no severity of its own. */
    public function isCredit(): bool;

    /** A chain in which it holds. */
    public function shows(): RuleExample;

    /** A chain, as near as can be, in which it does not hold. */
    public function doesNotShow(): RuleExample;

    /** @return list<RuleMatch> */
    public function matches(RuleContext $context): array;
}
