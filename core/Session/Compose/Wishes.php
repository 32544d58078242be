<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Technique\Medium;

use function Periplus\Core\Language\t;

/** The requirements for a generated session. */
final readonly class Wishes
{
    public const MIN_MINUTES = 15;
    public const MAX_MINUTES = 180;

    /**
     * @param string $course its name
     * @param non-empty-list<int> $levels one track each where there are several
     * @param int $work s of a round
     * @param int $rest s between rounds
     * @param list<string> $known links that the course has drilled, see {@see Candidate::links}
     * @param array<array-key, mixed> $locked a written plan of which the locked parts stay
     */
    public function __construct(
        public string $course,
        public int $minutes,
        public Aim $aim,
        public int $seed,
        public HouseRules $rules,
        public Group $group,
        public Medium $medium,
        public array $levels,
        public string $numbering = 'parity',
        public int $work = 180,
        public int $rest = 60,
        public array $known = [],
        public array $locked = [],
    ) {
        if ($minutes < self::MIN_MINUTES || $minutes > self::MAX_MINUTES) {
            throw new \DomainException(
                t(
                    'A generated session lasts {minMinutes} to {maxMinutes} minutes, not {minutes}.',
                    minMinutes: self::MIN_MINUTES,
                    maxMinutes: self::MAX_MINUTES,
                    minutes: $minutes,
                ),
            );
        }
    }
}
