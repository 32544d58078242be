<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

use function Periplus\Core\Language\t;

/** The result of measuring a chain: the strike of each tap and the duration of each link. */
final readonly class Measurement
{
    /**
     * Number of links needed to estimate the athlete's pace: with fewer, a slow link and a slow athlete look the same.
     */
    private const MIN_LINKS_FOR_PACE = 3;

    /**
     * @param list<float> $taps ms
     * @param list<MeasuredLink> $links
     * @param float $pace how many times the computed time the athlete takes on the whole; 1 where that is unknown
     */
    private function __construct(
        public array $taps,
        public Contacts $contacts,
        public Alignment $alignment,
        public array $links,
        public float $pace,
    ) {
    }

    /**
     * @param list<float> $taps ms
     *
     * @throws \DomainException when nothing can be measured, in words for the coach
     */
    public static function of(array $taps, Contacts $contacts): self
    {
        if (\count($contacts->ms) < 2) {
            throw new \DomainException(
                t('A chain with fewer than two strikes that land has no time between them to measure.'),
            );
        }
        if (\count($taps) < 2) {
            throw new \DomainException(
                t('At least two strikes have to be heard. Tap once for each strike as it lands.'),
            );
        }
        if (\count($taps) > Alignment::MAX_TAPS) {
            throw new \DomainException(
                t('More than {maxTaps} strikes are too many at a time. Take a part.', maxTaps: Alignment::MAX_TAPS),
            );
        }
        sort($taps);
        $alignment = Alignment::of($taps, $contacts->ms);
        $intervals = [];
        for ($k = 1; $k < \count($contacts->ms); ++$k) {
            $intervals[$k] = [];
            foreach ($alignment->repetitions as $repetition) {
                if (isset($repetition[$k], $repetition[$k - 1])) {
                    $intervals[$k][] = $taps[$repetition[$k]] - $taps[$repetition[$k - 1]];
                }
            }
        }
        $ratios = [];
        foreach ($intervals as $k => $measured) {
            if ([] !== $measured) {
                $ratios[] = Statistics::median($measured) / max(1.0, $contacts->ms[$k] - $contacts->ms[$k - 1]);
            }
        }
        $pace = \count($ratios) >= self::MIN_LINKS_FOR_PACE ? Statistics::median($ratios) : 1.0;
        $links = [];
        foreach ($intervals as $k => $measured) {
            $links[] = new MeasuredLink(
                $contacts->items[$k - 1][0],
                $contacts->items[$k][0],
                $pace * ($contacts->ms[$k] - $contacts->ms[$k - 1]),
                [] === $measured ? null : Statistics::median($measured),
                \count($measured) < 2 ? null : Statistics::spread($measured),
                \count($measured),
            );
        }

        return new self($taps, $contacts, $alignment, $links, $pace);
    }
}
