<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Symfony\Component\Validator\Constraints as Assert;

/** A search of the library with a name. */
final readonly class SavedViewRequest
{
    public function __construct(
        #[Assert\NotBlank(message: 'Give the view a name.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        /** The query string of the library's URL. */
        #[Assert\Length(max: 500, maxMessage: 'This search is too long to be kept.')]
        #[Assert\Regex('/^[^#\r\n]*$/', message: 'This is not an address of the library.')]
        public string $address,
        public bool $shared = false,
    ) {
    }
}
