<?php

declare(strict_types=1);

use Periplus\App\Benchmark\CheckBenchmarkCommand;
use Periplus\App\Benchmark\SearchBenchmarkCommand;
use Periplus\App\Console\AnswerCommand;
use Periplus\App\Console\CheckCommand;
use Periplus\App\Console\DocsCommand;
use Periplus\App\Console\DrawCommand;
use Periplus\App\Console\MessagesCommand;
use Periplus\App\Console\SequenceCommand;
use Periplus\App\Console\SessionCommand;
use Periplus\App\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application as FrameworkApplication;
use Symfony\Component\Console\Application;

require dirname(__DIR__, 2).'/vendor/autoload.php';

// These commands need only the core: they start without the framework, a database or a server.
$standalone = in_array(
    $argv[1] ?? '',
    ['answer', 'check', 'docs', 'draw', 'messages', 'sequence', 'session', 'benchmark:check', 'benchmark:search'],
    true,
);
$application = $standalone ? new Application('Periplus') : new FrameworkApplication(Kernel::fromEnvironment());
$application->addCommands([
    new AnswerCommand(),
    new CheckCommand(),
    new DocsCommand(),
    new DrawCommand(),
    new MessagesCommand(),
    new SequenceCommand(),
    new SessionCommand(),
    new CheckBenchmarkCommand(),
    new SearchBenchmarkCommand(),
]);
exit($application->run());
