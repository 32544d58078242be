<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\NumberingReview;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A numbering in a request.
 *
 * @phpstan-import-type Content from Numbering
 */
final readonly class NumberingRequest
{
    /** @param list<NumberRequest> $numbers */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the numbering a name.', normalizer: 'trim')]
        #[Assert\Length(max: 40, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        #[Assert\Choice(choices: ['role', 'hand'], message: 'A number is bound to the role or to the hand.')]
        public string $boundTo = 'role',
        #[Assert\Length(max: 200, maxMessage: 'Say it in at most {{ limit }} characters.')]
        public string $about = '',
        #[Assert\Valid]
        #[Assert\Count(max: NumberingReview::MAX_NUMBERS, maxMessage: 'A numbering has at most {{ limit }} numbers.')]
        public array $numbers = [],
        /** The numbering whose numbers are shown beside it. */
        #[Assert\Length(max: 40)]
        public string $comparedWith = 'parity',
    ) {
    }

    /** @return Content */
    public function content(): array
    {
        return [
            'name' => trim($this->name),
            'about' => trim($this->about),
            'boundTo' => $this->boundTo,
            'numbers' => array_map(static fn (NumberRequest $number): array => [
                'number' => strtoupper(trim($number->number)),
                'family' => $number->family,
                'position' => $number->position,
                'target' => $number->target,
                'name' => null === $number->name || '' === trim($number->name) ? null : trim($number->name),
            ], $this->numbers),
        ];
    }
}
