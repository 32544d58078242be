<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Session\Drill\Pace;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Plan\Block;
use Periplus\Core\Session\Plan\Round;
use Periplus\Core\Session\Plan\Station;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Programme\SegmentKind;
use Periplus\Core\Technique\Medium;

/** What a track does for a while. */
final readonly class WallSegment
{
    public int $fromMs;
    public int $toMs;
    public ?int $track;
    public SegmentKind $kind;
    /** Name of the block. */
    public string $block;
    /** Id and title of the drill. */
    public ?string $drill;
    public ?string $title;
    public ?Medium $medium;
    public ?Purpose $purpose;
    public bool $moves;
    public string $note;
    public ?RoundStance $stance;
    /** The tempo in a word; null at the usual one. */
    public ?string $pace;
    /** Which set it is, and in which lap. */
    public ?Station $station;

    /**
     * @param string $before what to do before the block that comes
     * @param list<WallCombination> $combinations
     */
    public function __construct(
        Segment $segment,
        ?Block $block,
        string $before,
        ?Round $round,
        public array $combinations,
    ) {
        $drill = $segment->set?->drill->definition();
        $this->fromMs = $segment->fromMs;
        $this->toMs = $segment->toMs;
        $this->track = $segment->track;
        $this->kind = $segment->kind;
        $this->block = $block->name ?? '';
        $this->drill = $drill?->id;
        $this->title = $drill?->title;
        $this->medium = $round?->medium;
        $this->purpose = $segment->set->options->purpose ?? $round?->purpose;
        $pace = Pace::of($segment->set->options->tempo ?? 1.0);
        $this->pace = Pace::Working === $pace ? null : $pace->title();
        $this->station = $segment->station();
        $this->moves = $round->moves ?? false;
        $this->note = implode(' · ', array_diff([$before, $round->note ?? '', $segment->set->note ?? ''], ['']));
        $this->stance = $round?->stance;
    }
}
