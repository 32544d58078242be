<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Drawing\LineDrawer;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Technique\Stance;

/**
 * Serializes a programme for a screen: everything that is shown and heard from the first bell to the last, so that
 * nothing has to be fetched meanwhile.
 */
final class WallSerializer
{
    private readonly Writer $writer;
    private readonly Speech $speech;
    /** @var array<string, int> place in the list of chains, by a key that identifies the chain */
    private array $places = [];
    /** @var list<WallChain> */
    private array $chains = [];
    /** @var \WeakMap<Chain, int> */
    private \WeakMap $known;

    private function __construct(private readonly Programme $programme, Numbering $numbering)
    {
        $this->writer = new Writer($numbering);
        // The voice uses the numbers of the plan, whatever the screens show: everybody hears the same voice.
        $this->speech = new Speech($programme->plan->numbering);
        $this->known = new \WeakMap();
    }

    /** @param Numbering|null $numbering in which chains are written; that of the plan when null */
    public static function serialize(Programme $programme, ?Numbering $numbering = null): WallDocument
    {
        return (new self($programme, $numbering ?? $programme->plan->numbering))->document();
    }

    /** @return list<string> all texts that are spoken in it, each once */
    public static function spoken(Programme $programme): array
    {
        $speech = new Speech($programme->plan->numbering);

        return array_values(
            array_unique(array_filter(array_map($speech->text(...), $programme->cues), \is_string(...))),
        );
    }

    private function document(): WallDocument
    {
        return new WallDocument(
            name: $this->programme->plan->name,
            lengthMs: $this->programme->lengthMs,
            tracks: $this->programme->plan->tracks,
            stretches: $this->programme->stretches(),
            waits: $this->programme->waits(),
            segments: array_map($this->segment(...), $this->programme->segments),
            cues: $this->cues(),
            // After the cues, which collect them.
            chains: $this->chains,
        );
    }

    /** @return list<WallCue> */
    private function cues(): array
    {
        $said = $this->said();
        $ordinals = [];
        $cues = [];
        foreach ($this->programme->cues as $index => $cue) {
            $key = $cue->atMs.'-'.($cue->track ?? 'all').'-'.$cue->kind->value;
            $ordinals[$key] = 1 + ($ordinals[$key] ?? 0);
            $cues[] = new WallCue(
                $cue,
                $key.'-'.$ordinals[$key],
                null === $cue->chain ? null : $this->chain($cue->chain),
                $said[$index] ?? null,
            );
        }

        return $cues;
    }

    /**
     * Returns the spoken texts by the place of their cue. There is one voice, so at each moment it is the last text,
     * which says most.
     *
     * @return array<int, string>
     */
    private function said(): array
    {
        $said = $places = [];
        foreach ($this->programme->cues as $index => $cue) {
            $text = $this->speech->text($cue);
            if (null !== $text) {
                unset($said[$places[$cue->atMs] ?? -1]);
                $said[$index] = $text;
                $places[$cue->atMs] = $index;
            }
        }

        return $said;
    }

    private function segment(Segment $segment): WallSegment
    {
        $block = $this->programme->plan->blocks[$segment->place->block ?? -1] ?? null;

        return new WallSegment(
            $segment,
            $block,
            $block?->rounds[$segment->place->round ?? -1] ?? null,
            array_map(
                fn (PlannedCombination $one): WallCombination => new WallCombination(
                    $one->name,
                    $one->id,
                    $this->writer->write(new ChainInStance($one->inStance->chain, Stance::Orthodox)),
                ),
                $segment->set->combinations ?? [],
            ),
        );
    }

    /** @return int its place in the list of chains */
    private function chain(Chain $chain): int
    {
        return $this->known[$chain] ??= $this->add($chain);
    }

    private function add(Chain $chain): int
    {
        $told = (new Writer(Numbering::named('parity')))->write(new ChainInStance($chain, Stance::Orthodox));
        if (!isset($this->places[$told])) {
            $inStances = $numbers = $words = [];
            foreach (Stance::cases() as $stance) {
                $inStances[$stance->value] = $inStance = new ChainInStance($chain, $stance);
                $numbers[$stance->value] = $this->writer->write($inStance);
                $words[$stance->value] = Words::bySide()->items($inStance);
            }
            $plan = $this->programme->plan;
            $result = Check::builtIn()->run($inStances['orthodox'], $plan->options());
            $slow = Check::builtIn()->run(
                $inStances['orthodox'],
                new CheckOptions($plan->rules, (float) SessionValues::builtIn()->value('learning')),
            );
            $this->places[$told] = \count($this->chains);
            $this->chains[] = new WallChain(
                $numbers,
                $words,
                $result->verdict,
                (new LineDrawer($this->writer))->draw(
                    $result->inStance,
                    $result->timing,
                    $result->sway,
                    LineSize::Wall,
                ),
                (int) ceil($slow->timing->length()),
            );
        }

        return $this->places[$told];
    }
}
