<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Combination\CheckSummary;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Stance;

/**
 * The combinations offered to a new library, as a file to import: those of core/data/starter-library.json that flow
 * under the gym's own house rules.
 */
final readonly class StarterLibrary
{
    public function __construct(private Reader $reader, private Check $check, private GymHouseRules $rules)
    {
    }

    /**
     * @param string $under the house rules that each has to pass; narrower sports are part of a wider one
     *
     * @return array{
     *     source: string,
     *     sports: list<array{rules: string, levels: array<int, int>}>,
     *     file: array<string, mixed>,
     * }
     */
    public function under(string $under): array
    {
        /**
         * @var array{
         *     source: string,
         *     combinations: list<array{name: string, chain: string, rules: string, themes: list<string>}>,
         * } $data
         */
        $data = Data::read('starter-library');
        $options = new CheckOptions($this->rules->named($under));
        $order = array_flip(BuiltInHouseRules::ids());
        $levels = $combinations = [];
        foreach ($data['combinations'] as $row) {
            if ($order[$row['rules']] > $order[$under]) {
                continue;
            }
            $chain = $this->reader->readStored($row['chain'], Stance::Orthodox);
            if (null === $chain) {
                continue;
            }
            $result = $this->check->run($chain, $options);
            if (Verdict::Flows !== $result->verdict) {
                continue;
            }
            $level = CheckSummary::of($result)->level;
            $levels[$row['rules']][$level] = 1 + ($levels[$row['rules']][$level] ?? 0);
            $combinations[] = [...$row, 'levelChosen' => false];
        }
        foreach ($levels as &$counts) {
            ksort($counts);
        }

        return [
            'source' => $data['source'],
            'sports' => array_map(
                static fn (string $rules): array => ['rules' => $rules, 'levels' => $levels[$rules]],
                array_keys($levels),
            ),
            'file' => ['format' => Export::FORMAT, 'version' => Export::VERSION, 'combinations' => $combinations],
        ];
    }
}
