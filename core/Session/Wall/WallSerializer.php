<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Technique\Stance;

/**
 * Serializes a programme for a screen: everything that is shown and heard from the first bell to the last, so that
 * nothing has to be fetched meanwhile. docs/formats/wall.md describes every key.
 */
final class WallSerializer
{
    private readonly Writer $writer;
    private readonly Speech $speech;
    /** @var array<string, int> place in the list of chains, by what a chain is told by */
    private array $places = [];
    /** @var list<array<string, mixed>> */
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

    /**
     * @param Numbering|null $numbering in which chains are written; that of the plan when null
     *
     * @return array<string, mixed>
     */
    public static function serialize(Programme $programme, ?Numbering $numbering = null): array
    {
        return (new self($programme, $numbering ?? $programme->plan->numbering))->document();
    }

    /** @return list<string> everything that is said in it, each once */
    public static function spoken(Programme $programme): array
    {
        $speech = new Speech($programme->plan->numbering);

        return array_values(
            array_unique(array_filter(array_map($speech->text(...), $programme->cues), \is_string(...))),
        );
    }

    /** @return array<string, mixed> */
    private function document(): array
    {
        $ordinals = [];
        $cues = [];
        foreach ($this->programme->cues as $cue) {
            $key = $cue->atMs.'-'.($cue->track ?? 'all').'-'.$cue->kind->value;
            $ordinals[$key] = 1 + ($ordinals[$key] ?? 0);
            $cues[] = $this->cue($cue, $key.'-'.$ordinals[$key]);
        }

        return [
            'name' => $this->programme->plan->name,
            'lengthMs' => $this->programme->lengthMs,
            'tracks' => array_map(
                static fn ($track): array => ['name' => $track->name, 'level' => $track->level],
                $this->programme->plan->tracks,
            ),
            'stretches' => $this->programme->stretches(),
            'waits' => $this->programme->waits(),
            'segments' => array_map($this->segment(...), $this->programme->segments),
            'cues' => self::oneVoice($cues),
            'chains' => $this->chains,
        ];
    }

    /**
     * Keeps one text for each moment: the last one, which says most.
     *
     * @param list<array{atMs: int, say: string|null, ...}> $cues
     *
     * @return list<array<string, mixed>>
     */
    private static function oneVoice(array $cues): array
    {
        $last = [];
        foreach ($cues as $index => $cue) {
            if (null !== $cue['say']) {
                $last[$cue['atMs']] = $index;
            }
        }

        return array_map(
            static fn (int $index, array $cue): array => $index === ($last[$cue['atMs']] ?? $index)
                ? $cue
                : [...$cue, 'say' => null],
            array_keys($cues),
            $cues,
        );
    }

    /** @return array<string, mixed> */
    private function segment(Segment $segment): array
    {
        $block = $this->programme->plan->blocks[$segment->place->block ?? -1] ?? null;
        $round = $block?->rounds[$segment->place->round ?? -1] ?? null;

        return [
            'fromMs' => $segment->fromMs,
            'toMs' => $segment->toMs,
            'track' => $segment->track,
            'kind' => $segment->kind->value,
            'block' => $block->name ?? '',
            'drill' => $segment->set?->drill->definition()->id,
            'title' => $segment->set?->drill->definition()->title,
            'medium' => $round?->medium->value,
            'moves' => $round->moves ?? false,
            'note' => implode(' · ', array_diff([$round->note ?? '', $segment->set->note ?? ''], [''])),
            'stance' => $round?->stance->value,
            'combinations' => array_map(
                fn (PlannedCombination $one): array => [
                    'name' => $one->name,
                    'id' => $one->id,
                    'text' => $this->writer->write(new ChainInStance($one->inStance->chain, Stance::Orthodox)),
                ],
                $segment->set->combinations ?? [],
            ),
        ];
    }

    /**
     * @return array{
     *     key: string,
     *     atMs: int,
     *     track: int|null,
     *     kind: string,
     *     text: string,
     *     short: string,
     *     stands: bool,
     *     isStep: bool,
     *     before: string|null,
     *     after: string|null,
     *     stance: string,
     *     lengthMs: int|null,
     *     marked: list<int>,
     *     reminders: list<string>,
     *     chain: int|null,
     *     sound: string|null,
     *     say: string|null,
     * }
     */
    private function cue(Cue $cue, string $key): array
    {
        return [
            'key' => $key,
            'atMs' => $cue->atMs,
            'track' => $cue->track,
            'kind' => $cue->kind->value,
            'text' => $cue->text,
            'short' => $cue->short,
            'stands' => $cue->stands(),
            'isStep' => $cue->kind->isStep(),
            'before' => $cue->before,
            'after' => $cue->after,
            'stance' => $cue->stance->value,
            'lengthMs' => $cue->lengthMs,
            'marked' => $cue->marked,
            'reminders' => $cue->reminders,
            'chain' => null === $cue->chain ? null : $this->chain($cue->chain),
            'sound' => Sound::of($cue->kind)?->value,
            'say' => $this->speech->text($cue),
        ];
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
            $this->chains[] = [
                'numbers' => $numbers,
                'words' => $words,
                'verdict' => $result->verdict->value,
                'line' => (new LineDrawing($this->writer))->draw(
                    $result->inStance,
                    $result->timing,
                    $result->sway,
                    LineSize::Wall,
                ),
                'learningMs' => (int) ceil($slow->timing->length()),
            ];
        }

        return $this->places[$told];
    }
}
