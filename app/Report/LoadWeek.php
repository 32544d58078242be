<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Logbook\SessionSum;
use Periplus\Core\Technique\Catalogue;

/** The load of a week. */
final readonly class LoadWeek extends LoadSum
{
    /** @var \ArrayObject<string, float> by id; only strikes that were thrown */
    public \ArrayObject $strikesThrown;

    /** @param string $week its Monday */
    public function __construct(public string $week, SessionSum $sum)
    {
        parent::__construct($sum);
        $thrown = [];
        foreach (Catalogue::builtIn()->strikes as $strike) {
            $thrown[$strike->id] = round($sum->figures()->strike($strike->id), 1);
        }
        $this->strikesThrown = new \ArrayObject(array_filter($thrown, static fn (float $times): bool => $times > 0));
    }
}
