<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Check;

use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

/** The check in one sentence: weight and hips first, then what the house rules say of it. */
final readonly class Summary
{
    public function __construct(private CheckResult $result)
    {
    }

    public function write(): string
    {
        $result = $this->result;
        $must = $this->titles(Severity::Must);
        $should = $this->titles(Severity::Should);
        $timing = $this->timing();

        return match (true) {
            [] !== $must && Verdict::Flows === $result->linkVerdict => t(
                'The timing is fine, but it breaks a house rule: {must}.',
                must: implode(', ', $must),
            ),
            [] !== $must => t(
                '{timing}, and it breaks a house rule: {must}.',
                timing: $timing,
                must: implode(', ', $must),
            ),
            [] !== $should => t('{timing}; worth fixing: {should}.', timing: $timing, should: implode(', ', $should)),
            Verdict::Flows === $result->linkVerdict && [] !== $result->timing->links => t(
                '{timing}: weight and hips arrive where each next strike needs them.',
                timing: $timing,
            ),
            default => $timing.'.',
        };
    }

    private function timing(): string
    {
        $result = $this->result;
        $count = static fn (Verdict $verdict): int => \count(
            array_filter($result->timing->links, static fn (Link $link): bool => $verdict === $link->verdict),
        );
        $breaks = $count(Verdict::Breaks);
        $reloads = $count(Verdict::Reload);

        return match (true) {
            $breaks > 0 && $reloads > 0 => t(
                '{breaks, plural, one {One link breaks} other {# links break}} and '
                    .'{reloads, plural, one {one link reloads} other {# links reload}}',
                breaks: $breaks,
                reloads: $reloads,
            ),
            $breaks > 0 => t('{count, plural, one {One link breaks} other {# links break}}', count: $breaks),
            $reloads > 0 => t('{count, plural, one {One link reloads} other {# links reload}}', count: $reloads),
            [] === $result->timing->links => t('One item alone has nothing to wait for'),
            default => t('Every link flows'),
        };
    }

    /** @return list<string> of the rules, each once, in lower case as they stand in a sentence */
    private function titles(Severity $severity): array
    {
        $findings = array_filter(
            $this->result->findings,
            static fn (Finding $finding): bool => $severity === $finding->severity,
        );

        return array_values(
            array_unique(array_map(static fn (Finding $finding): string => lcfirst($finding->title), $findings)),
        );
    }
}
