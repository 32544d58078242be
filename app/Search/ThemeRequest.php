<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Symfony\Component\Validator\Constraints as Assert;

/** A theme and its new name. */
final readonly class ThemeRequest
{
    public function __construct(
        #[Assert\NotBlank(message: 'Name the theme.', normalizer: 'trim')]
        #[Assert\Length(max: 40, maxMessage: 'A theme has at most {{ limit }} characters.')]
        public string $from,
        #[Assert\NotBlank(message: 'A theme cannot be empty.', normalizer: 'trim')]
        #[Assert\Length(max: 40, maxMessage: 'A theme has at most {{ limit }} characters.')]
        public string $to,
    ) {
    }
}
