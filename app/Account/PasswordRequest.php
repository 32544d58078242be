<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class PasswordRequest
{
    public function __construct(
        public string $current,
        #[Assert\Length(min: 10, max: 200, minMessage: 'A password has at least {{ limit }} characters.', maxMessage: 'A password has at most {{ limit }} characters.')]
        public string $new,
    ) {
    }
}
