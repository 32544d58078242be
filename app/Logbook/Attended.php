<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** Who attended the sessions of a period. */
final readonly class Attended
{
    /**
     * @param int|null $athletes mean of a session
     * @param float|null $effort mean, of 10
     * @param int $unchecked number of entries that no coach has reviewed
     */
    public function __construct(public ?int $athletes, public ?float $effort, public int $unchecked)
    {
    }
}
