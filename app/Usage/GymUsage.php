<?php

declare(strict_types=1);

namespace Periplus\App\Usage;

use Doctrine\DBAL\Exception\ConnectionException;
use Periplus\App\Combination\ChainTable;
use Periplus\App\Http\FallbackCache;
use Periplus\App\Logbook\LogTotals;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Flow\Usage\Usage;

/**
 * What is usual in this gym: the links of its library, those that were drilled more often counted more often, together
 * with what is common in the chains that ship.
 */
final readonly class GymUsage
{
    /** How long the counts of the library are used, in s; a new combination changes hardly anything. */
    private const FRESH_SECONDS = 600;

    public function __construct(
        private FallbackCache $fallback,
        private ChainTable $chains,
        private LogTotals $totals,
    ) {
    }

    /**
     * Returns what is usual under those house rules; while the database is away and nothing was read before, what
     * ships.
     *
     * @param string $rules id of a built-in set
     */
    public function under(string $rules): Usage
    {
        try {
            $usage = $this->fallback->read(
                'usage-'.$rules,
                self::FRESH_SECONDS,
                fn (): Usage => $this->shipped($rules)->with($this->ofLibrary($rules)),
            );
        } catch (ConnectionException) {
            $usage = null;
        }

        return $usage instanceof Usage ? $usage : $this->shipped($rules);
    }

    private function ofLibrary(string $rules): Usage
    {
        $times = $this->totals->timesDrilled();
        $counted = [];
        foreach ($this->chains->sequences(Usage::within($rules)) as $id => $sequence) {
            // What was drilled a hundred times is more usual, and not a hundred times as usual.
            $counted[] = [Sequence::read($sequence)->items, 1.0 + log(1 + ($times[$id] ?? 0), 2)];
        }

        return Usage::counted($counted);
    }

    /** Reading the chains that ship takes long, so what was counted is kept. */
    private function shipped(string $rules): Usage
    {
        $key = 'usage-shipped-'.$rules;
        $kept = $this->fallback->copy($key);
        if ($kept instanceof Usage) {
            return $kept;
        }
        $shipped = Usage::shipped($rules);
        $this->fallback->keep($key, $shipped);

        return $shipped;
    }
}
