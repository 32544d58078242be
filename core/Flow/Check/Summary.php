<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Check;

use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Severity;

/** The check in one sentence: weight and hips first, then what the house rules say of it. */
final class Summary
{
    public static function write(CheckResult $result): string
    {
        $must = self::titles($result, Severity::Must);
        $should = self::titles($result, Severity::Should);
        $timing = self::timing($result);

        return match (true) {
            [] !== $must && Verdict::Flows === $result->linkVerdict => \sprintf(
                'The timing is fine, but it breaks a house rule: %s.',
                implode(', ', $must),
            ),
            [] !== $must => \sprintf('%s, and it breaks a house rule: %s.', $timing, implode(', ', $must)),
            [] !== $should => \sprintf('%s; worth fixing: %s.', $timing, implode(', ', $should)),
            Verdict::Flows === $result->linkVerdict && [] !== $result->timing->links => $timing
                .': weight and hips arrive where each next strike needs them.',
            default => $timing.'.',
        };
    }

    private static function timing(CheckResult $result): string
    {
        $count = static fn (Verdict $verdict): int => \count(
            array_filter($result->timing->links, static fn (Link $link): bool => $verdict === $link->verdict),
        );
        $links = static fn (int $links, string $one, string $many): string => 1 === $links
            ? 'One link '.$one
            : $links.' links '.$many;
        $breaks = $count(Verdict::Breaks);
        $reloads = $count(Verdict::Reload);

        return match (true) {
            $breaks > 0 && $reloads > 0 => $links($breaks, 'breaks', 'break')
                .' and '
                .lcfirst($links($reloads, 'reloads', 'reload')),
            $breaks > 0 => $links($breaks, 'breaks', 'break'),
            $reloads > 0 => $links($reloads, 'reloads', 'reload'),
            [] === $result->timing->links => 'One item alone has nothing to wait for',
            default => 'Every link flows',
        };
    }

    /** @return list<string> of the rules, each once, in lower case as they stand in a sentence */
    private static function titles(CheckResult $result, Severity $severity): array
    {
        $findings = array_filter(
            $result->findings,
            static fn (Finding $finding): bool => $severity === $finding->severity,
        );

        return array_values(
            array_unique(array_map(static fn (Finding $finding): string => lcfirst($finding->title), $findings)),
        );
    }
}
