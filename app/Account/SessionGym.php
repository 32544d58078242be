<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Gym\Gym;
use Periplus\App\Gym\GymKind;

/** The gym as every page needs it. */
final readonly class SessionGym
{
    public string $name;
    public bool $isDemo;
    public bool $isBeingSetUp;
    public string $timeZone;
    public int $firstWeekday;

    public function __construct(Gym $gym)
    {
        $this->name = $gym->name();
        $this->isDemo = GymKind::Demo === $gym->kind();
        $this->isBeingSetUp = $gym->isBeingSetUp();
        $this->timeZone = $gym->timeZone()->getName();
        $this->firstWeekday = $gym->firstWeekday();
    }
}
