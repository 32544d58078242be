<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;

#[AsCommand('bench', 'x')]
final class BenchCommand extends Command
{
}
