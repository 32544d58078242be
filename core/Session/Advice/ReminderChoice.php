<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Generate\Theme;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Target;

/**
 * Chooses the reminders for a combination: first the one for the cause of its worst link, then those for its
 * techniques, the rarest first. Within a session the least used one comes first, so that they vary.
 */
final class ReminderChoice
{
    public const MAX_REMINDERS = 2;

    /** @var array<string, int> how often each stood, by id */
    private array $stood = [];

    public function __construct(private readonly Advice $advice)
    {
    }

    /**
     * @param Medium $medium at which it is thrown
     *
     * @return list<Reminder> at most two
     */
    public function for(CheckResult $result, Medium $medium = Medium::Shadow): array
    {
        $wanted = self::topics($result, $medium);
        $ranked = [];
        foreach ($this->advice->reminders as $order => $reminder) {
            $rank = array_search($reminder->for, $wanted, true);
            if (false !== $rank) {
                $ranked[] = [[$this->stood[$reminder->id] ?? 0, $rank, $order], $reminder];
            }
        }
        usort($ranked, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $chosen = \array_slice(array_column($ranked, 1), 0, self::MAX_REMINDERS);
        foreach ($chosen as $reminder) {
            $this->stood[$reminder->id] = 1 + ($this->stood[$reminder->id] ?? 0);
        }

        return $chosen;
    }

    /** @return list<string> what reminders of it are for, the most fitting first */
    public static function topics(CheckResult $result, Medium $medium = Medium::Shadow): array
    {
        $topics = [];
        $worst = null;
        foreach ($result->timing->links as $link) {
            if (Verdict::Flows !== $link->verdict && (null === $worst || $link->wait > $worst->wait)) {
                $worst = $link;
            }
        }
        if (null !== $worst?->cause) {
            $topics[] = 'cause:'.$worst->cause->value;
        }
        $before = null;
        foreach ($result->inStance->chain->items as $item) {
            array_push($topics, ...self::topicsOf($item, $medium));
            if ('jab' === $before?->strike->id && $item instanceof StrikeItem && 'cross' === $item->strike->id) {
                $topics[] = 'jab-cross';
            }
            $before = $item instanceof StrikeItem ? $item : null;
        }
        $topics = array_values(array_unique([...$topics, 'all']));
        // Straights occur in nearly every chain, so what is special about this chain comes first.
        usort($topics, static fn (string $one, string $other): int => self::common($one) <=> self::common($other));

        return $topics;
    }

    /** @return list<string> what reminders of an item are for, the most fitting first */
    public static function topicsOf(Item $item, Medium $medium = Medium::Shadow): array
    {
        return match (true) {
            $item instanceof StrikeItem => self::ofStrike($item, $medium),
            !$item instanceof MoveItem => [],
            str_starts_with($item->move->id, 'slip-') => ['slip', 'head-movement'],
            Theme::dodges($item->move) => ['head-movement'],
            MoveKind::Footwork === $item->move->kind => ['footwork'],
            default => ['all'],
        };
    }

    /** @return list<string> */
    private static function ofStrike(StrikeItem $item, Medium $medium): array
    {
        $strike = $item->strike;
        $topics = [];
        if ($item->feint) {
            $topics[] = 'feint';
        }
        if ($strike->spins()) {
            $topics[] = 'spinning';
        }
        if (Target::Body === $item->target && \in_array($strike->family, ['hook', 'shovel hook'], true)) {
            if (Role::Lead === $strike->role) {
                $topics[] = 'liver-hook';
            }
            $topics[] = 'body-hook';
        }
        if (Target::Leg === $item->target && Limb::Leg === $strike->limb) {
            $topics[] = 'low-kick';
        }
        if (\in_array($strike->id, ['jab', 'cross'], true)) {
            $topics[] = $strike->id;
        }
        // An uppercut rolls the wrist only against a face that goes straight down.
        if ('uppercut' === $strike->family && Target::Head === $item->target && $medium->properties()->flat) {
            $topics[] = 'bag-uppercut';
        }
        $topics[] = match (true) {
            Limb::Elbow === $strike->limb => 'elbow',
            Limb::Knee === $strike->limb => 'knee',
            default => $strike->topic ?? $strike->family,
        };

        return $topics;
    }

    private static function common(string $topic): int
    {
        return match (true) {
            'all' === $topic => 3,
            \in_array($topic, ['straight', 'jab', 'cross', 'jab-cross', 'footwork'], true) => 2,
            str_starts_with($topic, 'cause:') => 0,
            default => 1,
        };
    }
}
