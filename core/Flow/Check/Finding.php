<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Check;

use Periplus\Core\HouseRules\Severity;

/** A match of a rule, with the severity that the house rules assign. */
final readonly class Finding
{
    /** @param string $title of the rule, two to five words */
    public function __construct(
        public string $id,
        public Severity $severity,
        public ?int $at,
        public string $message,
        public string $title,
    ) {
    }
}
