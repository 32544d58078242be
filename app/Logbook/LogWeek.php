<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Store\DayType;
use Periplus\Core\Session\Load\Figures;

/** The sums of one week and course. */
#[ORM\Entity(repositoryClass: Weeks::class)]
#[ORM\Table(name: 'log_week')]
class LogWeek
{
    #[ORM\Column]
    private int $sessions;

    #[ORM\Column(type: 'bigint')]
    private int $workMs;

    #[ORM\Column(type: FiguresType::NAME)]
    private Figures $figures;

    /**
     * @param string $week its Monday
     * @param int $course 0 for sessions without one
     */
    public function __construct(
        #[ORM\Id, ORM\Column(type: DayType::NAME)]
        private string $week,
        #[ORM\Id, ORM\Column(name: 'course_id')]
        private int $course,
        SessionSum $sum,
    ) {
        $this->update($sum);
    }

    public function week(): string
    {
        return $this->week;
    }

    public function sum(): SessionSum
    {
        return new SessionSum($this->sessions, $this->workMs, $this->figures);
    }

    public function update(SessionSum $sum): void
    {
        $this->sessions = $sum->sessions;
        $this->workMs = $sum->workMs;
        $this->figures = $sum->figures();
    }
}
