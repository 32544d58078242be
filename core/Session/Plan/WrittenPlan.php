<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Advice\Advice;

/** A plan in its JSON form, for editing; docs/formats/session.md describes it. */
final readonly class WrittenPlan
{
    /** @param array<array-key, mixed> $content */
    public function __construct(public array $content, private PlanReader $reader = new PlanReader())
    {
    }

    /** Returns the gym's reminders and exercises. */
    public function advice(): Advice
    {
        return $this->reader->advice;
    }

    /** Reads the plan. */
    public function read(): SessionPlan
    {
        return $this->reader->read($this->content)->plan;
    }

    /** @return list<array<array-key, mixed>> */
    public function blocks(): array
    {
        return self::objects($this->content['blocks'] ?? []);
    }

    /** @return list<array{int, int, array<array-key, mixed>}> each with the places of its block and its own */
    public function rounds(?BlockKind $kind = null): array
    {
        $rounds = [];
        foreach ($this->blocks() as $block => $written) {
            if (null === $kind || $kind->value === ($written['kind'] ?? BlockKind::Rounds->value)) {
                foreach (self::objects($written['rounds'] ?? []) as $round => $one) {
                    $rounds[] = [$block, $round, $one];
                }
            }
        }

        return $rounds;
    }

    /** @param list<array<array-key, mixed>> $blocks */
    public function withBlocks(array $blocks): self
    {
        return new self([...$this->content, 'blocks' => $blocks], $this->reader);
    }

    /**
     * Returns the plan with one round replaced by others.
     *
     * @param list<array<array-key, mixed>> $rounds
     */
    public function withRounds(int $block, int $round, array $rounds): self
    {
        $blocks = $this->blocks();
        $all = self::objects($blocks[$block]['rounds'] ?? []);
        array_splice($all, $round, 1, $rounds);
        $blocks[$block]['rounds'] = $all;

        return $this->withBlocks($blocks);
    }

    /**
     * Returns the plan with every round changed.
     *
     * @param \Closure(array<array-key, mixed>, int, int): array<array-key, mixed> $change of a round, with the places
     *                                                                                     of its block and its own
     */
    public function eachRound(\Closure $change): self
    {
        $blocks = $this->blocks();
        foreach ($this->rounds() as [$block, $round, $written]) {
            $all = self::objects($blocks[$block]['rounds'] ?? []);
            $all[$round] = $change($written, $block, $round);
            $blocks[$block]['rounds'] = $all;
        }

        return $this->withBlocks($blocks);
    }

    /**
     * Returns the combinations that it names, once for each place.
     *
     * @return list<array<array-key, mixed>>
     */
    public function combinations(): array
    {
        $found = [];
        foreach ($this->rounds() as [, , $round]) {
            $sets = self::objects($round['sets'] ?? []);
            foreach (self::objects($round['tracks'] ?? []) as $track) {
                array_push($sets, ...self::objects($track['sets'] ?? []));
            }
            foreach ($sets as $set) {
                array_push($found, ...self::objects($set['combinations'] ?? []));
            }
        }

        return $found;
    }

    /** @return list<array<array-key, mixed>> what of a list is an object */
    public static function objects(mixed $list): array
    {
        return \is_array($list) ? array_values(array_filter($list, is_array(...))) : [];
    }
}
