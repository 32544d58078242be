<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\EditKind;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Check\Finding;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Catalogue;

/**
 * Searches for the smallest edits that lift the verdict of a chain: exhaustively up to two edits, as far as the budget
 * goes. A pair counts only when neither of its edits achieves as much alone.
 *
 * Pairs are walked as a tree that shares prefixes: the body is moved item by item, and a branch ends at the first link
 * that is worse than the pair may still be. Verdicts only get worse along a chain, so nothing is lost; and once the
 * body is in the state it would have had without the edit, the rest is known. The budget is counted in steps and not in
 * time, so that a chain has the same mends on every machine.
 */
final readonly class MendFinder
{
    /**
     * Maximum length of a chain for which all edits and pairs are tried; in longer ones single edits are tried near the
     * faults.
     */
    public const MAX_LENGTH_FOR_PAIRS = 12;
    /** Maximum number of items that the search for pairs may time, and the cost of a full check of a pair. */
    private const MAX_STEPS = 60_000;
    private const STEPS_PER_CHECK = 60;
    /** Maximum number of faults looked at in long chains, the worst first. */
    private const MAX_FAULTS = 4;

    private EditList $edits;
    private FlowModel $model;

    public function __construct(Catalogue $catalogue, private Check $check)
    {
        $this->edits = new EditList($catalogue);
        $this->model = $check->model;
    }

    /** @param Usage|null $usage what is usual in the gym; null for what ships */
    public function mends(CheckResult $result, CheckOptions $options, ?Usage $usage = null): MendResult
    {
        $usage ??= Usage::shipped($options->rules->id);
        $chain = $result->inStance->chain;
        $before = $result->verdict->rank();
        $pairs = \count($chain) <= self::MAX_LENGTH_FOR_PAIRS;
        $edits = $this->edits->edits($chain);
        if (!$pairs) {
            $beside = \array_slice($this->everyPlace($result), 0, self::MAX_FAULTS);
            $edits = array_values(
                array_filter(
                    $edits,
                    static fn (Edit $edit): bool => []
                        !== array_filter($beside, static fn (int $place): bool => 0 === $edit->distance($place)),
                ),
            );
        }
        $ofVerdict = [];
        $ofFindings = [];
        $ranks = [];
        foreach ($edits as $edit) {
            $mend = $this->made($result->inStance, [$edit], $options);
            $rank = $mend->verdict()->rank();
            $ranks[] = $rank;
            if ($rank < $before) {
                $ofVerdict[] = $mend;
            }
            if (EditKind::Drop !== $edit->kind && $rank <= $before) {
                foreach ($this->repaired($result, $edit, $mend->result) as $place) {
                    $ofFindings[$place][] = $mend;
                }
            }
        }
        $complete = true;
        if ($pairs && $before > 0) {
            // Another edit could take away what a strike is newly tied to.
            $apart = array_filter($edits, static fn (Edit $edit): bool => !self::ties($edit, $chain));
            $search = $this->pairs(
                $chain,
                array_values($apart),
                array_values(array_intersect_key($ranks, $apart)),
                $before,
                self::places($result),
                $options,
            );
            foreach ($search as [$pair, $limit]) {
                $mend = $this->made($result->inStance, $pair, $options);
                if ($mend->verdict()->rank() <= $limit) {
                    $ofVerdict[] = $mend;
                }
            }
            $complete = $search->getReturn();
        }
        ksort($ofFindings);
        $ranked = [];
        foreach ($ofFindings as $place => $mends) {
            $position = $result->findings[$place]->at;
            $ranked[$place] = $this->ranked($mends, null === $position ? [] : [$position], $options, $usage);
        }

        return new MendResult(
            $this->ranked($ofVerdict, self::places($result), $options, $usage),
            $ranked,
            $pairs,
            $complete,
        );
    }

    /** Tells whether the edit only ties a strike to the item before it. */
    public static function ties(Edit $edit, Chain $chain): bool
    {
        $was = $chain->items[$edit->at] ?? null;

        return $edit->item instanceof StrikeItem
            && $edit->item->belongsToBefore()
            && !($was instanceof StrikeItem && $was->belongsToBefore());
    }

    /** @return list<int> places of all that could be mended, the heaviest first */
    private function everyPlace(CheckResult $result): array
    {
        $places = self::places($result);
        foreach ($result->findings as $finding) {
            if (Severity::Credit !== $finding->severity && null !== $finding->at) {
                $places[] = $finding->at;
            }
        }

        return array_values(array_unique($places));
    }

    /** @return list<int> places of the items that keep the chain from flowing */
    public static function places(CheckResult $result): array
    {
        $places = [];
        foreach ($result->timing->links as $link) {
            if (Verdict::Flows !== $link->verdict) {
                $places[] = $link->to;
            }
        }
        foreach ($result->findings as $finding) {
            if (Severity::Must === $finding->severity && null !== $finding->at) {
                $places[] = $finding->at;
            }
        }

        return array_values(array_unique($places));
    }

    /**
     * @param CheckResult $after of the chain with that edit
     *
     * @return list<int> places of the findings that no longer hold, when the findings together weigh less
     */
    private function repaired(CheckResult $result, Edit $edit, CheckResult $after): array
    {
        $before = $result->weights();
        $weights = $after->weights();
        if (array_sum($weights) >= array_sum($before)) {
            return [];
        }
        $places = [];
        foreach ($result->findings as $place => $finding) {
            if (Severity::Credit === $finding->severity || ($weights[$finding->id] ?? 0) >= $before[$finding->id]) {
                continue;
            }
            $position =
                null !== $finding->at && EditKind::Insert === $edit->kind && $edit->at <= $finding->at
                    ? $finding->at + 1
                    : $finding->at;
            $still = array_filter(
                $after->findings,
                static fn (Finding $one): bool => $one->id === $finding->id && $one->at === $position,
            );
            if ([] === $still) {
                $places[] = $place;
            }
        }

        return $places;
    }

    /**
     * Finds pairs whose links would lift the verdict, nearest to the faults first.
     *
     * @param list<Edit> $edits by place
     * @param array<int, int> $ranks of the verdict that each edit reaches alone
     * @param list<int> $trouble places of the items that keep the chain from flowing
     *
     * @return \Generator<int, array{
     *     list<Edit>,
     *     int,
     * }, mixed, bool> the pair and the worst rank that it is good for; at the
     *                                                              end whether all pairs were tried
     */
    private function pairs(
        Chain $chain,
        array $edits,
        array $ranks,
        int $before,
        array $trouble,
        CheckOptions $options,
    ): \Generator {
        $edited = new EditedTiming($this->model, $chain, $options);
        $count = \count($chain);
        // For each worst rank that is good enough: the edits at each index with the limit of each, and those that are
        // good enough when the body arrives in its usual state.
        $none = array_fill(0, $count + 1, []);
        [$byPlace, $open, $settled] = [$none, [$none, $none], [$none, $none]];
        foreach ($edits as $index => $edit) {
            if ($ranks[$index] > 0) {
                $byPlace[$edit->at][] = $index;
                $rest = $edited->restWith($edit, $edited->states[$edit->at], $edited->before($edit->at));
                foreach ([0, 1] as $limit) {
                    $best = min($limit, $ranks[$index] - 1);
                    $open[$limit][$edit->at][$index] = $best;
                    if ($rest <= $best) {
                        $settled[$limit][$edit->at][$index] = $best;
                    }
                }
            }
        }
        $checks = 0;
        foreach ($this->nearest(array_keys($byPlace), $trouble) as $place) {
            foreach ($byPlace[$place] as $index) {
                if ($edited->steps + self::STEPS_PER_CHECK * $checks > self::MAX_STEPS) {
                    return false;
                }
                $first = $edits[$index];
                $limit = min($ranks[$index], $before) - 1;
                if ($edited->worstBefore[$place] > $limit) {
                    continue;
                }
                $state = clone $edited->states[$place];
                $done = $edited->before($place);
                // The worst rank of the links so far.
                $worst = max(
                    $edited->worstBefore[$place],
                    null === $first->item ? 0 : $edited->take($state, $done, $first->item),
                );
                if ($worst > $limit) {
                    continue;
                }
                $same = false;
                for (
                    $position = $place + (EditKind::Insert === $first->kind ? 0 : 1);
                    $position <= $count;
                    ++$position
                ) {
                    // Once the body is in its usual state again, each edit has the same effect as alone.
                    $same = $same || ($position > $place && $edited->isSame($state, $position));
                    $good = array_filter(
                        ($same ? $settled : $open)[$limit][$position],
                        static fn (int $best, int $other): bool => $best >= $worst
                            && ($position > $place || $first->mayPrecede($edits[$other])),
                        \ARRAY_FILTER_USE_BOTH,
                    );
                    foreach ($same ? array_keys($good) : $edited->holding($state, $done, $edits, $good) as $other) {
                        if ($edited->steps + self::STEPS_PER_CHECK * $checks > self::MAX_STEPS) {
                            return false;
                        }
                        ++$checks;
                        yield [[$first, $edits[$other]], $good[$other]];
                    }
                    if ($position === $count) {
                        break;
                    }
                    $worst = max(
                        $worst,
                        $same ? $edited->links[$position] : $edited->take($state, $done, $chain->items[$position]),
                    );
                    if ($worst > $limit) {
                        break;
                    }
                }
            }
        }

        return true;
    }

    /**
     * @param list<int> $places
     * @param list<int> $trouble
     *
     * @return list<int> the places, those nearest to any trouble first, an edit before it rather than one after it
     */
    private function nearest(array $places, array $trouble): array
    {
        $distance = static fn (int $place): int => [] === $trouble
            ? 0
            : min(
                array_map(
                    static fn (int $position): int => $place <= $position
                        ? 2 * ($position - $place)
                        : 2 * ($place - $position) + 1,
                    $trouble,
                ),
            );
        $order = static fn (int $one, int $other): int => [$distance($one), $one] <=> [$distance($other), $other];
        usort($places, $order);

        return $places;
    }

    /** @param list<Edit> $edits */
    private function made(ChainInStance $inStance, array $edits, CheckOptions $options): Mend
    {
        $chain = Chain::of(Edit::apply($inStance->chain->items, $edits));

        return new Mend($edits, $chain, $this->check->run(new ChainInStance($chain, $inStance->stance), $options));
    }

    /**
     * @param list<Mend> $mends
     * @param list<int> $places of what they are to mend
     *
     * @return list<Mend> best first; of several ways to the same chain the first
     */
    private function ranked(array $mends, array $places, CheckOptions $options, Usage $usage): array
    {
        $seenFrom = $this->model->flowsUpTo($options->rules, $options->tempo);
        $ranked = [];
        foreach ($mends as $mend) {
            $rank = $mend->rank($seenFrom, $places, $usage);
            $spelling = $mend->spelling();
            if (!isset($ranked[$spelling]) || $rank < $ranked[$spelling][0]) {
                $ranked[$spelling] = [$rank, $mend];
            }
        }
        usort($ranked, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($ranked, 1);
    }
}
