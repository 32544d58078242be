<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

use Periplus\Core\Session\Programme\Amendment;
use Periplus\Core\Session\Programme\Place;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\Segment;

use function Periplus\Core\Language\t;

/** Applies a command, given the state and the programme. */
final readonly class Commands
{
    /** Time that the command "longer" adds, in ms. */
    public const LONGER_MS = 60_000;
    /** Maximum length of a session after such additions, in ms. */
    private const MAX_LENGTH_MS = 12 * 3_600_000;

    public function __construct(private Programme $programme)
    {
    }

    /**
     * @param int $now on the server's clock, ms
     *
     * @throws CommandRefused when it makes no sense now
     */
    public function after(RunState $state, RunCommand $command, int $now): RunChange
    {
        if (!$command->kind->changesProgramme()) {
            return ClockCommands::of($this->programme)->after($state, $command, $now);
        }
        if (null !== $state->endedMs) {
            throw new CommandRefused(t('This session has ended.'));
        }

        return match ($command->kind) {
            CommandKind::Longer => $this->longer($state, $now),
            CommandKind::Again => $this->again($state, $now),
            default => $this->swap($state, $command, $now),
        };
    }

    private function longer(RunState $state, int $now): RunChange
    {
        if ($this->programme->lengthMs + self::LONGER_MS > self::MAX_LENGTH_MS) {
            throw new CommandRefused(t('A session lasts twelve hours at most.'));
        }
        $segment = $this->now($state, $now);
        $place = $segment->place;
        if (null === $place->round) {
            return new RunChange(
                $state,
                'block '.$place->block,
                Amendment::longer($place, 0, intdiv(self::LONGER_MS, 1000)),
            );
        }
        $offset = intdiv(max(0, $state->position($now)) - $this->start($place), 1000);

        return new RunChange(
            $state,
            $this->name($place).' '.$segment->fromMs,
            Amendment::longer($this->round($place), $offset, intdiv(self::LONGER_MS, 1000)),
        );
    }

    private function again(RunState $state, int $now): RunChange
    {
        $place = $this->now($state, $now)->place;
        if (null === $place->round) {
            throw new CommandRefused(t('There is no round between two blocks to repeat.'));
        }
        if ($this->programme->lengthMs + $this->length($place) > self::MAX_LENGTH_MS) {
            throw new CommandRefused(t('A session lasts twelve hours at most.'));
        }

        return new RunChange($state, $this->name($place), Amendment::again($this->round($place)));
    }

    private function swap(RunState $state, RunCommand $command, int $now): RunChange
    {
        $with = $command->with ?? throw new CommandRefused(t('Say which combination replaces it.'));
        $segment = $this->now($state, $now, $command->track);
        if (null === $segment->place->set || !isset($segment->set?->combinations[$command->combination])) {
            throw new CommandRefused(
                t('The current work has no such combination. Swap it once its round has started.'),
            );
        }

        return new RunChange(
            $state,
            $this->name($segment->place)
                .' '
                .$segment->place->set
                .' '
                .$segment->track
                .' '
                .$command->combination
                .' '
                .$with->text,
            Amendment::swap($segment->place, $segment->track, $command->combination, $with),
        );
    }

    /**
     * Returns the current segment of that track, or of the first one.
     *
     * @throws CommandRefused when nothing does
     */
    private function now(RunState $state, int $now, ?int $track = null): Segment
    {
        $position = max(0, $state->position($now));
        foreach ($this->programme->segments($track ?? $this->programme->tracks()[0]) as $segment) {
            if ($segment->fromMs <= $position && $position < $segment->toMs) {
                return $segment;
            }
        }
        throw new CommandRefused(t('The session is over. Go back to a round first.'));
    }

    /** Returns the start of the round, in ms. */
    private function start(Place $place): int
    {
        $starts = [];
        foreach ($this->programme->segments as $segment) {
            if ($this->name($segment->place) === $this->name($place)) {
                $starts[] = $segment->fromMs;
            }
        }

        return [] === $starts ? 0 : min($starts);
    }

    /** Returns the length of a round with its rest, in ms. */
    private function length(Place $place): int
    {
        $of = array_filter(
            $this->programme->segments,
            fn (Segment $segment): bool => $this->name($segment->place) === $this->name($place),
        );

        return [] === $of ? 0 : max(array_map(
            static fn (Segment $segment): int => $segment->toMs,
            $of,
        )) - $this->start($place);
    }

    private function round(Place $place): Place
    {
        return new Place($place->block, $place->round, $place->repeat);
    }

    private function name(Place $place): string
    {
        return $place->block.'.'.$place->round.'.'.$place->repeat;
    }
}
