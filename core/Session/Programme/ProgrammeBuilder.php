<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Advice\Fault;
use Periplus\Core\Session\Advice\FaultChoice;
use Periplus\Core\Session\Advice\Reminder;
use Periplus\Core\Session\Advice\ReminderChoice;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\DrillCue;
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
    /** How long before the session its first work is announced, in ms. */
    private const BEFORE_START = 10_000;
    /** Above the reader's limit, because the reader estimates and amendments add some. */
    private const MAX_CUES = 2 * SessionPlan::MAX_CUES;
    /** Kinds of cues that show a reminder. */
    private const REMIND = [CueKind::Show, CueKind::Change, CueKind::Step, CueKind::Demonstration];

    /** @var list<Cue> */
    private array $cues = [];
    /** @var list<Segment> */
    private array $segments = [];
    private readonly ReminderChoice $reminders;
    private readonly FaultChoice $faults;
    private readonly Announcer $announcer;

    private function __construct(
        private readonly SessionPlan $plan,
        private readonly Advice $advice,
        private readonly Amendments $amendments,
    ) {
        $this->reminders = new ReminderChoice($advice);
        $this->faults = new FaultChoice($advice);
        $this->announcer = new Announcer($plan, $advice);
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
        $steps = Step::all($this->plan, $this->amendments);
        $offsetMs = $done = 0;
        foreach ($this->plan->blocks as $number => $block) {
            while (isset($steps[$done]) && $number === $steps[$done]->place->block) {
                $offsetMs = $this->round($steps[$done], $offsetMs, $steps[$done + 1] ?? null);
                ++$done;
            }
            $changeover = $this->amendments->changeover($block, $number);
            if ($changeover > 0 && $number < \count($this->plan->blocks) - 1) {
                $this->changeover($number, $offsetMs, $changeover, $steps[$done] ?? null);
                $offsetMs += 1000 * $changeover;
            }
        }
        if ([] !== $this->segments) {
            $this->cues[] = new Cue($offsetMs, null, CueKind::End, t('End'), new Place());
        }
        usort($this->cues, static fn (Cue $one, Cue $other): int => $one->atMs <=> $other->atMs);

        return new Programme(
            $this->plan,
            $this->remind(),
            $this->segments,
            $offsetMs,
            isset($steps[0]) ? $this->announcer->round($steps[0], -self::BEFORE_START, 0, null) : [],
        );
    }

    private function changeover(int $number, int $offsetMs, int $seconds, ?Step $next): void
    {
        $place = new Place($number);
        $comes = $this->plan->blocks[$number + 1];
        $endMs = $offsetMs + 1000 * $seconds;
        $this->segments[] = new Segment($offsetMs, $endMs, null, SegmentKind::Changeover, $place);
        $this->cues[] = new Cue(
            $offsetMs,
            null,
            CueKind::Changeover,
            implode('. ', array_filter(
                [t('Next: {what}', what: $comes->name), $comes->note],
                static fn (string $part): bool => '' !== $part,
            )),
            $place,
            short: t('Next: {what}', what: $comes->name),
        );
        if (null !== $next && $number + 1 === $next->place->block) {
            array_push($this->cues, ...$this->announcer->round($next, $offsetMs, $endMs, $place));
        }
    }

    /** @return int when it is over, ms */
    private function round(Step $step, int $offsetMs, ?Step $next): int
    {
        $round = $step->round;
        $whole = $step->isLast && [] === $round->lanes ? $round->seconds : $round->cycle();
        $tracks = [] === $round->lanes ? [null] : array_keys($this->plan->tracks);
        foreach ($tracks as $track) {
            $this->lane($step, $offsetMs, $whole, $track, $next);
        }

        return $offsetMs + 1000 * $whole;
    }

    /** @param int $whole how long it lasts with its rest, s */
    private function lane(Step $step, int $start, int $whole, ?int $track, ?Step $next): void
    {
        $lane = $step->lane($track);
        $pieces = $this->pieces($lane);
        $clock = 0;
        foreach ($lane->windows as $number => $window) {
            [$from, $to] = [$window->from, $window->to];
            if ($from >= $whole) {
                break;
            }
            if ($clock < $from) {
                $this->rest($step, $start, $clock, $from, $track);
                array_push(
                    $this->cues,
                    ...$this->announcer->set($step, $pieces[$number][0] ?? null, $start, $clock, $track),
                );
            }
            $this->cues[] = Cue::of(
                new DrillCue(
                    0,
                    CueKind::Bell,
                    null === $track ? $step->title : $step->title.', '.$this->plan->tracks[$track]->name,
                    short: $step->title,
                ),
                $start + 1000 * $from,
                $track,
                $step->place,
            );
            $this->work($step, $lane, $pieces[$number], $start, $from, $to, $track);
            $clock = $to;
        }
        $endMs = $start + 1000 * $whole;
        if ($clock < $whole) {
            $this->rest($step, $start, $clock, $whole, $track, $next);
            if (null !== $next && $this->followsAtOnce($step, $next)) {
                array_push(
                    $this->cues,
                    ...$this->announcer->round($next, $start + 1000 * $clock, $endMs, $step->place, $track),
                );
            }
        } elseif (null !== $next && $this->followsAtOnce($step, $next)) {
            // Without a rest the next round is announced in the last seconds of work.
            $last = $pieces[\count($pieces) - 1];
            $begun = [] === $last ? $clock : $last[\count($last) - 1]->from;
            $fromMs = max($start + 1000 * $begun, $endMs - Announcer::beforeMs());
            array_push($this->cues, ...$this->announcer->round($next, $fromMs, $endMs, $step->place, $track));
        }
    }

    /** Tells whether no changeover lies between them. */
    private function followsAtOnce(Step $step, Step $next): bool
    {
        $block = (int) $step->place->block;

        return $next->place->block === $block
            || 0 === $this->amendments->changeover($this->plan->blocks[$block], $block);
    }

    /**
     * @param list<Piece> $pieces in that window
     * @param int $from s of the round; $to as well
     */
    private function work(
        Step $step,
        Lane $lane,
        array $pieces,
        int $start,
        int $from,
        int $to,
        ?int $track,
    ): void {
        $filled = $from;
        foreach ($pieces as $part => $piece) {
            $set = $lane->sets[$piece->set];
            $run = $this->announcer->run($set, $step, $track, $piece->from, $piece->seconds());
            $definition = $set->drill->definition();
            $here = $step->place->withSet($set->station->number);
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
                array_push($this->cues, ...$this->announcer->change(
                    $set->drill->announcement($run),
                    $definition->title,
                    $start + 1000 * $piece->from,
                    $start + 1000 * $pieces[$part - 1]->from,
                    $track,
                    $here,
                ));
            }
            if (\count($this->cues) + \count($cues) > self::MAX_CUES) {
                throw new ProgrammeTooLarge(
                    t(
                        'This session has more than {maxCues} calls and signs. Remove rounds, or call less often.',
                        maxCues: number_format(self::MAX_CUES),
                    ),
                );
            }
            $hasForms = false;
            foreach ($cues as $cue) {
                // The easier and the harder form stand beside the first chain.
                $shown = $hasForms ? $cue : $set->withForms($cue);
                $hasForms = $hasForms || null !== $cue->chain;
                $this->cues[] = Cue::of($shown, $start + 1000 * $piece->from + $cue->atMs, $track, $here);
            }
            $filled = $piece->to;
        }
        if ($filled < $to) {
            // A set that could not be read leaves its time empty.
            $this->segments[] = new Segment(
                $start + 1000 * $filled,
                $start + 1000 * $to,
                $track,
                SegmentKind::Work,
                $step->place,
            );
        }
        if ($step->round->lastTen && $to - $from > (2 * self::LAST_TEN) / 1000) {
            $this->cues[] = new Cue(
                $start + 1000 * $to - self::LAST_TEN,
                $track,
                CueKind::LastTen,
                t('Last ten seconds'),
                $step->place,
            );
        }
    }

    /**
     * @param int $from s of the round; $to as well
     * @param Step|null $next what comes after the round, when this is the rest after it
     */
    private function rest(Step $step, int $start, int $from, int $to, ?int $track, ?Step $next = null): void
    {
        [$fromMs, $toMs] = [$start + 1000 * $from, $start + 1000 * $to];
        $set = null === $next ? null : $step->round->inRest;
        $run = $set?->run(
            $this->plan,
            $track,
            $step->round->stance,
            $this->advice,
            seconds: $to - $from,
            isRest: true,
            comes: null === $next ? null : $this->announcer->comes($next, $track),
        );
        $this->segments[] = new Segment(
            fromMs: $fromMs,
            toMs: $toMs,
            track: $track,
            kind: SegmentKind::Rest,
            place: $step->place,
            set: $set,
            run: $run,
        );
        $this->cues[] = new Cue($fromMs, $track, CueKind::Rest, t('Rest, {to} s', to: $to - $from), $step->place);
        foreach (null === $set || null === $run ? [] : $set->drill->cues($run) as $cue) {
            $this->cues[] = Cue::of($cue, $fromMs + $cue->atMs, $track, $step->place);
        }
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

    /** @return list<Cue> with the reminders, which are chosen in the order of the session */
    private function remind(): array
    {
        $checked = [];

        return array_map(function (Cue $cue) use (&$checked): Cue {
            if (null === $cue->chain || !\in_array($cue->kind, self::REMIND, true)) {
                return $cue;
            }
            $options = $cue->options ?? $this->plan->options();
            $key = spl_object_id($cue->chain).' '.$options->tempo.' '.$options->medium->value;
            $result = $checked[$key] ??= Check::builtIn()->run(
                new ChainInStance($cue->chain, Stance::Orthodox),
                $options,
            );

            return $cue->with(
                CueKind::Demonstration === $cue->kind
                    ? array_map(
                        static fn (Fault $fault): string => t('look for: {fault}', fault: $fault->text),
                        $this->faults->for($result, $options->medium),
                    )
                    : array_map(
                        static fn (Reminder $reminder): string => $reminder->text,
                        $this->reminders->for($result, $options->medium),
                    ),
            );
        }, $this->cues);
    }
}
