<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Session\Run\CommandKind;

/** The kind and the target of a given command. */
final readonly class CommandTarget
{
    public function __construct(public string $key, public CommandKind $kind, public string $target)
    {
    }
}
