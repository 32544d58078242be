<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Programme;

/**
 * Everything that the voice of a session says, with its moments: each combination when it is announced and again when
 * it begins, calls, and the times that were asked for. Nothing is said over anything else: an announcement without time
 * for names has numbers alone, and a time is called only in a silence.
 */
final class Script
{
    /** How long before it begins something is announced, in ms. */
    private const LEAD = 10_000;
    /** How long a bell rings before the voice follows it, in ms. */
    private const BELL = 1500;
    /** Silence between an announcement and what it announces, in ms. */
    private const SILENCE = 300;
    /** Maximum number of characters of one clip. */
    public const MAX_LENGTH = 200;
    /** Calls have to come at their moment, whatever rings. */
    private const ON_TIME = [CueKind::Call, CueKind::LastCall, CueKind::Aloud];

    private readonly Speech $speech;
    /** @var array<int, true> moments at which a bell rings */
    private array $bells = [];

    private function __construct(private readonly Programme $programme, private readonly VoiceStyle $style)
    {
        // Everybody hears the same voice, so it uses the numbers of the plan, whatever the screens show.
        $this->speech = new Speech($programme->plan->numbering, $style->says);
        foreach ($programme->cues as $cue) {
            if (\in_array(Sound::of($cue->kind), [Sound::Bell, Sound::EndBell], true)) {
                $this->bells[$cue->atMs] = true;
            }
        }
    }

    /** @return list<Utterance> by their moments; those before the start are below zero */
    public static function of(Programme $programme, VoiceStyle $style): array
    {
        return (new self($programme, $style))->utterances();
    }

    /** @return list<Utterance> */
    private function utterances(): array
    {
        $drafts = [...$this->spoken(), ...$this->announced()];
        usort($drafts, static fn (Draft $one, Draft $other): int => $one->atMs <=> $other->atMs);
        $said = [];
        foreach ($drafts as $draft) {
            $said[] = self::timed($draft);
        }
        usort($said, static fn (Utterance $one, Utterance $other): int => $one->atMs <=> $other->atMs);

        return $this->withTimes($said);
    }

    /** @return list<Draft> what is said at the moment of a cue */
    private function spoken(): array
    {
        $moments = [];
        foreach ($this->programme->cues as $cue) {
            $text = CueKind::Next === $cue->kind ? null : $this->speech->text($cue);
            if (null === $text || '' === $text) {
                continue;
            }
            $parts = $moments[$cue->atMs][$cue->track ?? ''] ?? [];
            if (CueKind::Rung === $cue->kind) {
                // At the athlete's own pace all rungs begin together; the whole says it.
                $parts = array_filter(
                    $parts,
                    static fn (Cue $other): bool => CueKind::Rung !== $other->kind,
                );
            }
            $moments[$cue->atMs][$cue->track ?? ''] = [...$parts, $cue];
        }
        $drafts = [];
        foreach ($moments as $atMs => $tracks) {
            $texts = array_map($this->joined(...), $tracks);
            $text = $this->ofTracks($texts);
            $isOnTime = [] !== array_filter(
                array_merge(...array_values($tracks)),
                static fn (Cue $cue): bool => \in_array($cue->kind, self::ON_TIME, true),
            );
            $from = $atMs + ($isOnTime ? 0 : $this->ringing($atMs));
            $drafts[] = new Draft($from, $from, null, $text, $text);
        }

        return $drafts;
    }

    /** @param list<Cue> $cues of one track at one moment */
    private function joined(array $cues): string
    {
        $said = '';
        foreach ($cues as $cue) {
            $text = (string) $this->speech->text($cue);
            // What was said already with the chain is not said again.
            if (!str_contains(', '.$said.', ', ', '.$text.', ')) {
                $said .= ('' === $said ? '' : ', ').$text;
            }
        }

        return $said;
    }

