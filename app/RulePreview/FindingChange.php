<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Check\Finding;

/** How many findings a change of the rules adds and removes; one with another severity counts as both. */
final readonly class FindingChange
{
    /** @param int $combinations in which any finding changes */
    public function __construct(public int $added, public int $removed, public int $combinations)
    {
    }

    public static function between(CheckResult $before, CheckResult $after): self
    {
        $keys = static fn (CheckResult $result): array => array_map(
            static fn (Finding $finding): string => $finding->id.' '.$finding->severity->value,
            $result->findings,
        );
        [$was, $is] = [$keys($before), $keys($after)];
        [$added, $removed] = [\count(array_diff($is, $was)), \count(array_diff($was, $is))];

        return new self($added, $removed, 0 === $added + $removed ? 0 : 1);
    }
}
