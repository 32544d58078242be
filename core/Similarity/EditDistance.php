<?php

declare(strict_types=1);

namespace Periplus\Core\Similarity;

use Periplus\Core\Combination\Sequence;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Strike;

/**
 * The distance of two chains: the least total weight of inserting, omitting and exchanging items that turns one into
 * the other (Wagner and Fischer, "The string-to-string correction problem", J. ACM 21, 1974, with weights). The weights
 * are house values in core/data/similarity.json; 0 is the same chain, apart from effort.
 */
final class EditDistance
{
    /** @var array<string, Strike> by sign */
    private readonly array $strikes;
    /** @var array<string, float> weights between two items that were compared before */
    private array $known = [];

    /** @param array<string, float> $weights by the names in the data */
    public function __construct(Catalogue $catalogue, private readonly array $weights)
    {
        $this->strikes = array_column(
            array_map(static fn (Strike $strike): array => [$strike->sign, $strike], array_values($catalogue->strikes)),
            1,
            0,
        );
    }

    public static function builtIn(): self
    {
        /** @var self|null $distance */
        static $distance = null;
        if (null === $distance) {
            /** @var array{values: array<string, array{value: float|int}>} $data */
            $data = Data::read('similarity');
            $distance = new self(
                Catalogue::builtIn(),
                array_map(static fn (array $row): float => (float) $row['value'], $data['values']),
            );
        }

        return $distance;
    }

    /** Returns the largest distance that counts as similar. */
    public function near(): float
    {
        return $this->weights['near'];
    }

    public function distance(Sequence $a, Sequence $b): float
    {
        $row = [0.0];
        foreach ($b->items as $index => $item) {
            $row[] = $row[$index] + $this->alone($item);
        }
        foreach ($a->items as $item) {
            $alone = $this->alone($item);
            $diagonal = $row[0];
            $row[0] += $alone;
            foreach ($b->items as $index => $other) {
                $best = min(
                    $row[$index + 1] + $alone,
                    $row[$index] + $this->alone($other),
                    $diagonal + $this->between($item, $other),
                );
                $diagonal = $row[$index + 1];
                $row[$index + 1] = $best;
            }
        }

        return $row[\count($b->items)];
    }

    /** Returns the weight of an item that only one of the chains has. */
    public function alone(string $item): float
    {
        return $this->weights[null === Sequence::strikeSign($item) ? 'move' : 'strike'];
    }

    /** Returns the weight of exchanging one item for another. */
    public function between(string $a, string $b): float
    {
        return $a === $b ? 0.0 : $this->known[$a.' '.$b] ??= $this->weigh($a, $b);
    }

    private function weigh(string $a, string $b): float
    {
        [$one, $other] = [
            $this->strikes[Sequence::strikeSign($a) ?? ''] ?? null,
            $this->strikes[Sequence::strikeSign($b) ?? ''] ?? null,
        ];
        if (null === $one || null === $other) {
            return null === $one && null === $other
                ? $this->weights['move']
                : $this->weights['strike'] + $this->weights['move'];
        }
        $prefixes = static fn (string $item): array => str_split(substr($item, 0, -3));
        $differ = \count(array_diff($prefixes($a), $prefixes($b))) + \count(array_diff($prefixes($b), $prefixes($a)));
        $weight =
            ($a[-1] === $b[-1] ? 0.0 : $this->weights['target'])
            + $this->weights['mark'] * $differ
            + match (true) {
                $one === $other => 0.0,
                $one->role === $other->role && $one->limb->isArm() === $other->limb->isArm() => $this->weights[
                    'sameLimb'
                ],
                $one->family === $other->family => $this->weights['otherSide'],
                default => $this->weights['otherStrike'],
            };

        // Omitting one item and inserting the other never weighs less than an exchange.
        return min($weight, 2 * $this->weights['strike']);
    }
}
