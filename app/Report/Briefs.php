<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\Core\Notation\Numbering;

use function Periplus\Core\Language\t;

/** Reads combinations as reports show them. */
final readonly class Briefs
{
    public function __construct(private CombinationTable $combinations, private LineRenderer $lines)
    {
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, CombinationBrief> by id; of a combination that is gone, too
     */
    public function read(array $ids, Numbering $numbering): array
    {
        $briefs = array_map(
            static fn (int $id): CombinationBrief => new CombinationBrief(
                $id,
                t('A combination that is gone'),
                '',
                1,
                true,
                null,
            ),
            array_combine($ids, $ids),
        );
        foreach ($this->combinations->summaries($ids) as $summary) {
            $briefs[$summary->id] = $this->brief($summary, $numbering);
        }

        return $briefs;
    }

    public function brief(CombinationSummary $summary, Numbering $numbering): CombinationBrief
    {
        $drawn = $this->lines->render($summary->content, $numbering);

        return new CombinationBrief(
            $summary->id,
            $summary->content->name,
            $drawn->text,
            $summary->content->level,
            null !== $summary->archivedAt,
            $drawn->line,
        );
    }
}
