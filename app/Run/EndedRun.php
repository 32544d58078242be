<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Session\Log\Drilled;

/** A session that has ended, with the work that was really done. */
final readonly class EndedRun
{
    /**
     * @param int|null $course whose session it was
     * @param list<Drilled> $drilled
     */
    public function __construct(public RunView $run, public ?int $course, public array $drilled, public int $workMs)
    {
    }
}
