<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Measures lists, searches and duplicates over the library of the running server; bin/periplus benchmark search fills
 * it first.
 */
#[AsCommand('benchmark:search', 'Measure searches over the library of a running server')]
final class SearchBenchmarkCommand extends Command
{
    private const LISTS = [
        '',
        'page=20',
        'sort=level&page=3',
        'sort=updated&direction=down',
        'verdict=flows&weapon=leg',
        'level=2',
    ];
    private const SEARCHES = [
        'starts 1',
        'ends kick',
        'has 2 3',
        'has lead-hook body then rear kick',
        'no switch',
        'length 3..5',
        'liver',
        'starts 1 ends kick liver',
        'harbour',
        'harbour lantern',
        'theme slips',
        '1 2 3',
        'level 2 flows',
        'has 38 38 38',
        'hook',
        'from orthodox no kick',
        'starts 3 or 4',
        'zzzz',
    ];
    private const CHAINS = [
        '1 2',
        '1 2 3 exit',
        '1 2 3b slip left 2 14l',
        '13 2 3 6 14h exit 1 2',
        '1 2 3 2 1 2 3 2',
        '2 3b 2',
        '14 2 3',
    ];
    private const ROUNDS = 9;

    protected function configure(): void
    {
        $this
            ->addOption('coach', null, InputOption::VALUE_REQUIRED, 'Who signs in', 'ines@saltworks.example')
            ->addOption('password', null, InputOption::VALUE_REQUIRED, 'With which password', 'first-bell-7');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $url = getenv('PERIPLUS_URL');
        $client = new BenchmarkClient(false === $url ? 'http://127.0.0.1:8420' : $url);
        [$coach, $password] = [$input->getOption('coach'), $input->getOption('password')];
        $client->signIn(\is_string($coach) ? $coach : '', \is_string($password) ? $password : '');
        $lists = array_map(static fn (string $query): string => '/api/combinations?'.$query, self::LISTS);
        $searches = array_map(static fn (string $q): string => '/api/combinations?q='.rawurlencode($q), self::SEARCHES);
        $output->writeln(\sprintf('  %-46s median %6s  slowest %6s  ms', '', '', ''));
        foreach ([
            'an empty route' => $this->measure($client, ['/api/ping']),
            'list' => $this->measure($client, $lists),
            'search, the first after a write' => $this->measure($client, $searches, afterWrite: true),
            'search, asked again' => $this->measure($client, $searches),
            'what is there already' => $this->measure($client, self::CHAINS, similar: true),
            'a session in one press' => $this->compose($client),
        ] as $what => $timing) {
            $output->writeln(\sprintf('  %-46s %13.1f  %14.1f', $what, $timing->median, $timing->slowest));
        }

        return Command::SUCCESS;
    }

    /**
     * Measures the median of each.
     *
     * @param list<string> $asked addresses, or chains
     */
    private function measure(
        BenchmarkClient $client,
        array $asked,
        bool $afterWrite = false,
        bool $similar = false,
    ): Timing {
        $medians = [];
        foreach ($asked as $what) {
            $times = [];
            for ($round = 0; $round < self::ROUNDS; ++$round) {
                if ($afterWrite) {
                    self::write($client);
                }
                $times[] = $similar
                    ? $client->time('/api/check', ['text' => $what, 'with' => ['similar']])
                    : $client->time($what, null);
            }
            $medians[] = (new Timing($times))->median;
        }

        return new Timing($medians);
    }

    /** Measures sessions, each with another seed. */
    private function compose(BenchmarkClient $client): Timing
    {
        /** @var array{courses: list<array{id: int}>} $list */
        $list = $client->ask('/api/courses');
        $times = [];
        foreach ($list['courses'] as ['id' => $course]) {
            $aims = [
                ['aim' => 'due'],
                ['aim' => 'theme', 'value' => 'body-work'],
                ['aim' => 'weapon', 'value' => 'hand'],
            ];
            foreach ($aims as $aim) {
                for ($seed = 1; $seed <= 3; ++$seed) {
                    $times[] = $client->time('/api/plans/compose', [
                        'course' => $course,
                        'minutes' => 60,
                        'seed' => $seed,
                        ...$aim,
                    ]);
                }
            }
        }

        return new Timing($times);
    }

    /** Archives and restores a combination, which invalidates the cached search results. */
    private static function write(BenchmarkClient $client): void
    {
        /** @var array{combinations: list<array{id: int, version: int}>} $list */
        $list = $client->ask('/api/combinations?size=1');
        ['id' => $id, 'version' => $version] = $list['combinations'][0];
        $client->ask("/api/combinations/$id/archive", [], ["If-Match: \"$version\""]);
        $client->ask("/api/combinations/$id/restore", [], ['If-Match: "'.($version + 1).'"']);
    }
}
