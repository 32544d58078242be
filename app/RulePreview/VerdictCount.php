<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\Flow\Timing\Verdict;

/** How many combinations change from one verdict to another. */
final readonly class VerdictCount
{
    public function __construct(public Verdict $from, public Verdict $to, public int $count)
    {
    }

    /**
     * @param list<ChangedVerdict> $changed
     *
     * @return list<self> by verdict
     */
    public static function all(array $changed): array
    {
        $counts = [];
        foreach ($changed as $one) {
            $key = $one->from->value.' '.$one->to->value;
            $counts[$key] = new self($one->from, $one->to, 1 + ($counts[$key]->count ?? 0));
        }
        ksort($counts);

        return array_values($counts);
    }
}
