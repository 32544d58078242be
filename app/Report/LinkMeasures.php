<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Measure\KeptLink;
use Periplus\Core\Measure\MeasuredVerdict;

/** What measurements say of a link. */
final readonly class LinkMeasures
{
    public int $count;
    public int $slower;
    public int $faster;
    /** Mean of the medians and of the computed times, in ms; null without a measurement. */
    public ?float $median;
    public ?float $computed;

    /** @param list<KeptLink> $links each with a median */
    public function __construct(array $links)
    {
        $count = static fn (MeasuredVerdict $verdict): int => \count(
            array_filter($links, static fn (KeptLink $one): bool => $verdict === $one->verdict),
        );
        $mean = static fn (string $name): ?float => [] === $links
            ? null
            : round(array_sum(array_column($links, $name)) / \count($links), 1);
        $this->count = \count($links);
        $this->slower = $count(MeasuredVerdict::Stops);
        $this->faster = $count(MeasuredVerdict::Faster);
        $this->median = $mean('median');
        $this->computed = $mean('computed');
    }
}
