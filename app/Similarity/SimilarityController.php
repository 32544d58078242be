<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Account\User;
use Periplus\App\Combination\ChainRow;
use Periplus\App\Combination\Combinations;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Similarity\Family;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Shows how combinations of the library are related. */
final readonly class SimilarityController
{
    private const MAX_LISTED = 50;
    /** Number of pairs on a page. */
    private const MAX_PAIRS = 60;

    public function __construct(
        private SimilarCombinations $similar,
        private LineRenderer $lines,
        private MatchRenderer $matches,
        private GymNumberings $numberings,
    ) {
    }

    #[Route('/api/combinations/{id<\d{1,9}>}/family', methods: 'GET')]
    public function family(
        int $id,
        Combinations $combinations,
        DraftReader $drafts,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $numbering = $this->numberings->forUser($user);
        $combination = $combinations->get($id);
        $sequence = $combination->sequence();
        $alike = $this->similar->find($drafts->fromContent($combination->content())->inStance, $id);

        $text = fn (ChainRow $row): string => $this->matches->text($row, $numbering);
        $descendants = $this->similar->descendants($sequence);
        $parents = Family::parents([
            [$id, Family::stem($sequence)->text()],
            ...array_map(static fn (ChainRow $row): array => [$row->id, $row->stem], $descendants),
        ]);

        return new JsonResponse([
            'ancestors' => $this->relatives($this->similar->ancestors($sequence), $numbering),
            'contained' => $this->relatives(
                \array_slice($this->similar->contained($sequence), 0, MatchRenderer::MAX_SHOWN),
                $numbering,
            ),
            'descendants' => array_map(
                static fn (ChainRow $row): Descendant => new Descendant(
                    $row,
                    $text($row),
                    $parents[$row->id] ?? $id,
                ),
                $descendants,
            ),
            'alike' => $this->matches->render($alike, $numbering)->matches,
        ]);
    }

    #[Route('/api/family', methods: 'GET')]
    public function overview(#[CurrentUser] User $user): JsonResponse
    {
        $numbering = $this->numberings->forUser($user);
        $overview = $this->similar->overview(self::MAX_LISTED);

        return new JsonResponse([
            'orphans' => $this->relatives($overview->orphans, $numbering),
            'orphanCount' => $overview->orphanCount,
            'roots' => array_map(
                fn (int $id, int $members): FamilyRoot => new FamilyRoot(
                    $overview->roots[$id],
                    $this->matches->text($overview->roots[$id], $numbering),
                    $members,
                ),
                array_keys($overview->members),
                $overview->members,
            ),
        ]);
    }

    /** Returns pairs of the whole library that may be duplicates. */
    #[Route('/api/near-duplicates', methods: 'GET')]
    #[HeavyWork]
    public function nearDuplicates(CombinationTable $table, #[CurrentUser] User $user): JsonResponse
    {
        $numbering = $this->numberings->forUser($user);
        $pairs = $this->similar->pairs(self::MAX_PAIRS);
        $ids = array_merge(
            ...array_map(static fn (RelatedPair $pair): array => [$pair->one->id, $pair->other->id], $pairs),
        );
        $rows = [];
        foreach ($table->summaries(array_values(array_unique($ids))) as $row) {
            $rows[$row->id] = $this->lines->row($row, $numbering);
        }
        // A combination may have been archived meanwhile.
        $shown = array_filter(
            $pairs,
            static fn (RelatedPair $pair): bool => isset($rows[$pair->one->id], $rows[$pair->other->id]),
        );

        return new JsonResponse([
            'pairs' => array_map(
                static fn (RelatedPair $pair): array => [
                    'one' => $rows[$pair->one->id],
                    'other' => $rows[$pair->other->id],
                    'relation' => $pair->relation->value,
                    'words' => $pair->relation->words(),
                    'distance' => $pair->distance,
                ],
                array_values($shown),
            ),
        ]);
    }

    /**
     * @param list<ChainRow> $rows
     *
     * @return list<Relative>
     */
    private function relatives(array $rows, Numbering $numbering): array
    {
        return array_map(
            fn (ChainRow $row): Relative => new Relative($row, $this->matches->text($row, $numbering)),
            $rows,
        );
    }
}
