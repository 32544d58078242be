<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Periplus\Core\Session\Plan\TimeCall;
use Periplus\Core\Session\Wall\Says;
use Periplus\Core\Session\Wall\VoiceStyle;
use Symfony\Component\Validator\Constraints as Assert;

/** How calls are spoken, and what is said. */
final readonly class VoiceSettings
{
    /** @param list<string> $timeCalls that sessions make which do not choose their own */
    public function __construct(
        #[Assert\Choice(choices: ['male', 'female'], message: 'The voice is male or female.')]
        public string $voice = 'male',
        #[Assert\Choice(choices: ['slow', 'plain', 'fast'], message: 'The pace is slow, plain or fast.')]
        public string $pace = 'plain',
        #[Assert\Choice(choices: ['quiet', 'loud'], message: 'The voice is quiet or loud.')]
        public string $loudness = 'loud',
        #[Assert\Choice(
            choices: ['numbers', 'names', 'both'],
            message: 'Combinations are announced by numbers, names or both.',
        )]
        public string $says = 'both',
        #[Assert\Choice(
            callback: [self::class, 'timeCalls'],
            multiple: true,
            multipleMessage: 'There is no such time call.',
        )]
        public array $timeCalls = [],
        public bool $perSet = false,
    ) {
    }

    /** @return list<string> that there are */
    public static function timeCalls(): array
    {
        return array_column(TimeCall::cases(), 'value');
    }

    /** Returns what is said with it. */
    public function style(): VoiceStyle
    {
        return new VoiceStyle(
            Says::from($this->says),
            array_map(TimeCall::from(...), array_values(array_unique($this->timeCalls))),
            $this->perSet,
        );
    }
}
