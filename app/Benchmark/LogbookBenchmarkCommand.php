<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Measures the logbook reports of the running server; bin/periplus benchmark logbook fills it first. */
#[AsCommand('benchmark:logbook', 'Measure the reports of a running server')]
final class LogbookBenchmarkCommand extends Command
{
    private const ROUNDS = 9;

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $url = getenv('PERIPLUS_URL');
        $client = new BenchmarkClient(false === $url ? 'http://127.0.0.1:8420' : $url);
        $client->signIn('ines@saltworks.example', 'first-bell-7');
        /** @var array{courses: list<array{id: int}>} $list */
        $list = $client->ask('/api/courses');
        $course = $list['courses'][0]['id'];
        /** @var array{combinations: list<array{id: int}>} $library */
        $library = $client->ask('/api/combinations?sort=length&direction=down&rules=boxing&size=1');
        $goal = $library['combinations'][0]['id'];
        $all = 'from='.(new \DateTimeImmutable('-10 years'))->format('Y-m-d');
        $empty = $this->time($client, '/api/ping')->median;
        $output->writeln(\sprintf('  %-46s median %6s  slowest %6s  ms   times an empty route', '', '', ''));
        $paths = [
            'an empty route' => '/api/ping',
            'a page of the logbook' => '/api/logbook/entries',
            'combinations, ten years' => '/api/reports/drilled?'.$all,
            'combinations, ten years of a course' => "/api/reports/drilled?$all&course=$course"
            .'&sort=minutes&direction=down',
            'weapons and balance, ten years' => '/api/reports/load?'.$all,
            'weapons and balance, ten years of a course' => "/api/reports/load?$all&course=$course",
            'weapons and balance, twelve weeks' => '/api/reports/load',
            'links, ten years' => '/api/reports/links?'.$all,
            'links, twelve weeks' => '/api/reports/links',
            'what comes due in a course' => "/api/courses/$course/due",
            'a month on a page' => '/api/reports/month',
            'the way to a combination' => "/api/courses/$course/path?to=$goal",
            'library, by the last time' => '/api/combinations?sort=drilled',
            'library, not drilled for four weeks' => '/api/combinations?q='.rawurlencode('not drilled 4 weeks'),
        ];
        foreach ($paths as $what => $path) {
            $timing = $this->time($client, $path);
            $output->writeln(\sprintf(
                '  %-46s %13.1f  %14.1f  %20.1f',
                $what,
                $timing->median,
                $timing->slowest,
                $timing->median / $empty,
            ));
        }

        return Command::SUCCESS;
    }

    private function time(BenchmarkClient $client, string $path): Timing
    {
        $times = [];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $times[] = $client->time($path, null);
        }

        return new Timing($times);
    }
}
