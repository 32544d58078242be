<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Combination\SaveRequest;
use Symfony\Component\Validator\Constraints as Assert;

/** A decision on a proposal: approve (with or without an edit), return with a remark, revise or withdraw. */
final readonly class DecisionRequest
{
    public function __construct(
        #[Assert\Length(max: 1000, maxMessage: 'A remark has at most {{ limit }} characters.')]
        public string $remark = '',
        /** The version of the combination that was reviewed; the decision is valid for that one only. */
        #[Assert\PositiveOrZero(message: 'There is no such version.')]
        public ?int $against = null,
        #[Assert\Valid]
        public ?SaveRequest $content = null,
    ) {
    }
}
