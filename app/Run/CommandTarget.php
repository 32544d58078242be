<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Session\Run\CommandKind;

/** What a command that was given did, and to what. */
final readonly class CommandTarget
{
    public function __construct(public string $key, public CommandKind $kind, public string $target)
    {
    }
}
