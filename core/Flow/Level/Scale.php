<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Level;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\StrikeTrait;

use function Periplus\Core\Language\t;

/** Adds up what makes a chain hard to learn, with the weights of core/data/level.json. */
final readonly class Scale
{
    /**
     * @param array<string, float> $points what each thing counts, by id
     * @param array<int, float> $levels points from which on each level holds, rising
     */
    public function __construct(private array $points, private array $levels)
    {
    }

    public static function builtIn(): self
    {
        /** @var self|null $scale */
        static $scale = null;

        return $scale ??= self::read();
    }

    public function difficulty(CheckResult $result, float $tempo = 1.0): Difficulty
    {
        $reasons = [];
        $sum = 0.0;
        foreach ($this->occurrences($result, $tempo) as $one) {
            $points = $one->count * $this->points[$one->id];
            $sum += $points;
            if (abs($points) > 0.001) {
                $reasons[] = new Reason($one->id, round($points, 2), $one->message);
            }
        }
        usort(
            $reasons,
            static fn (Reason $a, Reason $b): int => [-abs($a->points), $a->id] <=> [-abs($b->points), $b->id],
        );
        $level = 1;
        foreach ($this->levels as $number => $from) {
            $level = $sum >= $from ? $number : $level;
        }

        return new Difficulty($level, round(max(0.0, $sum), 2), $reasons);
    }

    /** @return iterable<Occurrence> */
    private function occurrences(CheckResult $result, float $tempo): iterable
    {
        $inStance = $result->inStance;
        $items = $inStance->chain->items;
        $strikes = $inStance->chain->strikes();
        $last = array_key_last($strikes) ?? 0;
        $inside = static fn (\Closure $test): int => \count(
            array_filter(
                \array_slice($items, 0, $last),
                static fn (Item $item): bool => $item instanceof MoveItem && true === $test($item->move),
            ),
        );
        $count = static fn (\Closure $test): int => \count(array_filter($strikes, $test));
        $different = \count(
            array_unique(array_map(static fn (StrikeItem $item): string => $item->strike->id, $strikes)),
        );
        $rare = \count(
            array_unique(
                array_map(
                    static fn (StrikeItem $item): string => $item->strike->id,
                    array_filter(
                        $strikes,
                        static fn (StrikeItem $item): bool => !$item->strike->has(StrikeTrait::Basic),
                    ),
                ),
            ),
        );
        $sameSide = $this->doublesOfOneSide($inStance, $strikes);
        $heights = $this->changesOfHeight($strikes);
        $defence = $inside(static fn (Move $move): bool => MoveKind::Defence === $move->kind);
        $angles = $inside(
            static fn (Move $move): bool => MoveKind::Footwork === $move->kind && !$move->changesStance(),
        );
        $stance = 0;
        foreach ($items as $index => $item) {
            $stance
                += ChainInStance::after($item, $inStance->stances[$index]) === $inStance->stances[$index]
                || ($index >= $last && $item instanceof MoveItem)
                    ? 0
                    : 1;
        }
        $feints = $count(static fn (StrikeItem $item): bool => $item->feint);
        $withMove = \count(array_filter(array_keys($strikes), $inStance->chain->goesWithMove(...)));
        $together = $count(static fn (StrikeItem $item): bool => $item->joined) - $withMove;
        $legUp = $count(static fn (StrikeItem $item): bool => $item->legUp);
        $legs = $count(static fn (StrikeItem $item): bool => $item->isLegStrike());
        $elbows = $count(static fn (StrikeItem $item): bool => Limb::Elbow === $item->strike->limb);
        $spins = $count(static fn (StrikeItem $item): bool => $item->strike->spins());
        $waits = \count(
            array_filter($result->timing->links, static fn (Link $link): bool => Verdict::Flows !== $link->verdict),
        );

        yield new Occurrence('length', max(0, $last - 2), t('{last} items up to the last strike', last: $last + 1));
        yield new Occurrence(
            'weapons',
            max(0, $different - 2),
            t('{different} different strikes', different: $different),
        );
        yield new Occurrence('shapes', $rare, $this->times($rare, t('a strike beyond the basic ones')));
        yield new Occurrence('sameSide', $sameSide, $this->times($sameSide, t('two strikes in a row from one side')));
        yield new Occurrence('heights', $heights, $this->times($heights, t('the height changes')));
        yield new Occurrence('stance', $stance, $this->times($stance, t('the stance changes')));
        yield new Occurrence('defence', $defence, $this->times($defence, t('defence between strikes')));
        yield new Occurrence('angles', $angles, $this->times($angles, t('footwork between strikes')));
        yield new Occurrence('feints', $feints, $this->times($feints, t('a feint')));
        yield new Occurrence('together', $together, $this->times($together, t('two strikes land together')));
        yield new Occurrence('withMove', $withMove, $this->times($withMove, t('a strike goes with a move')));
        yield new Occurrence('legUp', $legUp, $this->times($legUp, t('a leg stays up')));
        yield new Occurrence('legs', $legs, $this->times($legs, t('a kick or a knee on one foot')));
        yield new Occurrence('elbows', $elbows, $this->times($elbows, t('an elbow')));
        yield new Occurrence('spins', $spins, $this->times($spins, t('a spinning strike')));
        yield new Occurrence('waits', $waits, $this->times($waits, t('a wait against the body')));
        yield new Occurrence('tempo', 1.0 - $tempo, $tempo < 1.0 ? t('thrown fast') : t('thrown slowly'));
    }

    /** @param array<int, StrikeItem> $strikes by their place in the chain */
    private function doublesOfOneSide(ChainInStance $inStance, array $strikes): int
    {
        $doubles = 0;
        foreach ($strikes as $index => $item) {
            $before = $strikes[$index - 1] ?? null;
            $doubles +=
                null !== $before
                && !$item->joined
                && $inStance->side($index - 1) === $inStance->side($index)
                && 'jab' !== $item->strike->id
                && 'jab' !== $before->strike->id
                    ? 1
                    : 0;
        }

        return $doubles;
    }

    /** @param array<int, StrikeItem> $strikes */
    private function changesOfHeight(array $strikes): int
    {
        $changes = 0;
        $before = null;
        foreach ($strikes as $item) {
            $changes += null === $before || $before === $item->target ? 0 : 1;
            $before = $item->target;
        }

        return $changes;
    }

    private function times(int $count, string $what): string
    {
        return t('{what} {count, plural, one {once} =2 {twice} other {# times}}', what: $what, count: $count);
    }

    private static function read(): self
    {
        /**
         * @var array{
         *     points: array<string, array{value: int|float}>,
         *     levels: list<array{level: int, from: int|float}>,
         * } $data
         */
        $data = Data::read('level');

        return new self(
            array_map(static fn (array $row): float => (float) $row['value'], $data['points']),
            array_map(floatval(...), array_column($data['levels'], 'from', 'level')),
        );
    }
}
