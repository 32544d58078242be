<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Symfony\Component\Validator\Constraints as Assert;

/** A number of a numbering and the strike it means. */
final readonly class NumberRequest
{
    public function __construct(
        #[Assert\Length(max: 20)] public string $number,
        #[Assert\Length(max: 40)] public string $family,
        #[Assert\Choice(
            choices: ['lead', 'rear', 'left', 'right'],
            message: 'A position is lead, rear, left or right.',
        )]
        public string $position,
        #[Assert\Choice(choices: ['head', 'body', 'leg'], message: 'A target is head, body or leg.')]
        public ?string $target = null,
        #[Assert\Length(max: 40, maxMessage: 'What you call it has at most {{ limit }} characters.')]
        public ?string $name = null,
    ) {
    }
}
