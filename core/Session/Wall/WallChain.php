<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\FromAbove\FromAbove;

/** A chain that a programme shows. */
final readonly class WallChain
{
    /**
     * @param array<string, string> $numbers by the athlete's stance
     * @param array<string, list<string>> $words of each item, by the athlete's stance
     * @param array<string, list<string>>|null $holder what the pad holder does, by the athlete's stance; null where
     *                                                 nobody holds
     * @param int $learningMs how long it takes at learning tempo
     * @param FromAbove|null $fromAbove against an orthodox opponent, where it is demonstrated
     * @param string|null $fingerprint by which its recording is found, where it is demonstrated
     * @param list<string> $techniques ids of its strikes and moves, where it is demonstrated
     */
    public function __construct(
        public array $numbers,
        public array $words,
        public Verdict $verdict,
        public LineDrawing $line,
        public int $learningMs,
        public ?array $holder,
        public ?FromAbove $fromAbove,
        public ?string $fingerprint,
        public array $techniques,
    ) {
    }
}