    /**
     * Joins what several tracks are told at one moment; the same for all is said once.
     *
     * @param array<int|string, string> $texts by track; everybody's under an empty key
     */
    private function ofTracks(array $texts): string
    {
        $tracks = $this->programme->plan->tracks;
        if (1 === \count(array_unique($texts)) && (isset($texts['']) || \count($texts) === \count($tracks))) {
            return array_values($texts)[0];
        }
        $said = [];
        foreach ($texts as $track => $text) {
            $name = \is_int($track) ? ($tracks[$track]->name ?? '') : '';
            $said[] = ('' === $name ? '' : $name.': ').$text;
        }

        return implode('. ', $said);
    }

    /** @return list<Draft> the announcements, some ten seconds before what they announce */
    private function announced(): array
    {
        $moments = [];
        foreach ([...$this->programme->opening, ...$this->programme->cues] as $cue) {
            if (CueKind::Next === $cue->kind) {
                $moments[$cue->atMs.' '.($cue->forMs ?? '')][$cue->track ?? ''] = $cue;
            }
        }
        $drafts = [];
        foreach ($moments as $cues) {
            $first = array_values($cues)[0];
            $say = fn (bool $inShort): string => $this->ofTracks(
                array_map(fn (Cue $cue): string => $this->speech->announcement($cue, $inShort), $cues),
            );
            $earliest = $first->atMs + $this->ringing($first->atMs);
            $drafts[] = new Draft(
                $earliest,
                null === $first->forMs ? $earliest : max($earliest, $first->forMs - self::LEAD),
                $first->forMs ?? $this->after($first->atMs),
                $say(false),
                $say(true),
            );
        }

        return $drafts;
    }

    /** Returns when the next thing begins after a moment, in ms. */
    private function after(int $atMs): int
    {
        foreach ($this->programme->cues as $cue) {
            if ($cue->atMs > $atMs && CueKind::LastTen !== $cue->kind && CueKind::Next !== $cue->kind) {
                return $cue->atMs;
            }
        }

        return $this->programme->lengthMs;
    }

    private static function timed(Draft $draft): Utterance
    {
        $until = $draft->until;
        $fits = null === $until
            ? static fn (string $text): bool => mb_strlen($text) <= self::MAX_LENGTH
            : static fn (string $text): bool => mb_strlen($text) <= self::MAX_LENGTH
                && $draft->atMs + self::lastsMs($text) + self::SILENCE <= $until;
        $text = $fits($draft->text) ? $draft->text : $draft->short;
        $atMs = null === $until || $fits($text)
            ? $draft->atMs
            // A long one begins earlier.
            : max($draft->earliest, $until - self::SILENCE - self::lastsMs($text));

        return new Utterance(min($draft->atMs, $atMs), mb_substr($text, 0, self::MAX_LENGTH));
    }

    /**
     * Adds the times that are called, where nothing else is said.
     *
     * @param list<Utterance> $said by their moments
     *
     * @return list<Utterance>
     */
    private function withTimes(array $said): array
    {
        $calls = $this->programme->plan->timeCalls ?? $this->style->timeCalls;
        $times = [] === $calls ? [] : TimesCalled::of($this->programme, $calls, $this->style->perSet);
        $all = $said;
        $next = 0;
        $busyUntil = \PHP_INT_MIN;
        foreach ($times as $time) {
            for (; isset($said[$next]) && $said[$next]->atMs <= $time->atMs; ++$next) {
                $busyUntil = max($busyUntil, $said[$next]->atMs + self::lastsMs($said[$next]->text));
            }
            $free = $said[$next]->atMs ?? \PHP_INT_MAX;
            if ($busyUntil <= $time->atMs && $time->atMs + self::lastsMs($time->text) <= $free) {
                $all[] = $time;
            }
        }
        usort($all, static fn (Utterance $one, Utterance $other): int => $one->atMs <=> $other->atMs);

        return $all;
    }

    /** Returns how long a bell at that moment keeps the voice waiting, in ms. */
    private function ringing(int $atMs): int
    {
        return isset($this->bells[$atMs]) ? self::BELL : 0;
    }

    /** Estimates how long a text takes to say, in ms. */
    public static function lastsMs(string $text): int
    {
        $words = preg_match_all('/[\p{L}\p{N}]+/u', $text);

        return (int) (1000 * SessionValues::builtIn()->value('word') * max(1, (int) $words));
    }
}
