<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Symfony\Component\Validator\Constraints as Assert;

/** A change to one entry of an import before it is applied. */
final readonly class LineRequest
{
    public function __construct(
        /** Replaces its chain; null leaves it unchanged. */
        #[Assert\Length(max: 2000, maxMessage: 'A chain has at most {{ limit }} characters.')]
        public ?string $chain = null,
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public ?string $name = null,
        public bool $leaveOut = false,
    ) {
    }
}
