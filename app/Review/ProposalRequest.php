<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Combination\SaveRequest;
use Symfony\Component\Validator\Constraints as Assert;

/** A proposal: a new combination, a change of one, or archiving one. */
final readonly class ProposalRequest
{
    public function __construct(
        public ProposalKind $kind,
        #[Assert\Positive(message: 'There is no such combination.')]
        public ?int $combination = null,
        #[Assert\Positive(message: 'There is no such version.')]
        public ?int $basedOn = null,
        #[Assert\Valid]
        public ?SaveRequest $content = null,
        #[Assert\Length(max: 1000, maxMessage: 'A remark has at most {{ limit }} characters.')]
        public string $remark = '',
    ) {
    }
}
