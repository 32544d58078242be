<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\StrikeTrait;
use Periplus\Core\Technique\Target;
use Random\Randomizer;

/**
 * The items that may be drawn for these criteria. The weights follow what coaches do: most chains begin with the jab,
 * sides alternate, chains end with an exit. Common practice, no source.
 *
 * @internal to {@see Generator}
 */
final readonly class ItemPool
{
    private const DAILY_TIMES = 6;
    /** Weight of each move; 1 when it is not listed. */
    private const MOVES = [
        'slip-lead' => 4,
        'slip-rear' => 4,
        'roll-lead' => 3,
        'roll-rear' => 3,
        'pull' => 2,
        'step-out' => 3,
        'step-in' => 2,
        'pivot-out' => 3,
        'exit' => 5,
        'step-back' => 2,
    ];

    /** @var list<StrikeItem> */
    private array $strikes;
    /** @var list<Item> */
    private array $between;
    /** @var list<Item> */
    private array $openings;
    /** @var list<Item> */
    private array $endings;
    private StrikeItem $jab;

    public function __construct(Catalogue $catalogue, private GenerationCriteria $criteria)
    {
        $strikes = [];
        foreach ($catalogue->strikes as $strike) {
            if (!\in_array($strike->limb, $criteria->weapons, true)) {
                continue;
            }
            foreach ($strike->targets as $target) {
                $item = new StrikeItem($strike, $target);
                // Body shots weigh more where they are the theme, and so do strikes that are thrown every day.
                $often = match (true) {
                    $strike->spins(), Target::Leg === $target && 'round kick' !== $strike->family => 0,
                    Theme::BodyWork === $criteria->theme && Target::Body === $target && $strike->limb->isArm() => 3,
                    $target === $strike->defaultTarget(), 'round kick' === $strike->family => 2,
                    default => 1,
                };
                $strikes = [
                    ...$strikes,
                    ...array_fill(
                        0,
                        $often * ($strike->has(StrikeTrait::Daily) ? self::DAILY_TIMES : 1),
                        $item,
                    ),
                ];
            }
        }
        $this->strikes = $strikes;
        $this->jab = new StrikeItem($catalogue->strike('jab'), Target::Head);
        $moves = static function (\Closure $test) use ($catalogue): array {
            $items = [];
            foreach ($catalogue->moves as $id => $move) {
                if (Feet::Cross !== $move->feet && true === $test($move)) {
                    $items = [...$items, ...array_fill(0, self::MOVES[$id] ?? 1, new MoveItem($move))];
                }
            }

            return $items;
        };
        $dodges = Theme::dodges(...);
        $angles = static fn (Move $move): bool => $move->takesAngle();
        // An exit ends a chain.
        $turns = static fn (Move $move): bool => $angles($move) && !str_starts_with($move->id, 'exit');
        $this->between = $moves(
            match ($criteria->theme) {
                Theme::HeadMovement => $dodges,
                Theme::Angles => $turns,
                default => static fn (Move $move): bool => $dodges($move)
                    || $turns($move)
                    || (-1 === $move->range && !$move->changesStance())
                    || ($criteria->switches && $move->changesStance()),
            },
        );
        $this->openings = match ($criteria->theme) {
            Theme::Counters => $moves(
                static fn (Move $move): bool => MoveKind::Defence === $move->kind && 'level' !== $move->id,
            ),
            Theme::InAndOut => $moves(static fn (Move $move): bool => 'step-in' === $move->id),
            default => [],
        };
        $this->endings = $moves(
            static fn (Move $move): bool => (MoveKind::Footwork === $move->kind
                && $move->range > 0
                && !$move->changesStance())
                || (Theme::InAndOut !== $criteria->theme && MoveKind::Footwork === $move->kind && $angles($move)),
        );
    }

    /** @return list<Item> */
    public function opening(Randomizer $random): array
    {
        return [] === $this->openings ? [] : [$this->openings[$random->getInt(0, \count($this->openings) - 1)]];
    }

    /** @return list<Item> */
    public function between(Randomizer $random): array
    {
        return [$this->between[$random->getInt(0, \count($this->between) - 1)]];
    }

    /** @return list<Item> */
    public function ending(Randomizer $random): array
    {
        return [$this->endings[$random->getInt(0, \count($this->endings) - 1)]];
    }

    /** @param Item|false $before the item before it */
    public function strike(Randomizer $random, bool $first, Item|false $before): StrikeItem
    {
        $jabs = \in_array($this->jab->strike->limb, $this->criteria->weapons, true);
        if ($jabs && $first && 0 < $random->getInt(0, 4)) {
            return $this->jab;
        }
        $drawn = $this->strikes[$random->getInt(0, \count($this->strikes) - 1)];
        // A second strike of the same side is usually drawn again: three times out of four.
        $again =
            $before instanceof StrikeItem
            && $before->strike->role === $drawn->strike->role
            && 0 < $random->getInt(0, 3);

        return $again ? $this->strikes[$random->getInt(0, \count($this->strikes) - 1)] : $drawn;
    }
}
