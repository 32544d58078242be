<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

use function Periplus\Core\Language\t;

/** The measured time from one strike to the next, with the one that the check computes. */
final readonly class MeasuredLink
{
    /** Accuracy of a tap in ms, and the share of an interval that cannot be seen. Common practice, no source. */
    private const TAP_ACCURACY_MS = 40.0;
    private const INVISIBLE_SHARE = 0.15;

    /**
     * @param int $from place in the chain of the earlier strike
     * @param float $computed ms at the athlete's own pace
     * @param float|null $median ms; null where both strikes were never heard together
     * @param float|null $spread ms, as a standard deviation
     * @param int $count of repetitions in which both were heard
     */
    public function __construct(
        public int $from,
        public int $to,
        public float $computed,
        public ?float $median,
        public ?float $spread,
        public int $count,
    ) {
    }

    public function verdict(): MeasuredVerdict
    {
        if (null === $this->median) {
            return MeasuredVerdict::NotHeard;
        }
        // A smaller difference may be chance: two standard errors of the median.
        $tolerance = max(
            self::TAP_ACCURACY_MS,
            self::INVISIBLE_SHARE * $this->computed,
            (2.5 * ($this->spread ?? 0.0)) / sqrt(max(1, $this->count)),
        );

        return match (true) {
            $this->median > $this->computed + $tolerance => MeasuredVerdict::Stops,
            $this->median < $this->computed - $tolerance => MeasuredVerdict::Faster,
            default => MeasuredVerdict::AsComputed,
        };
    }

    /** Returns one sentence for the coach. */
    public function says(): string
    {
        $difference = null === $this->median ? 0 : (int) round(abs($this->median - $this->computed));

        return match ($this->verdict()) {
            MeasuredVerdict::AsComputed => t('As computed.'),
            MeasuredVerdict::Faster => t('Faster than computed, by {difference} ms.', difference: $difference),
            MeasuredVerdict::Stops => t('Stops here, {difference} ms longer than computed.', difference: $difference),
            MeasuredVerdict::NotHeard => t('Both strikes were never heard in one repetition.'),
        };
    }
}
