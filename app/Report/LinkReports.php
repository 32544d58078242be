<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Logbook\LogFilter;
use Periplus\App\Logbook\LogTotals;
use Periplus\App\Measure\KeptLink;
use Periplus\App\Measure\KeptMeasurement;
use Periplus\App\Measure\Measurements;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Words;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/** Computes the links that fell apart or were measured slower, compared with the check. */
final readonly class LinkReports
{
    private const MAX_LINKS = 60;

    public function __construct(
        private LogTotals $totals,
        private CombinationTable $combinations,
        private Briefs $briefs,
        private Measurements $measurements,
        private GymHouseRules $rules,
        private Check $check,
        private Reader $reader,
        private Catalogue $catalogue,
    ) {
    }

    public function compute(LogFilter $filter, Numbering $numbering): LinkReport
    {
        $fallen = $this->totals->fallenLinks($filter);
        $measured = $this->measurements->newest();
        $ids = array_values(array_unique([...array_keys($fallen), ...array_keys($measured)]));
        $times = $this->totals->times($ids, $filter);
        $links = [];
        foreach ($this->combinations->summaries($ids) as $summary) {
            if (null === $summary->archivedAt) {
                array_push(
                    $links,
                    ...$this->linksOf(
                        $summary,
                        $fallen[$summary->id] ?? [],
                        $measured[$summary->id] ?? [],
                        $times[$summary->id] ?? 0,
                        $this->briefs->brief($summary, $numbering),
                    ),
                );
            }
        }
        // Contradictions of the check first, then the worst.
        usort(
            $links,
            static fn (LinkTrouble $one, LinkTrouble $other): int => [$other->disagrees, $other->weight()]
                <=> [$one->disagrees, $one->weight()],
        );

        return new LinkReport($filter->period, \array_slice($links, 0, self::MAX_LINKS));
    }

    /**
     * @param array<int, array<int, int>> $fallen in how many sessions, by the digest of the chain and the place of the
     *                                            link
     * @param list<KeptMeasurement> $measured
     *
     * @return list<LinkTrouble>
     */
    private function linksOf(
        CombinationSummary $summary,
        array $fallen,
        array $measured,
        int $times,
        CombinationBrief $brief,
    ): array {
        $content = $summary->content;
        $inStance = $this->reader->readStored($content->notation, $content->stance);
        if (null === $inStance) {
            return [];
        }
        $result = $this->check->run($inStance, new CheckOptions($this->rules->named($content->rules)));
        $words = Words::byRole()->items($inStance);
        $links = [];
        foreach ($result->timing->links as $index => $link) {
            $fell = $fallen[crc32($content->notation)][$index] ?? 0;
            $measures = new LinkMeasures(array_values(array_filter(
                array_merge(...array_map(static fn (KeptMeasurement $one): array => $one->links(), $measured)),
                static fn (KeptLink $one): bool => $one->covers($index) && null !== $one->median,
            )));
            if (0 === $fell + $measures->slower + $measures->faster) {
                continue;
            }
            $flows = Verdict::Flows === $link->verdict;
            $links[] = new LinkTrouble(
                combination: $brief,
                link: $index,
                from: $words[$index],
                to: $words[$index + 1],
                fell: $fell,
                times: $times,
                measured: $measures,
                check: new LinkCheck(
                    $link->verdict,
                    round($link->wait, 1),
                    $flows ? '' : $result->timing->reason($link),
                ),
                disagrees: $flows ? $measures->slower >= 2 || $fell >= 2 : $measures->faster >= 2,
                says: $this->says($flows, $fell + $measures->slower > 0, $measures->faster > 0),
                rules: $content->rules,
                of: $this->numbersOf($inStance->chain->items[$index + 1]->key()),
            );
        }

        return $links;
    }

    private function says(bool $flows, bool $stops, bool $isFaster): string
    {
        return match (true) {
            $flows && $stops => t('The check says that it flows. Where several athletes stop here, a '
                .'number of the model or a school may not be theirs.'),
            !$flows && $stops => t('The check says so, too: mend the chain, or teach the wait.'),
            !$flows && $isFaster => t('The check expects a wait that athletes do not need.'),
            default => t('Faster than computed, and it flows.'),
        };
    }

    /** Returns the key of the model's numbers behind that link: the strike or move that comes next. */
    private function numbersOf(string $key): string
    {
        preg_match('/^[+(]*([a-z-]+)/', $key, $found);
        $id = $found[1] ?? '';

        return isset($this->catalogue->strikes[$id]) || isset($this->catalogue->moves[$id]) ? $id : 'body';
    }
}
