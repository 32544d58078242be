<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Contact;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Floor\Build;
use Periplus\Core\Floor\FloorData;
use Periplus\Core\Floor\Place;
use Periplus\Core\Floor\Point;
use Periplus\Core\Floor\RearHand;
use Periplus\Core\Floor\Standing;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Technique\Head;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Path;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\StrikeTrait;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/** Draws both athletes at one place of a chain. */
final readonly class MomentDrawer
{
    /** Below this an athlete is said to be on the line, degrees. */
    private const ON_LINE = 3.0;
    /** Below this no way is drawn, m. */
    private const SHORTEST_WAY = 0.1;
    /** A foot that goes less than this stays, m. */
    private const STAYS = 0.02;
    /** Share of the way from start to end by which a strike that comes round leaves it, and the least, m. */
    private const BULGE = 0.45;
    private const LEAST_BULGE = 0.12;

    private FloorData $data;

    public function __construct(
        private ChainInStance $chain,
        private ChainTiming $timing,
        private Sway $sway,
        private Opponent $opponent,
        private Build $build,
    ) {
        $this->data = FloorData::builtIn();
    }

    /** @param int $them place of the opponent in the list of the view */
    public function draw(Place $place, int $them): DrawnMoment
    {
        $item = null === $place->at ? null : $this->chain->chain->items[$place->at];
        $turn = null === $place->at ? 0.0 : $this->timing->moments[$place->at]->turn;
        // After a landing that changed the stance the hips are read from the other side.
        $turn = $place->landed && true === $item?->changesStance() ? -$turn : $turn;
        $strike = $item instanceof StrikeItem && !$place->landed ? $item : null;
        // Past the feet the model knows no place to stand.
        $hipsAhead = max(
            -$this->build->halfStance,
            min($this->build->halfStance, $this->hipsAt($place->ms / 1000)),
        );
        $hips = $place->us->middle->moved($place->us->heading, $hipsAhead);
        $head = $this->head($item, $place->us, $hips);
        $rearHand = new RearHand($place->them, $this->build);
        $angle = $this->angle($place);
        $distance = (int) round(100 * $place->us->middle->distanceTo($place->them->middle));
        $side = abs($angle) < self::ON_LINE ? null : ($angle > 0.0 ? 'left' : 'right');
        // From where the athlete stands, not from where they lean for a moment.
        $isReached = $rearHand->reaches($this->head($item, $place->us, $place->us->middle));

        return new DrawnMoment(
            at: $place->at,
            landed: $place->landed,
            fromMs: (int) round($place->fromMs),
            ms: (int) round($place->ms),
            us: $this->athlete($place->us, $turn, $hips, $head, $strike),
            them: $them,
            blow: null === $strike ? null : $this->blow($strike, $place->at, $place, $hips, $turn),
            way: $this->way($place),
            distanceCm: $distance,
            angle: (int) round(abs($angle)),
            side: $side,
            isReached: $isReached,
            sentence: $this->sentence($place, $distance, abs($angle), $side, $isReached),
        );
    }

    public function opponent(Standing $them): DrawnOpponent
    {
        $liver = $this->organ($them, Side::Right);

        return new DrawnOpponent(
            $this->athlete($them, 0.0, $them->middle, $them->middle, null),
            (new RearHand($them, $this->build))->path(),
            round(100 * $liver->x, 1),
            round(100 * $liver->y, 1),
        );
    }

    /** Returns how far the hips are in front of the middle of the stance, in m. */
    private function hipsAt(float $seconds): float
    {
        $before = null;
        foreach ($this->sway->points as $point) {
            if ($point->seconds >= $seconds) {
                $span = null === $before ? 0.0 : $point->seconds - $before->seconds;

                return null === $before || $span <= 0.0
                    ? $point->hips
                    : $before->hips + ($point->hips - $before->hips) * ($seconds - $before->seconds) / $span;
            }
            $before = $point;
        }

        return $before->hips ?? 0.0;
    }

    /** Returns where the head is: above the hips, or where a defence takes it. */
    private function head(?Item $item, Standing $us, Point $hips): Point
    {
        $to = $item instanceof MoveItem ? $item->move->headTo() : null;

        return match (true) {
            Head::Back === $to => $hips->moved($us->heading, -$this->data->value('headBack')),
            $to instanceof Role => $hips->moved(
                $us->heading,
                0.0,
                $us->sign($to) * $this->data->value('headAside'),
            ),
            default => $hips,
        };
    }

    /** @return list<DrawnPart> from the floor up */
    private function athlete(Standing $who, float $turn, Point $hips, Point $head, ?StrikeItem $strike): array
    {
        $parts = [];
        foreach (Role::cases() as $role) {
            $isLeft = Side::Left === $who->stance->sideOf($role);
            if (true === $strike?->isLegStrike() && !$strike->feint) {
                if ($role !== $strike->strike->role) {
                    $parts[] = $this->standingFoot($who, $role, $strike, $isLeft);
                }
                continue;
            }
            $parts[] = new DrawnPart(
                'foot',
                $who->foot($role, $this->build),
                $who->footHeading($role),
                $role,
                $isLeft,
            );
        }
        $parts[] = new DrawnPart('hips', $hips, $who->hips($turn));
        $parts[] = new DrawnPart('shoulders', $hips, $who->shoulders($turn));
        foreach (Role::cases() as $role) {
            if (true !== $strike?->strike->limb->isArm() || $role !== $strike->strike->role) {
                $parts[] = new DrawnPart(
                    'hand',
                    $head->moved(
                        $who->heading,
                        $this->data->value(Role::Lead === $role ? 'guardLead' : 'guardRear'),
                        $who->sign($role) * $this->data->value('guardAside'),
                    ),
                    $who->heading,
                    $role,
                    Side::Left === $who->stance->sideOf($role),
                );
            }
        }
        $parts[] = new DrawnPart('head', $head, $who->heading);

        return $parts;
    }

    /** Draws the foot that stands while the other leg strikes. */
    private function standingFoot(Standing $who, Role $role, StrikeItem $strike, bool $isLeft): DrawnPart
    {
        $turned = Path::Circular === $strike->strike->path ? $this->data->value('standingFoot') : 0.0;

        return new DrawnPart(
            'foot',
            $strike->strike->has(StrikeTrait::UnderBody) ? $who->middle : $who->foot($role, $this->build),
            $who->footHeading($role) + $who->sign($role) * $turned,
            $role,
            $isLeft,
        );
    }

    private function shoulder(Standing $who, Role $role, float $turn, Point $middle): Point
    {
        return $middle->moved($who->shoulders($turn), 0.0, $who->sign($role) * $this->build->halfShoulders);
    }

    private function blow(StrikeItem $item, int $index, Place $place, Point $hips, float $turn): DrawnBlow
    {
        [$us, $them] = [$place->us, $place->them];
        $strike = $item->strike;
        $contacts = $this->opponent->contacts($this->chain, $index);
        $from = $strike->limb->isArm()
            ? $this->shoulder($us, $strike->role, $turn, $hips)
            : $hips->moved($us->hips($turn), 0.0, $us->sign($strike->role) * $this->build->halfHips);
        $target = $this->target($item, $contacts, $them, $from);
        $to = $item->feint ? $from->towards($target, 0.5) : $target;
        $outward = match ($strike->path) {
            Path::Circular => 1.0,
            // It turns round by the back and comes from the other side.
            Path::Spinning => -1.0,
            Path::Vertical => Limb::Hand === $strike->limb ? 0.4 : 0.0,
            Path::Straight => 0.0,
        };
        $bulge = $outward * max(self::LEAST_BULGE, self::BULGE * $from->distanceTo($to));

        return new DrawnBlow(
            from: $from,
            control: $from->towards($to, 0.5)->moved($us->heading, 0.0, $us->sign($strike->role) * $bulge),
            to: $to,
            role: $strike->role,
            isLeg: $item->isLegStrike(),
            isFeint: $item->feint,
            where: [] === $contacts ? null : $contacts[0]->words(),
            isLiver: \in_array(Contact::Liver, $contacts, true),
            isSpleen: \in_array(Contact::Spleen, $contacts, true),
        );
    }

    /** @param list<Contact> $contacts */
    private function target(StrikeItem $item, array $contacts, Standing $them, Point $from): Point
    {
        $middle = $them->middle;
        if (Target::Head === $item->target) {
            return $middle->moved($middle->directionTo($from), $this->data->value('head'));
        }
        if (Target::Body === $item->target) {
            return match (true) {
                \in_array(Contact::Liver, $contacts, true) => $this->organ($them, Side::Right),
                \in_array(Contact::Spleen, $contacts, true) => $this->organ($them, Side::Left),
                default => $middle->moved($middle->directionTo($from), $this->data->value('trunkAhead')),
            };
        }
        $thigh = $middle->towards($them->foot(Role::Lead, $this->build), 0.5);
        $outward = match (true) {
            \in_array(Contact::ThighOutside, $contacts, true) => 1.0,
            \in_array(Contact::ThighInside, $contacts, true) => -1.0,
            default => 0.0,
        };

        $aside = $outward * $them->sign(Role::Lead) * $this->data->value('thighAside');

        return $thigh->moved($them->heading, 0.0, $aside);
    }

    /** Returns where an organ is that the opponent has on that side: the liver on the right, the spleen on the left. */
    private function organ(Standing $them, Side $side): Point
    {
        return $them->middle->moved(
            $them->hips(0.0),
            $this->data->value('organAhead'),
            (Side::Left === $side ? -1.0 : 1.0) * $this->data->value('organAside'),
        );
    }

    /** Returns how far the athlete is off the line in which the opponent faces; positive to our left, degrees. */
    private function angle(Place $place): float
    {
        $off = $place->them->middle->directionTo($place->us->middle) - $place->them->heading;

        return fmod($off + 540.0, 360.0) - 180.0;
    }

    /** Returns the way of the foot that goes furthest; round the other foot where that one stays. */
    private function way(Place $place): ?string
    {
        $ways = [];
        foreach (Side::cases() as $side) {
            $from = $place->before->foot($place->before->stance->roleOf($side), $this->build);
            $to = $place->us->foot($place->us->stance->roleOf($side), $this->build);
            $ways[(int) round(1000 * $from->distanceTo($to))] = [$from, $to];
        }
        ksort($ways);
        [$from, $to] = $ways[array_key_last($ways)];
        if ($from->distanceTo($to) < self::SHORTEST_WAY) {
            return null;
        }
        $turns = \count($ways) > 1 && array_key_first($ways) < 1000 * self::STAYS;
        $isRightward = $place->us->heading > $place->before->heading;
        $between = $place->us->foot(Role::Lead, $this->build)->distanceTo($place->us->foot(Role::Rear, $this->build));

        return \sprintf(
            'M%s %s%s%s %s',
            round(100 * $from->x, 1),
            round(100 * $from->y, 1),
            $turns ? \sprintf('A%1$s %1$s 0 0 %2$d ', round(100 * $between, 1), $isRightward ? 1 : 0) : 'L',
            round(100 * $to->x, 1),
            round(100 * $to->y, 1),
        );
    }

    /** @param 'left'|'right'|null $side */
    private function sentence(Place $place, int $distance, float $angle, ?string $side, bool $isReached): string
    {
        $where =
            null === $side
                ? t('{cm} cm apart, on their line', cm: $distance)
                : t(
                    '{cm} cm apart, {angle}° to the {side} of their line',
                    cm: $distance,
                    angle: (int) round($angle),
                    side: $side,
                );

        return $isReached
            ? t('{where}; their rear hand reaches.', where: $where)
            : t('{where}; their rear hand does not reach without a turn.', where: $where);
    }
}
