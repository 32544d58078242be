<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Session\Run\RunState;

/** A session that runs, or has run. */
final readonly class Run
{
    /**
     * @param int $revision counted up by every command
     * @param int $programme version of its programme, counted up by every change of it
     * @param string $followKey in the address under which athletes follow it
     * @param array{id: int, name: string} $starter
     * @param int $startedMs on the server's clock
     */
    public function __construct(
        public int $id,
        public ?int $plan,
        public string $name,
        public RunState $state,
        public int $revision,
        public int $programme,
        public int $lengthMs,
        public string $followKey,
        public array $starter,
        public int $startedMs,
        public ?int $endedMs,
    ) {
    }

    /** Whether it goes quicker than in truth, so that it does not count as drilled. */
    public function isRehearsal(): bool
    {
        return $this->state->speed > 1;
    }

    /** @return array<string, mixed> all that a screen needs beside the programme */
    public function forScreens(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'revision' => $this->revision,
            'programme' => $this->programme,
            'lengthMs' => $this->lengthMs,
            'followKey' => $this->followKey,
            'state' => $this->state->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    public function toArray(int $now): array
    {
        return [
            ...$this->forScreens(),
            'plan' => $this->plan,
            'starter' => $this->starter,
            'startedAt' => self::moment($this->startedMs),
            'endedAt' => null === $this->endedMs ? null : self::moment($this->endedMs),
            'isRehearsal' => $this->isRehearsal(),
            'isOver' => $this->state->isOver($now, $this->lengthMs),
        ];
    }

    private static function moment(int $ms): string
    {
        return (new \DateTimeImmutable('@'.intdiv($ms, 1000)))->format(\DATE_ATOM);
    }
}
