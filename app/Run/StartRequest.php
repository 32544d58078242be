<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Http\Id;
use Symfony\Component\Validator\Constraints as Assert;

/** The session to start, and the walls to show it on. */
final readonly class StartRequest
{
    /** Maximum number of combinations that a round timer shows. */
    public const MAX_COMBINATIONS = 20;

    /**
     * @param string $id chosen by the client, so that a repeated request starts one session
     * @param int|null $plan to be run; without one it is a round timer
     * @param list<int> $combinations for the round timer, by id; each has a round
     * @param list<int>|null $walls all when null
     * @param int $leadIn s until it begins
     * @param int $speed how many times quicker; more than 1 is a rehearsal
     */
    public function __construct(
        #[Id]
        public string $id,
        public ?int $plan = null,
        #[Assert\Valid]
        public ?TimerRequest $timer = null,
        #[Assert\All([new Assert\Type('int', message: 'A combination is named by its number.')])]
        #[Assert\Count(
            max: self::MAX_COMBINATIONS,
            maxMessage: 'At most {{ limit }} combinations are shown one after the other.',
        )]
        public array $combinations = [],
        #[Assert\All([new Assert\Type('int', message: 'A wall is named by its number.')])]
        #[Assert\Count(max: 50, maxMessage: 'At most {{ limit }} walls.')]
        public ?array $walls = null,
        #[Assert\Range(min: 0, max: 600, notInRangeMessage: 'A session begins within {{ min }} to {{ max }} seconds.')]
        public int $leadIn = 10,
        #[Assert\Range(min: 1, max: 60, notInRangeMessage: 'A rehearsal is {{ min }} to {{ max }} times as fast.')]
        public int $speed = 1,
    ) {
    }
}
