<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A file to be imported, and what holds where it does not say. */
final readonly class ImportRequest
{
    public function __construct(
        public FileFormat $format,
        public string $content,
        public string $numbering = 'parity',
        public Stance $stance = Stance::Orthodox,
        #[Assert\Choice(callback: [BuiltInHouseRules::class, 'ids'], message: 'The rules are boxing, kickboxing or all-limbs.')]
        public string $rules = 'all-limbs',
    ) {
    }
}
