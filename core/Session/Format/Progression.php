<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Format;

use function Periplus\Core\Language\t;

/**
 * Work and rest over several weeks: the rest gets shorter step by step, then the round gets longer and the rests start
 * over. Common practice, no source.
 */
final readonly class Progression
{
    /**
     * @param int $from s of work in the first week
     * @param int $to s of work at most
     * @param int $by s by which a round is lengthened
     * @param non-empty-list<int> $rests s, one after the other
     */
    public function __construct(
        public int $from = 120,
        public int $to = 180,
        public int $by = 15,
        public array $rests = [60, 50, 40, 30],
    ) {
        if ($from < 10 || $to < $from || $by < 1 || min($rests) < 0) {
            throw new \DomainException(
                t('A progression goes from a length of at least 10 s up to a longer one, by whole steps, with rests '
                    .'that are not negative.'),
            );
        }
    }

    /** @return list<RoundLength> in their order */
    public function steps(): array
    {
        $steps = [];
        for ($seconds = $this->from; $seconds <= $this->to; $seconds += $this->by) {
            foreach ($this->rests as $rest) {
                $steps[] = new RoundLength($seconds, $rest);
            }
        }

        return $steps;
    }

    /**
     * Returns the lengths in that week; the last step once all are done.
     *
     * @param int $week counted from 0
     * @param list<int> $held weeks that are done again, because it fell apart in them
     */
    public function week(int $week, array $held = []): RoundLength
    {
        $steps = $this->steps();
        $before = \count(array_filter(array_unique($held), static fn (int $one): bool => $one >= 0 && $one < $week));

        return $steps[max(0, min(\count($steps) - 1, $week - $before))];
    }
}
