<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Symfony\Component\Validator\Constraints as Assert;

/** What is done with one entry of an import before it is put in place. */
final readonly class LineRequest
{
    public function __construct(
        /** Another chain in its place; as it was when null. */
        #[Assert\Length(max: 2000, maxMessage: 'A chain has at most {{ limit }} characters.')]
        public ?string $chain = null,
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public ?string $name = null,
        public bool $leaveOut = false,
    ) {
    }
}
