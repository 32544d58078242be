<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

/** A measurement as it is shown; docs/formats/logbook.md describes every key. */
final readonly class MeasurementDocument
{
    /** @var list<float> ms */
    public array $taps;
    /** @var list<list<int|null>> place of the tap of each strike, by repetition */
    public array $repetitions;
    /** @var list<int> places of taps that belong to no strike */
    public array $extra;
    public int $missed;
    /** @var list<ContactDocument> */
    public array $contacts;
    public float $pace;
    /** @var list<LinkMeasurement> */
    public array $links;

    public function __construct(Measurement $measured)
    {
        $contacts = $measured->contacts;
        $this->taps = $measured->taps;
        $this->repetitions = array_map(
            static fn (array $repetition): array => array_map(
                static fn (int $strike): ?int => $repetition[$strike] ?? null,
                array_keys($contacts->ms),
            ),
            $measured->alignment->repetitions,
        );
        $this->extra = $measured->alignment->extra;
        $this->missed = $measured->alignment->missed(\count($contacts->ms));
        $this->contacts = array_map(
            static fn (array $items, float $ms): ContactDocument => new ContactDocument($items, round($ms, 1)),
            $contacts->items,
            $contacts->ms,
        );
        $this->pace = round($measured->pace, 3);
        $this->links = array_map(
            static fn (MeasuredLink $link): LinkMeasurement => new LinkMeasurement($link),
            $measured->links,
        );
    }
}
