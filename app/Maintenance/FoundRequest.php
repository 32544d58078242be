<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class FoundRequest
{
    public function __construct(
        #[Assert\NotBlank(message: 'Give the gym a name.', normalizer: 'trim')]
        #[Assert\Length(max: 80, maxMessage: 'The name of a gym has at most {{ limit }} characters.')]
        public string $name,
    ) {
    }
}
