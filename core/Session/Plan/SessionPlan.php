<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Technique\Medium;

/** A planned class. docs/formats/session.md describes its JSON form. */
final readonly class SessionPlan
{
    /** Maximum number of rounds, counting repeats. */
    public const MAX_ROUNDS = 120;
    /** Maximum number of cues in a session; a busy hour with three tracks has some 3,000. */
    public const MAX_CUES = 20_000;
    /** Maximum length of a session, in s. */
    public const MAX_SECONDS = 6 * 3600;

    /**
     * @param int|null $minutes that the session has; null when it lasts as long as it comes to
     * @param Numbering $numbering in which calls are written
     * @param list<Track> $tracks empty when everybody works together
     * @param list<Block> $blocks
     * @param list<TimeCall>|null $timeCalls that the voice makes; those of the gym when null
     * @param string $needs what is needed, in the coach's words; may be empty
     */
    public function __construct(
        public string $name,
        public ?int $minutes,
        public HouseRules $rules,
        public Group $group,
        public Medium $medium,
        public int $level,
        public float $tempo,
        public int $seed,
        public Numbering $numbering,
        public array $tracks,
        public array $blocks,
        public string $needs = '',
        public ?array $timeCalls = null,
    ) {
    }

    /** @return list<Set> all of its sets, of every track */
    public function sets(): array
    {
        $sets = [];
        foreach ($this->blocks as $block) {
            foreach ($block->rounds as $round) {
                foreach ([$round->everybody, ...$round->lanes] as $lane) {
                    array_push($sets, ...$lane->sets);
                }
            }
        }

        return $sets;
    }

    /** @return list<string> what is needed: the coach's words, then what its bags, pads and partners ask for */
    public function needed(): array
    {
        $needed = array_map(trim(...), explode(',', $this->needs));
        foreach ($this->blocks as $block) {
            foreach ($block->rounds as $round) {
                $isWork = [] !== array_filter(
                    [...$round->everybody->sets, ...array_merge(...array_map(
                        static fn (Lane $lane): array => $lane->sets,
                        array_values($round->lanes),
                    ))],
                    static fn (Set $set): bool => $set->throws(),
                );
                array_push($needed, ...($isWork ? $round->medium->properties()->needs : []));
            }
        }

        return array_values(array_unique(array_filter($needed, static fn (string $one): bool => '' !== $one)));
    }

    /** @return list<PlannedCombination> all of its combinations, of every track */
    public function combinations(): array
    {
        return array_merge(...array_map(static fn (Set $set): array => $set->combinations, $this->sets()));
    }

    /**
     * @param Purpose|null $purpose of a round or set
     * @param float|null $tempo of a round or set; that of the plan when null
     */
    public function options(?Medium $medium = null, ?Purpose $purpose = null, ?float $tempo = null): CheckOptions
    {
        return new CheckOptions(
            rules: $this->rules,
            tempo: $tempo ?? $this->tempo,
            medium: $medium ?? $this->medium,
            group: $this->group,
            purpose: $purpose,
        );
    }

    /** Returns the level of that track; with null, of everybody. */
    public function level(?int $track): int
    {
        return null === $track ? $this->level : $this->tracks[$track]->level ?? $this->level;
    }

    /** Returns the length of the whole session, in s. */
    public function seconds(): int
    {
        $seconds = 0;
        foreach ($this->blocks as $index => $block) {
            $rounds = array_merge(
                ...array_map(static fn (Round $round): array => array_fill(0, $round->times, $round), $block->rounds),
            );
            foreach ($rounds as $number => $round) {
                $isLast = $number === \count($rounds) - 1;
                $seconds += $isLast && [] === $round->lanes ? $round->seconds : $round->cycle();
            }
            $seconds += $index < \count($this->blocks) - 1 ? $block->changeover : 0;
        }

        return $seconds;
    }

    /** @param list<Block> $blocks */
    public function withBlocks(array $blocks): self
    {
        return new self(
            name: $this->name,
            minutes: $this->minutes,
            rules: $this->rules,
            group: $this->group,
            medium: $this->medium,
            level: $this->level,
            tempo: $this->tempo,
            seed: $this->seed,
            numbering: $this->numbering,
            tracks: $this->tracks,
            blocks: $blocks,
            needs: $this->needs,
            timeCalls: $this->timeCalls,
        );
    }
}
