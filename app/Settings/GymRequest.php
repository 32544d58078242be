<?php

declare(strict_types=1);

namespace Periplus\App\Settings;

use Symfony\Component\Validator\Constraints as Assert;

/** The gym's settings in a request. */
final readonly class GymRequest
{
    public function __construct(
        #[Assert\NotBlank(message: 'Give the gym a name.', normalizer: 'trim')]
        #[Assert\Length(max: 80, maxMessage: 'The name of a gym has at most {{ limit }} characters.')]
        public string $name,
        #[Assert\Choice(
            callback: [\DateTimeZone::class, 'listIdentifiers'],
            message: 'There is no such time zone. Choose one of the list, such as Europe/Lisbon.',
        )]
        public string $timeZone,
        #[Assert\Range(min: 1, max: 7, notInRangeMessage: 'A weekday is 1, Monday, to 7, Sunday.')]
        public int $firstWeekday = 1,
    ) {
    }
}
