<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * Two combinations to be merged, the one that remains and the one that is archived, with the versions that the coach
 * saw.
 */
final readonly class MergeRequest
{
    public function __construct(
        #[Assert\Positive] public int $keep,
        #[Assert\Positive] public int $keepVersion,
        #[Assert\Positive] #[Assert\NotEqualTo(propertyPath: 'keep', message: 'Choose two different combinations.')]
        public int $drop,
        #[Assert\Positive] public int $dropVersion,
    ) {
    }
}
