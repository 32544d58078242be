<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Advice\Reminder;
use Periplus\Core\Session\Advice\ReminderChoice;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Plan\Block;
use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\Lane;
use Periplus\Core\Session\Plan\Round;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Plan\Set;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** Builds the programme of a plan: the same plan and seed always give the same cues. */
final class ProgrammeBuilder
{
    private const LAST_TEN = 10_000;
    /** Above the reader's limit, because the reader estimates and amendments add some. */
    private const MAX_CUES = 2 * SessionPlan::MAX_CUES;
    /** Kinds of cues that show a reminder. */
    private const REMIND = [CueKind::Show, CueKind::Change, CueKind::Step, CueKind::Demonstration];

    /** @var list<Cue> */
    private array $cues = [];
    /** @var list<Segment> */
    private array $segments = [];
    private readonly ReminderChoice $reminders;

    private function __construct(
        private readonly SessionPlan $plan,
        private readonly Advice $advice,
        private readonly Amendments $amendments,
    ) {
        $this->reminders = new ReminderChoice($advice);
    }

    /** @throws ProgrammeTooLarge when it has far more cues than a session can have */
    public static function build(
        SessionPlan $plan,
        ?Advice $advice = null,
        Amendments $amendments = new Amendments(),
    ): Programme {
        return (new self($plan, $advice ?? Advice::builtIn(), $amendments))->programme();
    }

    private function programme(): Programme
    {
        $offsetMs = 0;
        foreach ($this->plan->blocks as $number => $block) {
            $offsetMs = $this->block($block, $number, $offsetMs);
            $changeover = $this->amendments->changeover($block, $number);
            if ($changeover > 0 && $number < \count($this->plan->blocks) - 1) {
                $this->segments[] = new Segment(
                    $offsetMs,
                    $offsetMs + 1000 * $changeover,
                    null,
                    SegmentKind::Changeover,
                    new Place($number),
                );
                $this->cues[] = $this->cue(
                    new DrillCue(
                        0,
                        CueKind::Changeover,
                        'Next: '.$this->plan->blocks[$number + 1]->name,
                        short: $this->plan->blocks[$number + 1]->name,
                    ),
                    $offsetMs,
                    null,
                    new Place($number),
                );
                $offsetMs += 1000 * $changeover;
            }
        }
        if ([] !== $this->segments) {
            $this->cues[] = new Cue($offsetMs, null, CueKind::End, t('End'), new Place());
        }
        usort($this->cues, static fn (Cue $one, Cue $other): int => $one->atMs <=> $other->atMs);

        return new Programme($this->plan, $this->remind(), $this->segments, $offsetMs);
    }

    /** @return int when it is over, ms */
    private function block(Block $block, int $number, int $offsetMs): int
    {
        $times = [];
        foreach ($block->rounds as $place => $round) {
            $times[$place] = $this->amendments->times($round, new Place($number, $place));
        }
        $all = array_sum($times);
        $count = 0;
        foreach ($block->rounds as $place => $round) {
            for ($repeat = 0; $repeat < $times[$place]; ++$repeat) {
                ++$count;
                $comes =
                    $repeat < $times[$place] - 1
                        ? new Place($number, $place, $repeat + 1)
                        : new Place($number, $place + 1, 0);
                $next = $block->rounds[$comes->round] ?? null;
                $announced = null === $next ? null : $this->amendments->round($next, $comes);
                $title =
                    BlockKind::Rounds === $block->kind && $all > 1
                        ? t('Round {count} of {all}', count: $count, all: $all)
                        : $block->name;
                $here = new Place($number, $place, $repeat);
                $offsetMs = $this->round(
                    $this->amendments->round($round, $here),
                    $here,
                    $offsetMs,
                    $title,
                    $count === $all,
                    $announced,
                );
            }
        }

        return $offsetMs;
    }

