<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Mend\MendFinder;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Stance;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Measures speed within one run: checks per second on one core, and the check route of the running server compared with
 * an empty route, alternately, by the same signed-in coach over one connection.
 */
#[AsCommand('benchmark:check', 'Measure checks a second, and the check route against an empty route')]
final class CheckBenchmarkCommand extends Command
{
    /** Eight items each. */
    private const CHAINS = [
        '1 2 3b slip-lead 3 2 14l exit',
        '1 1 2 3 2 roll-rear 4 3',
        'slip-rear 2 3 2 5 6 3 pivot-out',
        '1 (3) 6 3b 2 step-out 14l exit',
        '11 1 2 step-in 31 32 push 14',
        '2 2 2 3b 3 1 31 14h',
    ];
    /** Length of a measured window in s, and the number of windows; the median counts. */
    private const SECONDS = 0.4;
    private const WINDOWS = 5;
    private const RANDOM_CHAINS = 500;
    private const SEED = 11;

    protected function configure(): void
    {
        $this
            ->addOption('coach', null, InputOption::VALUE_REQUIRED, 'Who signs in', 'ines@saltworks.example')
            ->addOption('password', null, InputOption::VALUE_REQUIRED, 'With which password', 'first-bell-7')
            ->addOption('requests', null, InputOption::VALUE_REQUIRED, 'How many of each route', '300');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $this->core($output);
        $this->mends($output);

        return $this->server($input, $output);
    }

    private function core(OutputInterface $output): void
    {
        $options = new CheckOptions(BuiltInHouseRules::named('all-limbs'));
        $numbering = Numbering::named('parity');
        $text = static fn (int $position): ReadChain => Reader::builtIn()->readText(
            new ChainText(self::CHAINS[$position]),
        );
        $services = CheckServices::load();
        $rates = [
            'read' => self::rate(
                static fn (int $position) => $services->reader->read(
                    self::CHAINS[$position],
                    $numbering,
                    Stance::Orthodox,
                ),
            ),
            'check, from text to findings' => self::rate(
                static fn (int $position) => $services->check->run(
                    new ChainInStance(
                        $services->reader->read(self::CHAINS[$position], $numbering, Stance::Orthodox)->chain
                            ?? throw new \LogicException('A chain of the bench cannot be read.'),
                        Stance::Orthodox,
                    ),
                    $options,
                ),
            ),
            'the same with both mirrors and the document' => self::rate(
                static fn (int $position) => $services->checkSerializer->serialize($text($position), $options),
            ),
        ];
        $rates['mends, of verdict and findings'] = self::rate(
            static fn (int $position) => $services->mendSerializer->serialize($text($position), $options),
            few: true,
        );
        $rates['what comes next'] = self::rate(
            static fn (int $position) => $services->nextSerializer->serialize($text($position), $options),
            few: true,
        );
        $output->writeln('One core, chains of eight items, a second:');
        foreach ($rates as $what => $rate) {
            $output->writeln(\sprintf('  %-42s %6d', $what, $rate));
        }
    }

    /**
     * Times the mends of random chains of the greatest length for which pairs are tried, at the tempo that allows most
     * of them.
     */
    private function mends(OutputInterface $output): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $catalogue = Catalogue::builtIn();
        $strikes = array_values($catalogue->strikes);
        // Where a chain begins stands only there.
        $moves = array_values(array_filter($catalogue->moves, static fn (Move $move): bool => !$move->isStart()));
        $options = new CheckOptions(BuiltInHouseRules::named('all-limbs'), tempo: 1.6);
        $times = [];
        $cut = 0;
        while (\count($times) < self::RANDOM_CHAINS) {
            $items = [];
            for ($index = 0; $index < MendFinder::MAX_LENGTH_FOR_PAIRS; ++$index) {
                $strike = $strikes[$dice->getInt(0, \count($strikes) - 1)];
                $items[] = 0 === $dice->getInt(0, 3)
                    ? new MoveItem($moves[$dice->getInt(0, \count($moves) - 1)])
                    : new StrikeItem($strike, $strike->targets[$dice->getInt(0, \count($strike->targets) - 1)]);
            }
            $result = Check::builtIn()->run(new ChainInStance(Chain::of($items), Stance::Orthodox), $options);
            $start = hrtime(true);
            $cut += CheckServices::load()->mendFinder->mends($result, $options)->complete ? 0 : 1;
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        $output->writeln(\sprintf(
            'Mends of %d random chains of %d items:',
            self::RANDOM_CHAINS,
            MendFinder::MAX_LENGTH_FOR_PAIRS,
        ));
        $output->writeln(\sprintf('  %-42s %6.0f ms, at most %.0f', 'median', self::median($times), max($times)));
        $output->writeln(\sprintf('  %-42s %6d', 'ended by their budget', $cut));
    }

