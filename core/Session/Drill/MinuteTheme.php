<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Generate\Theme;
use Periplus\Core\Technique\Head;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;

use function Periplus\Core\Language\t;

/** A theme for a minute of free work, and the combinations that fit it. Common practice, no source. */
enum MinuteTheme: string
{
    case Jab = 'jab';
    case RearHand = 'rear-hand';
    case Slipping = 'slipping';
    case Ducking = 'ducking';
    case Body = 'body';
    case InAndOut = 'in-and-out';
    case Angles = 'angles';
    case Inside = 'inside';

    public function title(): string
    {
        return match ($this) {
            self::Jab => 'jab',
            self::RearHand => 'rear hand',
            self::Slipping => 'slipping',
            self::Ducking => 'ducking',
            self::Body => 'body',
            self::InAndOut => t('in and out'),
            self::Angles => 'angles',
            self::Inside => 'inside',
        };
    }

    /** @return array<string, string> titles by value */
    public static function titles(): array
    {
        $titles = [];
        foreach (self::cases() as $theme) {
            $titles[$theme->value] = $theme->title();
        }

        return $titles;
    }

    public function holds(Chain $chain): bool
    {
        return match ($this) {
            self::Jab => 2
                <= $this->count(
                    $chain,
                    static fn (Item $item): bool => $item instanceof StrikeItem && 'jab' === $item->strike->id,
                ),
            self::RearHand => 2
                <= $this->count(
                    $chain,
                    static fn (Item $item): bool => $item instanceof StrikeItem
                        && Limb::Hand === $item->strike->limb
                        && Role::Rear === $item->strike->role,
                ),
            self::Slipping => 1
                <= $this->count(
                    $chain,
                    static fn (Item $item): bool => $item instanceof MoveItem
                        && \in_array($item->move->head, [Head::Lead, Head::Rear], true),
                ),
            self::Ducking => 1
                <= $this->count(
                    $chain,
                    static fn (Item $item): bool => $item instanceof MoveItem && Head::Low === $item->move->head,
                ),
            self::Body => Theme::BodyWork->holds($chain),
            self::InAndOut => Theme::InAndOut->holds($chain),
            self::Angles => Theme::Angles->holds($chain),
            // Bands 1 and 2 are clinch and hook range.
            self::Inside => 1
                <= $this->count(
                    $chain,
                    static fn (Item $item): bool => $item instanceof StrikeItem
                        && max($item->strike->ranges($item->target)) <= 2,
                ),
        };
    }

    /** @param \Closure(Item): bool $is */
    private function count(Chain $chain, \Closure $is): int
    {
        return \count(array_filter($chain->items, $is));
    }
}
