<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Person;
use Periplus\App\Combination\BulkInserter;
use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\NewCombination;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Strike;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Generates any number of distinct chains for measurements; punches are more frequent than kicks. */
final readonly class GeneratedChains
{
    private const ROWS_PER_INSERT = 500;
    private const THEMES = ['slips', 'liver', 'low kick', 'counters', 'angles', 'in and out', 'clinch', 'body work'];
    private const WORDS = [
        'harbour',
        'lantern',
        'anvil',
        'sparrow',
        'granite',
        'willow',
        'copper',
        'ember',
        'thistle',
        'beacon',
        'gravel',
        'saddle',
        'orchard',
        'kettle',
        'marble',
        'canyon',
    ];

    public function __construct(
        private EntityManagerInterface $entities,
        private CombinationTable $table,
        private BulkInserter $inserter,
        private Check $check,
    ) {
    }

    public function fill(int $count, int $shortest, int $longest, int $user): void
    {
        $dice = new Randomizer(new Mt19937(1));
        $writer = new Writer(Numbering::named('parity'));
        $options = new CheckOptions(BuiltInHouseRules::named('kickboxing'));
        $strikes = $this->strikes();
        $moves = array_values(array_filter(
            Catalogue::builtIn()->moves,
            static fn (Move $move): bool => !$move->isStart(),
        ));
        $known = array_fill_keys($this->table->fingerprints(), true);
        $there = \count($known);
        for ($made = 0; $made < $count; $made += \count($batch)) {
            $batch = [];
            while (\count($batch) < min(self::ROWS_PER_INSERT, $count - $made)) {
                $inStance = new ChainInStance(
                    Chain::of($this->items($dice, $dice->getInt($shortest, $longest), $strikes, $moves)),
                    Stance::Orthodox,
                );
                $fingerprint = Fingerprint::of($inStance->chain)->plain;
                if (isset($known[$fingerprint])) {
                    continue;
                }
                $known[$fingerprint] = true;
                $number = $there + $made + \count($batch);
                $content = new CombinationContent(
                    name: \sprintf(
                        '%s %s %d',
                        ucfirst(self::WORDS[$number % 16]),
                        self::WORDS[intdiv($number, 16) % 16],
                        $number,
                    ),
                    notation: $writer->write($inStance),
                    stance: Stance::Orthodox,
                    rules: 'kickboxing',
                    themes: [self::THEMES[$number % 8]],
                    level: 1 + ($number % 3),
                    note: 0 === $number % 4 ? 'Stay low and look before the last one.' : '',
                );
                $batch[] = new NewCombination($content, CheckSummary::of($this->check->run($inStance, $options)));
            }
            $this->entities->wrapInTransaction(
                fn () => $this->inserter->create($batch, new Person($user, 'Benchmark')),
            );
        }
    }

    /**
     * @param list<Strike> $strikes
     * @param list<Move> $moves
     *
     * @return list<Item>
     */
    private function items(Randomizer $dice, int $count, array $strikes, array $moves): array
    {
        $items = [];
        while (\count($items) < $count) {
            $strike = $strikes[$dice->getInt(0, \count($strikes) - 1)];
            $items[] =
                0 === $dice->getInt(0, 3)
                    ? new MoveItem($moves[$dice->getInt(0, \count($moves) - 1)])
                    : new StrikeItem($strike, $strike->targets[$dice->getInt(0, \count($strike->targets) - 1)]);
        }

        return $items;
    }

    /** @return list<Strike> each as often as it comes in a gym, roughly */
    private function strikes(): array
    {
        $strikes = [];
        foreach (Catalogue::builtIn()->strikes as $strike) {
            array_push($strikes, ...array_fill(0, match (true) {
                'straight' === $strike->family => 24,
                'hook' === $strike->family => 16,
                'uppercut' === $strike->family => 8,
                \in_array($strike->family, ['push kick', 'round kick', 'switch kick'], true) => 5,
                Limb::Leg === $strike->limb => 1,
                default => 1,
            }, $strike));
        }

        return $strikes;
    }
}
