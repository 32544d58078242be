<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Symfony\Component\Validator\Constraints as Assert;

/** How calls are spoken. */
final readonly class VoiceSettings
{
    public function __construct(
        #[Assert\Choice(choices: ['male', 'female'], message: 'The voice is male or female.')]
        public string $voice = 'male',
        #[Assert\Choice(choices: ['slow', 'plain', 'fast'], message: 'The pace is slow, plain or fast.')]
        public string $pace = 'plain',
        #[Assert\Choice(choices: ['quiet', 'loud'], message: 'The voice is quiet or loud.')]
        public string $loudness = 'loud',
    ) {
    }
}
