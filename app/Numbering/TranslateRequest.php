<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A list to be translated from one numbering to another: one chain a line, with its name after "#". */
final readonly class TranslateRequest
{
    public const MAX_LINES = 300;

    public function __construct(
        #[Assert\Length(max: 40_000, maxMessage: 'Translate at most {{ limit }} characters at a time.')]
        public string $text,
        public string $from = 'parity',
        public string $to = 'parity',
        public Stance $stance = Stance::Orthodox,
    ) {
    }
}
