<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Log;

use Periplus\Core\Session\Programme\Programme;

/** The parts of a programme that were really done. Parts done twice count twice. */
final readonly class Coverage
{
    /** @param list<array{int, int}> $stretches from and to, in ms of the programme */
    public function __construct(public array $stretches)
    {
    }

    public static function whole(Programme $programme): self
    {
        return new self([[0, $programme->lengthMs]]);
    }

    /**
     * Creates the coverage from the cues that screens have shown. Within a passage nothing was skipped, so it reaches
     * from its first cue to its last, and on until the passage was left or the next cue that was not shown.
     *
     * @param list<array{
     *     passage: string,
     *     cueMs: int,
     *     shownMs: int,
     * }> $shown a cue's moment in the programme and on the server's clock, by the latter
     * @param list<int> $cues all moments of the programme at which something is shown
     * @param int $endedMs on the server's clock
     */
    public static function ofShown(array $shown, array $cues, int $lengthMs, int $endedMs): self
    {
        $passages = [];
        foreach ($shown as $one) {
            $passages[$one['passage']][] = $one;
        }
        sort($cues);
        $stretches = [];
        foreach ($passages as $passage) {
            $from = min(array_column($passage, 'cueMs'));
            $last = $passage[\count($passage) - 1];
            $lastMs = max(array_column($passage, 'cueMs'));
            $left = $endedMs;
            foreach ($shown as $one) {
                if ($one['passage'] !== $last['passage'] && $one['shownMs'] > $last['shownMs']) {
                    $left = min($left, $one['shownMs']);
                }
            }
            $next = $lengthMs;
            foreach ($cues as $cue) {
                if ($cue > $lastMs) {
                    $next = min($next, $cue);
                    break;
                }
            }
            $to = min($next, $lastMs + max(0, $left - $last['shownMs']));
            if ($to > $from) {
                $stretches[] = [$from, $to];
            }
        }

        return new self($stretches);
    }

    /** Returns it cut to that many ms in all, the length of the session. */
    public function atMost(int $ms): self
    {
        $stretches = [];
        foreach ($this->stretches as [$from, $to]) {
            $to = min($to, $from + $ms);
            $ms -= max(0, $to - $from);
            if ($to > $from) {
                $stretches[] = [$from, $to];
            }
        }

        return new self($stretches);
    }

    /** Returns how often the range was done: 1 for once, 0.5 for half of it. */
    public function times(int $fromMs, int $toMs): float
    {
        $ms = 0;
        foreach ($this->stretches as [$from, $to]) {
            $ms += max(0, min($to, $toMs) - max($from, $fromMs));
        }

        return $toMs > $fromMs ? $ms / ($toMs - $fromMs) : 0.0;
    }
}
