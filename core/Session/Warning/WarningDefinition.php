<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warning;

use Periplus\Core\Flow\Rule\RuleThreshold;

/** The metadata of a warning. Its threshold is part of the house rules. */
final readonly class WarningDefinition
{
    /**
     * @param string $id stable, in lower case with hyphens
     * @param string $reason why a coach looks at it; common practice
     * @param string $fix what one press does, in words
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $reason,
        public string $fix,
        public RuleThreshold $threshold,
        public int $order,
    ) {
    }
}
