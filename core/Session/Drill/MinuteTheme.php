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
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Path;
use Periplus\Core\Technique\Role;

use function Periplus\Core\Language\t;

/** A theme for a minute of free work, and the combinations that fit it. Common practice, no source. */
enum MinuteTheme: string
{
    /** Straights that follow each other in a punch-out. */
    private const PUNCH_OUT = 4;

    case Jab = 'jab';
    case RearHand = 'rear-hand';
    case Slipping = 'slipping';
    case Ducking = 'ducking';
    case Body = 'body';
    case InAndOut = 'in-and-out';
    case Angles = 'angles';
    case Inside = 'inside';
    case LeadHand = 'lead-hand';
    case Footwork = 'footwork';
    case Feints = 'feints';
    case PunchOuts = 'punch-outs';
    case Elbows = 'elbows';
    case Knees = 'knees';
    case Kicks = 'kicks';

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
            self::LeadHand => t('lead hand'),
            self::Footwork => 'footwork',
            self::Feints => 'feints',
            self::PunchOuts => t('punch-outs'),
            self::Elbows => 'elbows',
            self::Knees => 'knees',
            self::Kicks => 'kicks',
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
            self::LeadHand => 2
                <= $this->count(
                    $chain,
                    static fn (Item $item): bool => $item instanceof StrikeItem
                        && Limb::Hand === $item->strike->limb
                        && Role::Lead === $item->strike->role,
                ),
            self::Footwork => 2
                <= $this->count(
                    $chain,
                    static fn (Item $item): bool => $item instanceof MoveItem
                        && MoveKind::Footwork === $item->move->kind,
                ),
            self::Feints => $this->throws($chain, static fn (StrikeItem $item): bool => $item->feint),
            self::PunchOuts => $this->hasPunchOut($chain),
            self::Elbows => $this->throws(
                $chain,
                static fn (StrikeItem $item): bool => Limb::Elbow === $item->strike->limb,
            ),
            self::Knees => $this->throws($chain, static fn (StrikeItem $item): bool => $item->isKnee()),
            self::Kicks => $this->throws(
                $chain,
                static fn (StrikeItem $item): bool => Limb::Leg === $item->strike->limb,
            ),
        };
    }

    /** @param \Closure(StrikeItem): bool $is */
    private function throws(Chain $chain, \Closure $is): bool
    {
        return [] !== array_filter($chain->strikes(), $is);
    }

    /** Tells whether four straights or more follow each other. */
    private function hasPunchOut(Chain $chain): bool
    {
        $run = 0;
        foreach ($chain->items as $item) {
            $isStraight = $item instanceof StrikeItem
                && Limb::Hand === $item->strike->limb
                && Path::Straight === $item->strike->path;
            $run = $isStraight ? $run + 1 : 0;
            if ($run >= self::PUNCH_OUT) {
                return true;
            }
        }

        return false;
    }

    /** @param \Closure(Item): bool $is */
    private function count(Chain $chain, \Closure $is): int
    {
        return \count(array_filter($chain->items, $is));
    }
}
