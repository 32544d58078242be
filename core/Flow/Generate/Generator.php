<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Check\Finding;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Timing\BodyState;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Stance;
use Random\Engine\Mt19937;
use Random\Randomizer;

use function Periplus\Core\Language\t;

/**
 * Generates chains that pass the check and that coaches call. It adds item after item that flows from the one before
 * and usually comes there, at random from a seed, so that the same criteria give the same chains, and drops those that
 * do not pass. Of those that pass it keeps the more usual ones. The number of tries is bounded, not the time.
 */
final readonly class Generator
{
    /** Tries for the full criteria, and for each relaxed variant. */
    private const TRIES = 1500;
    private const TRIES_RELAXED = 250;
    /** Chains generated for each one that is shown. */
    private const CHAINS_PER_RESULT = 2;
    /** Tries for one position of a chain. */
    private const TRIES_PER_ITEM = 12;
    /** What a repeated move or strike weighs beside unusual links. */
    private const BITS_PER_REPEAT = 0.5;

    public function __construct(private Catalogue $catalogue, private Check $check)
    {
    }

    /**
     * @param list<string> $known fingerprints of chains that are not wanted again
     * @param Usage|null $usage what is usual in the gym; null for what ships
     */
    public function generate(GenerationCriteria $criteria, array $known = [], ?Usage $usage = null): GenerationResult
    {
        $usage ??= Usage::shipped($criteria->options->rules->id);
        $results = $this->ranked($criteria, self::TRIES, $known, $usage);
        $relax = [];
        if (\count($results) < $criteria->count) {
            foreach ($criteria->relaxed() as $relaxed) {
                $more = \count(
                    $this->results($relaxed->criteria, self::TRIES_RELAXED, $criteria->count, $known, $usage),
                );
                if ($more > \count($results)) {
                    $relaxation = $relaxed->relaxation;
                    $relax[] = new Relaxation(
                        $relaxation->criterion,
                        t('{words}: {more}', words: $relaxation->words, more: $more),
                        $relaxation->criteria,
                    );
                }
            }
        }

        return [] === $results
            ? $this->bent($criteria, $known, $usage, $relax)
            : new GenerationResult($results, $relax);
    }

    /**
     * When no chain meets all criteria, generates those that meet all but one. Fewer strikes are tried first, because a
     * level or a theme means more to a coach than a number of strikes.
     *
     * @param list<string> $known
     * @param list<Relaxation> $relax
     */
    private function bent(GenerationCriteria $criteria, array $known, Usage $usage, array $relax): GenerationResult
    {
        foreach ([...$criteria->shorter(), ...$criteria->relaxed()] as $relaxed) {
            $results = $this->ranked($relaxed->criteria, self::TRIES_RELAXED, $known, $usage);
            if ([] !== $results) {
                return new GenerationResult($results, $relax, $relaxed->relaxation);
            }
        }

        return new GenerationResult([], $relax);
    }

    /**
     * Ranks the chains and keeps those that a coach is most likely to call.
     *
     * @param list<string> $known
     *
     * @return list<CheckResult>
     */
    private function ranked(GenerationCriteria $criteria, int $tries, array $known, Usage $usage): array
    {
        $results = $this->results($criteria, $tries, self::CHAINS_PER_RESULT * $criteria->count, $known, $usage);
        if ($criteria->surprise >= GenerationCriteria::MOST_SURPRISE) {
            return \array_slice($results, 0, $criteria->count);
        }
        usort(
            $results,
            static fn (CheckResult $a, CheckResult $b): int => self::oddness($a->inStance->chain, $usage)
                <=> self::oddness($b->inStance->chain, $usage),
        );

        return \array_slice($results, 0, $criteria->count);
    }

    /**
     * Returns how unlikely a coach is to call the chain, in bits a link: how unusual its links are, and a move twice,
     * as many moves as strikes, a strike three times, one strike alone. Common practice, no source.
     */
    public static function oddness(Chain $chain, Usage $usage): float
    {
        $strikes = array_map(static fn (StrikeItem $item): string => $item->key(), array_values($chain->strikes()));
        $moves = array_map(
            static fn (Item $item): string => $item->key(),
            array_values(array_diff_key($chain->items, $chain->strikes())),
        );
        $often = [] === $strikes ? 0 : max(array_count_values($strikes));
        $repeats = 2 * (\count($moves) - \count(array_unique($moves)))
            + max(0, 2 * \count($moves) - \count($strikes))
            + 2 * max(0, $often - 2)
            + (1 === \count(array_unique($strikes)) ? 2 : 0);

        return $usage->rarity($chain) + self::BITS_PER_REPEAT * $repeats;
    }

    /**
     * @param list<string> $known
     *
     * @return list<CheckResult>
     */
    private function results(
        GenerationCriteria $criteria,
        int $tries,
        int $count,
        array $known,
        Usage $usage,
    ): array {
        $random = new Randomizer(new Mt19937($criteria->seed));
        $pool = new ItemPool($this->catalogue, $criteria, $usage);
        $results = [];
        $seen = array_fill_keys($known, true);
        for ($try = 0; $try < $tries && \count($results) < $count; ++$try) {
            $items = $this->build($criteria, $pool, $random);
            if ([] === $items) {
                continue;
            }
            $chain = Chain::of($items);
            $fingerprint = Fingerprint::of($chain)->plain;
            if (isset($seen[$fingerprint])) {
                continue;
            }
            $seen[$fingerprint] = true;
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            if (self::isMeant($inStance, $criteria)) {
                $result = $this->check->run($inStance, $criteria->options);
                if (self::passes($result, $criteria)) {
                    $results[] = $result;
                }
            }
        }

        return $results;
    }

    /** Tells whether a checked chain meets every criterion. */
    public static function passes(CheckResult $result, GenerationCriteria $criteria): bool
    {
        return self::isMeant($result->inStance, $criteria)
            && Verdict::Flows === $result->verdict
            && []
                === array_filter(
                    $result->findings,
                    static fn (Finding $finding): bool => $finding->severity->isAtLeast($criteria->clean),
                )
            && (null === $criteria->level
                || Scale::builtIn()->difficulty($result, $criteria->options->tempo)->level === $criteria->level);
    }

    /** Tells whether a chain meets the criteria that need no check. */
    private static function isMeant(ChainInStance $inStance, GenerationCriteria $criteria): bool
    {
        $limbs = array_map(
            static fn (StrikeItem $item): string => $item->strike->limb->value,
            $inStance->chain->strikes(),
        );
        $weapons = array_map(static fn (Limb $limb): string => $limb->value, $criteria->weapons);
        $each = $criteria->each() && \count($weapons) <= $criteria->length;

        return \count($limbs) === $criteria->length
            && [] === array_diff($limbs, $weapons)
            && (!$each || [] === array_diff($weapons, $limbs))
            && ($criteria->switches
                || !\in_array($inStance->stance->other(), [...$inStance->stances, $inStance->end], true))
            && (null === $criteria->theme || $criteria->theme->holds($inStance->chain));
    }

    /** @return list<Item> empty when nothing flows on from what was drawn */
    private function build(GenerationCriteria $criteria, ItemPool $pool, Randomizer $random): array
    {
        $options = $criteria->options;
        $state = $this->check->model->begin($options->rules, $options->tempo, $options->medium);
        $items = [];
        $strikes = 0;
        while (true) {
            $after = false;
            for ($pick = 0; $pick < self::TRIES_PER_ITEM && false === $after; ++$pick) {
                $item = $pool->next($items, $strikes, $random);
                if (null === $item) {
                    return $items;
                }
                $after = false === $item ? false : $this->after($item, $items, $state);
            }
            if (false === $after) {
                return [];
            }
            [$item, $state] = $after;
            $items[] = $item;
            $strikes += $item instanceof StrikeItem ? 1 : 0;
        }
    }

    /**
     * Returns the item and the body after it. A strike that does not flow after a move may flow with it.
     *
     * @param list<Item> $items so far
     *
     * @return array{Item, BodyState}|false false when it does not flow
     */
    private function after(Item $item, array $items, BodyState $state): array|false
    {
        $before = $items[\count($items) - 1] ?? null;
        if ($item instanceof StrikeItem && $item->belongsToBefore()) {
            try {
                Chain::of([...$items, $item]);
            } catch (InvalidChain) {
                return false;
            }
        }
        foreach ([$item, $before instanceof MoveItem ? Chain::tied($before, $item) : null] as $way) {
            if (null !== $way) {
                $then = clone $state;
                $link = $this->check->model->take($then, $way);
                if (null === $link || Verdict::Flows === $link->verdict) {
                    return [$way, $then];
                }
            }
        }

        return false;
    }
}