    /**
     * @param bool $isLast of its block; there is no rest after it
     * @param Round|null $next that comes after it
     *
     * @return int when it is over, ms
     */
    private function round(Round $round, Place $place, int $offsetMs, string $title, bool $isLast, ?Round $next): int
    {
        $whole = $isLast && [] === $round->lanes ? $round->seconds : $round->cycle();
        $tracks = [] === $round->lanes ? [null] : array_keys($this->plan->tracks);
        foreach ($tracks as $track) {
            $lane = null === $track ? $round->everybody : $round->lane($track);
            $this->lane($lane, $round, $place, $offsetMs, $whole, $track, $title, $next);
        }

        return $offsetMs + 1000 * $whole;
    }

    private function lane(
        Lane $lane,
        Round $round,
        Place $place,
        int $start,
        int $whole,
        ?int $track,
        string $title,
        ?Round $next,
    ): void {
        $pieces = $this->pieces($lane);
        $clock = 0;
        foreach ($lane->windows as $number => $window) {
            [$from, $to] = [$window->from, $window->to];
            if ($from >= $whole) {
                break;
            }
            $this->rest($clock, $from, $start, $track, $place, null);
            $this->cues[] = $this->cue(
                new DrillCue(
                    0,
                    CueKind::Bell,
                    null === $track ? $title : $title.', '.$this->plan->tracks[$track]->name,
                    short: $title,
                ),
                $start + 1000 * $from,
                $track,
                $place,
            );
            foreach ($pieces[$number] as $part => $piece) {
                $set = $lane->sets[$piece->set];
                $run = $this->run($set, $round, $place, $piece->seconds(), $track, $piece->from);
                $definition = $set->drill->definition();
                $here = $place->withSet($piece->set);
                $this->segments[] = new Segment(
                    fromMs: $start + 1000 * $piece->from,
                    toMs: $start + 1000 * $piece->to,
                    track: $track,
                    kind: $definition->isWork ? SegmentKind::Work : SegmentKind::Listen,
                    place: $here,
                    set: $set,
                    run: $run,
                );
                $cues = iterator_to_array($set->drill->cues($run), false);
                if ($part > 0 && $piece->begins) {
                    $this->change(
                        $cues,
                        $definition->title,
                        $start + 1000 * $piece->from,
                        $start + 1000 * $pieces[$number][$part - 1]->from,
                        $track,
                        $here,
                    );
                }
                if (\count($this->cues) + \count($cues) > self::MAX_CUES) {
                    throw new ProgrammeTooLarge(
                        t(
                            'This session has more than {maxCues} calls and signs. Remove rounds, or call less often.',
                            maxCues: number_format(self::MAX_CUES),
                        ),
                    );
                }
                foreach ($cues as $cue) {
                    $this->cues[] = $this->cue($cue, $start + 1000 * $piece->from + $cue->atMs, $track, $here);
                }
            }
            $filled = [] === $pieces[$number] ? $from : $pieces[$number][\count($pieces[$number]) - 1]->to;
            if ($filled < $to) {
                // A set that could not be read leaves its time empty.
                $this->segments[] = new Segment(
                    $start + 1000 * $filled,
                    $start + 1000 * $to,
                    $track,
                    SegmentKind::Work,
                    $place,
                );
            }
            if ($round->lastTen && $to - $from > (2 * self::LAST_TEN) / 1000) {
                $this->cues[] = new Cue(
                    $start + 1000 * $to - self::LAST_TEN,
                    $track,
                    CueKind::LastTen,
                    t('Last ten seconds'),
                    $place,
                );
            }
            $clock = $to;
        }
        $this->rest($clock, $whole, $start, $track, $place, $next);
    }

    /** @param Round|null $next which is announced in it, to each track with what it begins for them */
    private function rest(int $from, int $to, int $start, ?int $track, Place $place, ?Round $next): void
    {
        if ($from >= $to) {
            return;
        }
        $offsetMs = $start + 1000 * $from;
        $this->segments[] = new Segment($offsetMs, $start + 1000 * $to, $track, SegmentKind::Rest, $place);
        $this->cues[] = new Cue($offsetMs, $track, CueKind::Rest, t('Rest, {to} s', to: $to - $from), $place);
        if (null === $next) {
            return;
        }
        foreach (null === $track && [] !== $next->lanes ? array_keys($this->plan->tracks) : [$track] as $of) {
            $first = $this->first($next, $of);
            if (null !== $first) {
                $this->cues[] = $this->cue($first->announced(), $offsetMs, $of, $place);
            }
        }
    }

