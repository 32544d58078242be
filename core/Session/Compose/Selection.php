<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Sequence\Sequencer;
use Periplus\Core\Session\Sequence\Stop;
use Random\Engine\Mt19937;
use Random\Randomizer;

use function Periplus\Core\Language\t;

/**
 * Chooses combinations for one level: they flow for this group, fit the aim, were drilled least, and contain at most
 * two links that are new to the course. Then orders them so that each shares much with the one before.
 */
final readonly class Selection
{
    public function __construct(private Wishes $wishes)
    {
    }

    /**
     * @param list<Candidate> $candidates that flow
     * @param list<int> $taken ids that are in the session already
     */
    public function choose(array $candidates, int $level, int $count, array $taken): Chosen
    {
        $fitting = array_values(
            array_filter(
                $candidates,
                static fn (Candidate $one): bool => $one->level <= $level && !\in_array($one->id, $taken, true),
            ),
        );
        $unmet = [];
        $meant = array_values(array_filter($fitting, $this->wishes->aim->isMetBy(...)));
        if ([] === $meant && [] !== $fitting) {
            $unmet[] = t(
                'No combination for level {level} fits the aim {aim}; these were chosen without it.',
                level: $level,
                aim: $this->wishes->aim->title(),
            );
        }
        $chosen = $this->pick($meant, $level, $count, []);
        if (\count($chosen) < $count) {
            $more = $this->pick(
                array_values(array_filter(
                    $fitting,
                    static fn (Candidate $one): bool => !\in_array($one, $meant, true),
                )),
                $level,
                $count - \count($chosen),
                $chosen,
            );
            if ([] !== $meant && [] !== $more) {
                $unmet[] = t(
                    'Only {fromAim} combinations for level {level} fit the aim {aim}; {count} others were added.',
                    fromAim: \count($chosen),
                    level: $level,
                    aim: $this->wishes->aim->title(),
                    count: \count($more),
                );
            }
            $chosen = [...$chosen, ...$more];
        }
        if (\count($chosen) < $count) {
            $unmet[] = t(
                '{found, plural, =0 {Nothing in the library fits} one {One combination fits} '
                    .'other {# combinations fit}} for level {level}; {wanted} were wanted. '
                    .'Approve more, or raise the level.',
                found: \count($chosen),
                level: $level,
                wanted: $count,
            );
        }

        return new Chosen($this->ordered($chosen), $unmet);
    }

    /**
     * @param list<Candidate> $candidates
     * @param list<Choice> $before
     *
     * @return list<Choice>
     */
    private function pick(array $candidates, int $level, int $count, array $before): array
    {
        // Combinations that were drilled equally often and long ago are ordered at random.
        $candidates = (new Randomizer(new Mt19937($this->wishes->seed)))->shuffleArray($candidates);
        $isDue = AimKind::Due === $this->wishes->aim->kind;
        usort(
            $candidates,
            static fn (Candidate $one, Candidate $other): int => [
                $isDue ? $one->turn() : 0,
                $one->times,
                $one->last ?? '',
                $level - $one->level,
            ] <=> [$isDue ? $other->turn() : 0, $other->times, $other->last ?? '', $level - $other->level],
        );
        $known = array_fill_keys($this->wishes->known, true);
        foreach ($before as $choice) {
            $known += array_fill_keys($choice->candidate->links(), true);
        }
        $isNewCourse = [] === $known;
        // A syllabus says itself what is new in its week.
        $isWritten = AimKind::Syllabus === $this->wishes->aim->kind && [] === $before;
        $most = $isWritten ? \PHP_INT_MAX : (int) SessionValues::builtIn()->value('known');
        $chosen = [];
        while (\count($chosen) < $count) {
            $next = null;
            foreach ($candidates as $index => $candidate) {
                $new = \count(array_diff_key(array_fill_keys($candidate->links(), true), $known));
                if ($new <= $most) {
                    $next = [$index, $candidate, $new];
                    break;
                }
                // Nothing is known about a course without a session, so the least demanding combination comes first.
                if ($isNewCourse && (null === $next || $new < $next[2])) {
                    $next = [$index, $candidate, $new];
                }
            }
            if (null === $next) {
                break;
            }
            [$index, $candidate, $new] = $next;
            $chosen[] = new Choice($candidate, $this->why($candidate, $new, $level));
            $known += array_fill_keys($candidate->links(), true);
            unset($candidates[$index]);
        }

        return $chosen;
    }

    private function why(Candidate $candidate, int $new, int $level): string
    {
        $reasons = [
            AimKind::Due !== $this->wishes->aim->kind && $this->wishes->aim->isMetBy($candidate)
                ? t('it is about {aim}', aim: $this->wishes->aim->title())
                : null,
        ];
        $reasons[] = match (true) {
            0 === $candidate->times => t('in no session of this course yet'),
            null !== $candidate->overdue && $candidate->overdue >= 0 => t(
                '{overdue, plural, =0 {due today} one {due for # day} other {due for # days}}, drilled '
                    .'{times, plural, one {once} other {# times}} so far, last on {last}',
                overdue: $candidate->overdue,
                times: $candidate->times,
                last: (string) $candidate->last,
            ),
            null !== $candidate->last => t(
                'last in a session on {last}, {times, plural, one {once} other {# times}} so far',
                last: $candidate->last,
                times: $candidate->times,
            ),
            default => t('in {times} sessions so far', times: $candidate->times),
        };
        $reasons[] = match ($new) {
            0 => t('every link of it is known'),
            1 => t('one link is new'),
            default => t('{count} links are new', count: $new),
        };
        $reasons[] =
            $candidate->level < $level
                ? t('level {level}, within reach', level: $candidate->level)
                : t('level {level}', level: $candidate->level);

        return t(
            '{candidate}: {reasons}.',
            candidate: $candidate->name,
            reasons: implode(', ', array_filter($reasons, static fn (?string $reason): bool => null !== $reason)),
        );
    }

    /**
     * @param list<Choice> $choices
     *
     * @return list<Choice>
     */
    private function ordered(array $choices): array
    {
        $order = Sequencer::order(
            array_map(
                static fn (Choice $choice): Stop => new Stop(
                    $choice->candidate->inStance->chain,
                    $choice->candidate->level,
                ),
                $choices,
            ),
        );

        return array_map(static fn (int $place): Choice => $choices[$place], $order->order);
    }

    /**
     * Returns those that flow under the rules of the course, for its group.
     *
     * @param list<Candidate> $candidates
     *
     * @return list<Candidate>
     */
    public function flowing(array $candidates): array
    {
        $options = new CheckOptions($this->wishes->rules, 1.0, $this->wishes->medium, $this->wishes->group);

        return array_values(
            array_filter(
                $candidates,
                static fn (Candidate $one): bool => Verdict::Flows
                    === Check::builtIn()->run($one->inStance, $options)->verdict,
            ),
        );
    }
}
