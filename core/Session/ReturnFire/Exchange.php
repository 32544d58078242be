<?php

declare(strict_types=1);

namespace Periplus\Core\Session\ReturnFire;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Stance;

/**
 * Several beats in a row: they throw, the athlete defends and counters. What nobody has chosen is computed: they answer
 * with the strike that ended what was thrown, at first with the jab (common practice, no source); the athlete takes the
 * first defence whose link flows, and the counter that is ready soonest.
 */
final readonly class Exchange
{
    /** @param list<Beat> $beats */
    private function __construct(public ?Chain $opening, public array $beats)
    {
    }

    /**
     * @param Chain|null $opening what the athlete throws first; null when they begin
     * @param list<Chain|null> $incoming what they throw in each beat; null where it is computed
     * @param list<Chain> $answers what the athlete answers in each beat; computed where there is none
     * @param list<Limb> $limbs that may counter
     */
    public static function build(
        ?Chain $opening,
        array $incoming,
        array $answers,
        int $beats,
        CheckOptions $options,
        Stance $opponent,
        array $limbs,
    ): self {
        $thrown = $opening;
        $done = [];
        for ($number = 0; $number < $beats; ++$number) {
            $theirs = $incoming[$number] ?? self::likeliest($thrown);
            $strike = null === $theirs ? null : self::last($theirs);
            if (null === $theirs || null === $strike) {
                break;
            }
            $before = new ChainInStance($thrown ?? Chain::of([]), Stance::Orthodox);
            $defences = self::bestFirst(
                ReturnFire::builtIn()->against($before, $strike, $opponent, $options, $limbs),
            );
            $beat = self::beat($theirs, $answers[$number] ?? null, $defences);
            if (null === $beat) {
                break;
            }
            $done[] = $beat;
            $thrown = self::joined([$thrown, $beat->answer]) ?? $beat->answer;
        }

        return new self($opening, $done);
    }

    /** Returns everything that the athlete throws, in one chain; null when it is longer than a chain can be. */
    public function own(): ?Chain
    {
        return self::joined([
            $this->opening,
            ...array_map(static fn (Beat $beat): Chain => $beat->answer, $this->beats),
        ]);
    }

    /** @param non-empty-list<Defence> $defences the best first */
    private static function beat(Chain $incoming, ?Chain $given, array $defences): ?Beat
    {
        $first = $given->items[0] ?? null;
        if (null !== $given && $first instanceof MoveItem && MoveKind::Defence === $first->move->kind) {
            $takes = array_filter(
                $defences,
                static fn (Defence $defence): bool => $defence->moves[0]->move === $first->move,
            );

            return new Beat($incoming, $given, $defences, [] !== $takes);
        }
        $counter = $defences[0]->counters[0]->item ?? null;
        $answer = self::joined([
            Chain::of($defences[0]->moves),
            $given ?? (null === $counter ? null : Chain::of([$counter])),
        ]);

        return null === $answer ? null : new Beat($incoming, $answer, $defences, true);
    }

    /**
     * @param non-empty-list<Defence> $defences
     *
     * @return non-empty-list<Defence>
     */
    private static function bestFirst(array $defences): array
    {
        $rank = static fn (Defence $one): int => Verdict::Flows === ($one->link->verdict ?? Verdict::Flows)
            && [] !== $one->counters ? 0 : 1;
        usort($defences, static fn (Defence $one, Defence $other): int => $rank($one) <=> $rank($other));

        return $defences;
    }

    private static function likeliest(?Chain $thrown): ?Chain
    {
        $last = null === $thrown ? null : self::last($thrown);
        if (null === $thrown) {
            $jab = Catalogue::builtIn()->strike('jab');

            return Chain::of([new StrikeItem($jab, $jab->defaultTarget())]);
        }

        return null === $last ? null : Chain::of([new StrikeItem($last->strike, $last->target)]);
    }

    private static function last(Chain $chain): ?StrikeItem
    {
        $delivered = array_filter($chain->strikes(), static fn (StrikeItem $item): bool => $item->delivered());

        return [] === $delivered ? null : $delivered[array_key_last($delivered)];
    }

    /** @param list<Chain|null> $chains */
    private static function joined(array $chains): ?Chain
    {
        try {
            return Chain::of(array_merge(...array_map(
                static fn (?Chain $chain): array => $chain->items ?? [],
                $chains,
            )));
        } catch (InvalidChain) {
            return null;
        }
    }
}
