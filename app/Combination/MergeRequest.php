<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Symfony\Component\Validator\Constraints as Assert;

/** Two combinations that are to be one: which is kept, which goes, each at the version that was looked at. */
final readonly class MergeRequest
{
    public function __construct(
        #[Assert\Positive] public int $keep,
        #[Assert\Positive] public int $keepVersion,
        #[Assert\Positive] #[Assert\NotEqualTo(propertyPath: 'keep', message: 'These are two combinations.')]
        public int $drop,
        #[Assert\Positive] public int $dropVersion,
    ) {
    }
}
