<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Periplus\Core\Session\Advice\Fault;
use Symfony\Component\Validator\Constraints as Assert;

/** A fault in a request. */
final readonly class FaultRow
{
    public function __construct(
        #[Assert\Regex('/^[a-z0-9-]{1,60}$/D', message: 'The id of a fault has small letters, digits and hyphens.')]
        public string $id,
        #[Assert\Choice(choices: Fault::TOPICS, message: 'A fault is of a technique or of a cause of waiting.')]
        public string $for,
        #[Assert\NotBlank(message: 'Say what is seen.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'A fault has at most {{ limit }} characters.')]
        public string $text,
        #[Assert\NotBlank(message: 'Say what mends it.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'What mends it has at most {{ limit }} characters.')]
        public string $mend,
    ) {
    }

    /** Returns the key that must be unique. */
    public static function idOf(self $row): string
    {
        return $row->id;
    }
}
