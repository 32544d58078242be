<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Session\Run\RunState;

/** All that a screen needs of a running session beside its programme. */
readonly class ScreenRun
{
    public int $id;
    public string $name;
    public int $revision;
    public int $programme;
    public int $lengthMs;
    public string $followKey;
    public RunState $state;

    public function __construct(RunView $run)
    {
        $this->id = $run->id;
        $this->name = $run->name;
        $this->revision = $run->revision;
        $this->programme = $run->programme;
        $this->lengthMs = $run->lengthMs;
        $this->followKey = $run->followKey;
        $this->state = $run->state;
    }
}
