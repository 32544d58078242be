<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

/** The value from which a rule applies; a house value. */
final readonly class RuleThreshold
{
    /**
     * @param int|float $default as it comes; its type is the type of all values
     * @param string $word how it is read before the number: from 5, above 0.15
     */
    public function __construct(
        public int|float $default,
        public int|float $least,
        public int|float $most,
        public string $unit,
        public string $word = 'from',
    ) {
    }
}
