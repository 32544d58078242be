<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Session\Run\CommandKind;

/** A command that was given to a session. */
final readonly class ReportedCommand
{
    public CommandKind $kind;
    public int $atMs;
    public ?string $by;
    /** The chain that was swapped in. */
    public ?string $chain;

    public function __construct(GivenCommand $command)
    {
        $this->kind = $command->kind();
        $this->atMs = $command->givenMs();
        $this->by = $command->by();
        $this->chain = $command->amendment()?->chain;
    }
}
