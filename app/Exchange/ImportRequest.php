<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A file to be imported, with values for everything it does not say. */
final readonly class ImportRequest
{
    /** Maximum size of an imported file, and of the request that brings it, in bytes. */
    public const MAX_BYTES = 4_194_304;

    public function __construct(
        public FileFormat $format,
        #[Assert\Length(
            max: self::MAX_BYTES,
            countUnit: Assert\Length::COUNT_BYTES,
            maxMessage: 'A file has at most 4 MB. Split it.',
        )]
        public string $content,
        public string $numbering = 'parity',
        public Stance $stance = Stance::Orthodox,
        #[Assert\Choice(
            callback: [BuiltInHouseRules::class, 'ids'],
            message: 'The rules are boxing, kickboxing or all-limbs.',
        )]
        /** As each chain asks for when null. */
        public ?string $rules = null,
    ) {
    }
}
