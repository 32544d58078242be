<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\Core\Session\Load\Figures;

/** The sums of several sessions. */
final readonly class SessionSum
{
    public function __construct(
        public int $sessions = 0,
        public int $workMs = 0,
        private ?Figures $figures = null,
    ) {
    }

    /** @param iterable<self> $sums */
    public static function of(iterable $sums): self
    {
        $sum = new self();
        foreach ($sums as $other) {
            $sum = new self(
                $sum->sessions + $other->sessions,
                $sum->workMs + $other->workMs,
                $sum->figures()->plus($other->figures()),
            );
        }

        return $sum;
    }

    public function figures(): Figures
    {
        return $this->figures ?? Figures::none();
    }
}
