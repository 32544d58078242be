<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Plan\Plan;
use Periplus\App\Store\JsonTextType;
use Periplus\App\Wall\ShownSession;
use Periplus\Core\Session\Run\RunState;

/** A running or ended session. {@see RunView} is the same without the content of its plan. */
#[ORM\Entity(repositoryClass: Runs::class)]
#[ORM\Table(name: 'run')]
#[ORM\UniqueConstraint(name: 'by_start_key', columns: ['start_key'])]
#[ORM\UniqueConstraint(name: 'by_follow_key', columns: ['follow_key'])]
#[ORM\Index(name: 'by_end', columns: ['ended_ms', 'started_ms'])]
#[ORM\Index(name: 'by_plan', columns: ['plan_id'])]
#[ORM\Index(name: 'by_starter', columns: ['starter_id'])]
class Run implements ShownSession
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** Incremented by every command. */
    #[ORM\Column(options: ['default' => 1])]
    private int $revision = 1;

    /** Version of its programme, incremented by every change. */
    #[ORM\Column(options: ['default' => 1])]
    private int $programme = 1;

    /** The key in the URL under which athletes follow it. */
    #[ORM\Column(length: 32, options: ['fixed' => true])]
    private string $followKey;

    #[ORM\Column(type: 'bigint', nullable: true)]
    private ?int $endedMs = null;

    /** The plan at the start as JSON; commands that move the clock do not read it. */
    #[ORM\Column(type: JsonTextType::NAME)]
    private string $content;

    /**
     * @param string $startKey chosen by the client that started it
     * @param array<mixed> $content the plan as it was when it was started
     * @param int $startedMs on the server's clock
     */
    public function __construct(
        #[ORM\Column(length: 64)]
        private string $startKey,
        #[ORM\ManyToOne]
        private ?Plan $plan,
        #[ORM\Column(length: 120)]
        private string $name,
        array $content,
        #[ORM\Column(type: RunStateType::NAME)]
        private RunState $state,
        #[ORM\Column]
        private int $lengthMs,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $starter,
        #[ORM\Column(type: 'bigint')]
        private int $startedMs,
    ) {
        $this->followKey = bin2hex(random_bytes(16));
        $this->content = json_encode(
            (object) $content,
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This session is not stored yet.');
    }

    public function name(): string
    {
        return $this->name;
    }

    /** @return array<mixed> the plan as it was when it was started */
    public function content(): array
    {
        $content = json_decode($this->content, true, flags: \JSON_THROW_ON_ERROR);

        return \is_array($content) ? $content : [];
    }

    public function state(): RunState
    {
        return $this->state;
    }

    public function revision(): int
    {
        return $this->revision;
    }

    public function programme(): int
    {
        return $this->programme;
    }

    public function lengthMs(): int
    {
        return $this->lengthMs;
    }

    public function startedMs(): int
    {
        return $this->startedMs;
    }

    public function endedMs(): ?int
    {
        return $this->endedMs;
    }

    /** Applies the result of a command. */
    public function update(RunState $state): void
    {
        $this->state = $state;
        $this->endedMs = $state->endedMs;
        ++$this->revision;
    }

    /** @return int the version of the programme that is played from now on */
    public function amended(int $lengthMs): int
    {
        $this->lengthMs = $lengthMs;

        return ++$this->programme;
    }

    public function view(): RunView
    {
        return new RunView(
            id: $this->id(),
            plan: $this->plan?->id(),
            name: $this->name,
            state: $this->state,
            revision: $this->revision,
            programme: $this->programme,
            lengthMs: $this->lengthMs,
            followKey: $this->followKey,
            starter: $this->starter->id(),
            starterName: $this->starter->name(),
            startedMs: $this->startedMs,
            endedMs: $this->endedMs,
        );
    }
}
