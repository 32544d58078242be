<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Symfony\Component\Validator\Constraints as Assert;

/** Accepts a link: its token, a password, and for a new account a name and an e-mail address. */
final readonly class AcceptRequest
{
    public function __construct(
        #[\SensitiveParameter] public string $token,
        #[\SensitiveParameter] public string $password,
        #[Assert\Length(max: 80, maxMessage: 'A name has at most {{ limit }} characters.')]
        public ?string $name = null,
        #[Assert\Email(message: 'This is not an e-mail address.', normalizer: 'trim')]
        #[Assert\Length(max: 180, maxMessage: 'An e-mail address has at most {{ limit }} characters.')]
        public ?string $email = null,
    ) {
    }
}
