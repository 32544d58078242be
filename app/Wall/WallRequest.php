<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class WallRequest
{
    public function __construct(
        #[Assert\NotBlank(message: 'Give the wall a name, such as the room it hangs in.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        public bool $hasKeys = true,
    ) {
    }
}
