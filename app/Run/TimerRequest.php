<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Symfony\Component\Validator\Constraints as Assert;

/** A round timer without a plan. */
final readonly class TimerRequest
{
    public function __construct(
        #[Assert\Range(min: 1, max: 60, notInRangeMessage: 'A timer has {{ min }} to {{ max }} rounds.')]
        public int $rounds = 3,
        #[Assert\Range(min: 5, max: 3600, notInRangeMessage: 'A round lasts {{ min }} to {{ max }} seconds.')]
        public int $seconds = 180,
        #[Assert\Range(min: 0, max: 600, notInRangeMessage: 'A rest lasts {{ min }} to {{ max }} seconds.')]
        public int $rest = 60,
    ) {
    }
}
