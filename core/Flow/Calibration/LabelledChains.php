<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Calibration;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Medium;

/**
 * The labelled chains against which the numbers of the model are held, from core/data/labelled-chains.tsv. Common
 * practice, no published source.
 */
final class LabelledChains
{
    /** @return list<LabelledChain> */
    public static function all(): array
    {
        /** @var list<LabelledChain>|null $chains */
        static $chains = null;

        return $chains ??= self::read();
    }

    /** @return list<LabelledChain> */
    private static function read(): array
    {
        $chains = [];
        foreach (Data::lines('labelled-chains.tsv') as $line) {
            [$notation, $rules, $verdicts, $findings, , $thrown] = explode("\t", $line) + [3 => '', '', ''];
            $at = [];
            foreach ('' === $thrown ? [] : explode(' ', $thrown) as $option) {
                [$name, $value] = explode('=', $option);
                $at[$name] = $value;
            }
            $chains[] = new LabelledChain(
                $notation,
                $rules,
                array_map(Verdict::from(...), explode('|', $verdicts)),
                '' === $findings ? [] : array_map(ExpectedFinding::read(...), explode('|', $findings)),
                Medium::from($at['medium'] ?? Medium::Shadow->value),
                Group::from($at['group'] ?? Group::Open->value),
            );
        }

        return $chains;
    }
}