    private function server(InputInterface $input, OutputInterface $output): int
    {
        $url = getenv('PERIPLUS_URL');
        $client = new BenchmarkClient(false === $url ? 'http://127.0.0.1:8420' : $url);
        $requests = max(20, (int) self::text($input, 'requests'));
        try {
            $client->signIn(self::text($input, 'coach'), self::text($input, 'password'));
        } catch (\RuntimeException $away) {
            $output->writeln('The server was not measured: '.$away->getMessage());

            return Command::FAILURE;
        }
        $empty = $check = [];
        for ($position = 0; $position < $requests; ++$position) {
            $body = ['text' => self::CHAINS[$position % \count(self::CHAINS)]];
            $empty[] = $client->time('/api/ping', $body);
            $check[] = $client->time('/api/check', $body);
        }
        $parts = ['next' => [], 'similar' => [], 'mends' => []];
        for ($position = 0; $position < $requests / 5; ++$position) {
            foreach (array_keys($parts) as $part) {
                $parts[$part][] = $client->time('/api/check', [
                    'text' => self::CHAINS[$position % \count(self::CHAINS)],
                    'with' => [$part],
                ]);
            }
        }
        [$emptyMedian, $checkMedian] = [self::median($empty), self::median($check)];
        $output->writeln(\sprintf('Server, median of %d requests each, in turn:', $requests));
        $output->writeln(\sprintf('  %-42s %6.2f ms', 'empty route', $emptyMedian));
        $output->writeln(\sprintf('  %-42s %6.2f ms', 'check route', $checkMedian));
        $output->writeln(\sprintf('  %-42s %6.2f', 'check route to empty route', $checkMedian / $emptyMedian));
        foreach ($parts as $part => $times) {
            $output->writeln(
                \sprintf(
                    '  %-42s %6.2f ms, at most %.0f',
                    'check route with '.$part,
                    self::median($times),
                    [] === $times ? 0 : max($times),
                ),
            );
        }

        return Command::SUCCESS;
    }

    /** @param \Closure(int): mixed $work */
    private static function rate(\Closure $work, bool $few = false): int
    {
        $chains = \count(self::CHAINS);
        for ($position = 0; $position < ($few ? 6 : 200); ++$position) {
            $work($position % $chains);
        }
        $rates = [];
        for ($window = 0; $window < self::WINDOWS; ++$window) {
            $done = 0;
            $start = hrtime(true);
            do {
                for ($position = 0; $position < ($few ? $chains : 60); ++$position) {
                    $work($position % $chains);
                }
                $done += $few ? $chains : 60;
                $seconds = (hrtime(true) - $start) / 1e9;
            } while ($seconds < self::SECONDS);
            $rates[] = $done / $seconds;
        }

        return (int) self::median($rates);
    }

    /** @param list<float> $times */
    private static function median(array $times): float
    {
        sort($times);

        return $times[intdiv(\count($times), 2)] ?? 0.0;
    }

    private static function text(InputInterface $input, string $option): string
    {
        $value = $input->getOption($option);

        return \is_string($value) ? $value : '';
    }
}
