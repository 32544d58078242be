<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A combination as a coach sends it to be saved. */
final readonly class SaveRequest
{
    public const MAX_THEMES = 8;

    /** @param list<string> $themes */
    public function __construct(
        #[Assert\NotBlank(message: 'Give it a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        public string $text,
        public string $numbering = 'parity',
        public Stance $stance = Stance::Orthodox,
        #[Assert\Choice(
            callback: [BuiltInHouseRules::class, 'ids'],
            message: 'The rules are boxing, kickboxing or all-limbs.',
        )]
        /** As the chain asks for when null. */
        public ?string $rules = null,
        #[Assert\Count(max: self::MAX_THEMES, maxMessage: 'At most {{ limit }} themes.')]
        #[Assert\All([
            new Assert\NotNull(message: 'A theme is text.'),
            new Assert\Type('string', message: 'A theme is text.'),
            new Assert\NotBlank(message: 'A theme cannot be empty.', normalizer: 'trim'),
            new Assert\Length(max: 40, maxMessage: 'A theme has at most {{ limit }} characters.'),
        ])]
        public array $themes = [],
        #[Assert\Range(min: 1, max: 3, notInRangeMessage: 'The level is 1, 2 or 3.')]
        /** Null when it is to follow the check. */
        public ?int $level = null,
        #[Assert\Length(max: 2000, maxMessage: 'A note has at most {{ limit }} characters.')] public string $note = '',
    ) {
    }
}
