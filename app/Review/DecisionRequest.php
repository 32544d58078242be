<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Combination\SaveRequest;
use Symfony\Component\Validator\Constraints as Assert;

/** What is done about a proposal: approved, with an edit or without, returned with a remark, revised or withdrawn. */
final readonly class DecisionRequest
{
    public function __construct(
        #[Assert\Length(max: 1000, maxMessage: 'A remark has at most {{ limit }} characters.')]
        public string $remark = '',
        /** The version of the combination that was looked at; the decision holds for that one alone. */
        #[Assert\PositiveOrZero(message: 'There is no such version.')]
        public ?int $against = null,
        #[Assert\Valid]
        public ?SaveRequest $content = null,
    ) {
    }
}