    /**
     * Returns the change from one set to the next, announced beforehand.
     *
     * @param list<DrillCue> $cues of the set that comes
     * @param int $earliest before which the set before has not begun, ms
     */
    private function change(array $cues, string $title, int $offsetMs, int $earliest, ?int $track, Place $place): void
    {
        // Random calls are not announced.
        $first =
            isset($cues[0]) && CueKind::Call !== $cues[0]->kind ? $cues[0] : new DrillCue(0, CueKind::Show, $title);
        $announced = max($earliest, $offsetMs - (int) (1000 * SessionValues::builtIn()->value('announce')));
        $this->cues[] = $this->cue($first->announced(), $announced, $track, $place);
        $this->cues[] = new Cue($offsetMs, $track, CueKind::Change, $title, $place);
    }

    /**
     * Returns the sets, cut where the windows end.
     *
     * @return list<list<Piece>> for each window
     */
    private function pieces(Lane $lane): array
    {
        $pieces = [];
        $set = 0;
        $done = 0;
        foreach ($lane->windows as $window) {
            [$from, $to] = [$window->from, $window->to];
            $here = [];
            $second = $from;
            while ($second < $to && isset($lane->sets[$set])) {
                $until = min($to, $second + $lane->sets[$set]->seconds - $done);
                $here[] = new Piece($set, $second, $until, 0 === $done);
                $done += $until - $second;
                if ($done >= $lane->sets[$set]->seconds) {
                    ++$set;
                    $done = 0;
                }
                $second = $until;
            }
            $pieces[] = $here;
        }

        return $pieces;
    }

    private function run(Set $set, Round $round, Place $place, int $seconds, ?int $track, int $from): DrillRun
    {
        $seed = crc32(implode('/', [$this->plan->seed, $set->place, $place->repeat ?? 0, $track ?? '', $from]));

        return new DrillRun(
            combinations: $set->combinations,
            parameters: $set->parameters,
            seconds: $seconds,
            options: $this->plan->options($round->medium),
            numbering: $this->plan->numbering,
            level: $this->plan->level($track),
            stance: $round->stance,
            seed: $seed,
            repeat: $place->repeat ?? 0,
            advice: $this->advice,
        );
    }

    /** Returns the first cue of a round for that track. */
    private function first(Round $round, ?int $track): ?DrillCue
    {
        $set = (null === $track ? $round->everybody : $round->lane($track))->sets[0] ?? null;

        if (null === $set) {
            return null;
        }
        [$cue] = [...$set->drill->cues($this->run($set, $round, new Place(), $set->seconds, $track, 0)), null];

        return null === $cue || CueKind::Call === $cue->kind
            ? new DrillCue(0, CueKind::Show, $set->drill->definition()->title)
            : $cue;
    }

    private function cue(DrillCue $cue, int $offsetMs, ?int $track, Place $place): Cue
    {
        return new Cue(
            atMs: $offsetMs,
            track: $track,
            kind: $cue->kind,
            text: $cue->text,
            place: $place,
            chain: $cue->chain,
            stance: $cue->stance,
            marked: $cue->marked,
            lengthMs: $cue->lengthMs,
            reminders: [],
            before: $cue->before,
            after: $cue->after,
            short: $cue->short,
        );
    }

    /** @return list<Cue> with the reminders, which are chosen in the order of the session */
    private function remind(): array
    {
        $checked = [];

        return array_map(function (Cue $cue) use (&$checked): Cue {
            if (null === $cue->chain || !\in_array($cue->kind, self::REMIND, true)) {
                return $cue;
            }
            $result = $checked[spl_object_id($cue->chain)] ??= Check::builtIn()->run(
                new ChainInStance($cue->chain, Stance::Orthodox),
                new CheckOptions($this->plan->rules, $this->plan->tempo),
            );

            return $cue->with(
                array_map(static fn (Reminder $reminder): string => $reminder->text, $this->reminders->for($result)),
            );
        }, $this->cues);
    }
}
