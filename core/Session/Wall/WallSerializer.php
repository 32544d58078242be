<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Drawing\LineDrawer;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\FromAbove\ViewDrawer;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\Beside;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Holder\PadHolder;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Programme\SegmentKind;
use Periplus\Core\Technique\Stance;

/**
 * Serializes a programme for a screen: everything that is shown and heard from the first bell to the last, so that
 * nothing has to be fetched meanwhile.
 */
final class WallSerializer
{
    private readonly Writer $writer;
    /** @var array<string, int> place in the list of chains, by a key that identifies the chain */
    private array $places = [];
    /** @var list<WallChain> */
    private array $chains = [];
    /** @var array<string, true> keys of chains that are demonstrated, which are shown from above, too */
    private array $demonstrated = [];
    /** @var \WeakMap<Chain, array<string, int>> places by tempo and medium */
    private \WeakMap $known;

    private function __construct(
        private readonly Programme $programme,
        private readonly VoiceStyle $style,
        Numbering $numbering,
    ) {
        $this->writer = new Writer($numbering);
        $this->known = new \WeakMap();
    }

    /**
     * @param VoiceStyle $style of the gym
     * @param Numbering|null $numbering in which chains are written; that of the plan when null
     */
    public static function serialize(
        Programme $programme,
        VoiceStyle $style = new VoiceStyle(),
        ?Numbering $numbering = null,
    ): WallDocument {
        return (new self($programme, $style, $numbering ?? $programme->plan->numbering))->document();
    }

    /** @return list<string> all texts that are spoken in it, each once */
    public static function spoken(Programme $programme, VoiceStyle $style = new VoiceStyle()): array
    {
        return array_values(array_unique(array_map(
            static fn (Utterance $said): string => $said->text,
            Script::of($programme, $style),
        )));
    }

    private function document(): WallDocument
    {
        foreach ($this->programme->cues as $cue) {
            if (CueKind::Demonstration === $cue->kind && null !== $cue->chain) {
                $this->demonstrated[$this->key($cue->chain, $this->options($cue->options))] = true;
            }
        }

        return new WallDocument(
            name: $this->programme->plan->name,
            lengthMs: $this->programme->lengthMs,
            needs: $this->programme->plan->needed(),
            tracks: $this->programme->plan->tracks,
            stretches: $this->programme->stretches(),
            waits: $this->programme->waits(),
            segments: array_map($this->segment(...), $this->programme->segments),
            opening: $this->cues($this->programme->opening),
            cues: $this->cues($this->programme->cues),
            said: Script::of($this->programme, $this->style),
            // After the cues, which collect them.
            chains: $this->chains,
        );
    }

    /**
     * @param list<Cue> $all
     *
     * @return list<WallCue>
     */
    private function cues(array $all): array
    {
        $ordinals = [];
        $cues = [];
        foreach ($all as $cue) {
            $key = $cue->atMs.'-'.($cue->track ?? 'all').'-'.$cue->kind->value;
            $ordinals[$key] = 1 + ($ordinals[$key] ?? 0);
            $cues[] = new WallCue(
                $cue,
                $key.'-'.$ordinals[$key],
                null === $cue->chain ? null : $this->chain($cue->chain, $cue->options),
                array_map(
                    fn (Beside $one): WallBeside => new WallBeside(
                        $one->label,
                        $this->chain($one->chain, $cue->options),
                    ),
                    $cue->beside,
                ),
            );
        }

        return $cues;
    }

    private function segment(Segment $segment): WallSegment
    {
        $blocks = $this->programme->plan->blocks;
        $block = $blocks[$segment->place->block ?? -1] ?? null;

        return new WallSegment(
            $segment,
            $block,
            // A changeover says what to do before the block that comes.
            SegmentKind::Changeover === $segment->kind
                ? ($blocks[1 + (int) $segment->place->block]->note ?? '')
                : '',
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
    private function chain(Chain $chain, ?CheckOptions $options): int
    {
        $options = $this->options($options);
        $how = self::how($options);
        $known = $this->known[$chain] ?? [];
        $known[$how] ??= $this->add($chain, $options);
        $this->known[$chain] = $known;

        return $known[$how];
    }

    private function options(?CheckOptions $options): CheckOptions
    {
        return $options ?? $this->programme->plan->options();
    }

    private static function how(CheckOptions $options): string
    {
        return $options->tempo.' '.$options->medium->value;
    }

    private function key(Chain $chain, CheckOptions $options): string
    {
        return self::how($options)
            .' '
            .(new Writer(Numbering::named('parity')))->write(new ChainInStance($chain, Stance::Orthodox));
    }

    private function add(Chain $chain, CheckOptions $options): int
    {
        $told = $this->key($chain, $options);
        if (!isset($this->places[$told])) {
            $inStances = $numbers = $words = [];
            foreach (Stance::cases() as $stance) {
                $inStances[$stance->value] = $inStance = new ChainInStance($chain, $stance);
                $numbers[$stance->value] = $this->writer->write($inStance);
                $words[$stance->value] = Words::bySide()->items($inStance);
            }
            $result = Check::builtIn()->run($inStances['orthodox'], $options);
            $slow = Check::builtIn()->run(
                $inStances['orthodox'],
                $options->atTempo((float) SessionValues::builtIn()->value('learning')),
            );
            $isDemonstrated = isset($this->demonstrated[$told]);
            $this->places[$told] = \count($this->chains);
            $this->chains[] = new WallChain(
                numbers: $numbers,
                words: $words,
                verdict: $result->verdict,
                line: (new LineDrawer($this->writer))->draw(
                    $result->inStance,
                    $result->timing,
                    $result->sway,
                    LineSize::Wall,
                ),
                learningMs: (int) ceil($slow->timing->length()),
                holder: $options->medium->properties()->held
                    ? array_map(PadHolder::builtIn()->does(...), $inStances)
                    : null,
                fromAbove: $isDemonstrated
                    ? ViewDrawer::draw($result->inStance, $result->timing, $result->sway, $options->athlete)
                        ->against(Stance::Orthodox)
                    : null,
                fingerprint: $isDemonstrated ? Fingerprint::of($chain)->plain : null,
                techniques: $isDemonstrated ? $chain->techniques() : [],
            );
        }

        return $this->places[$told];
    }
}
