<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Account\User;
use Periplus\App\Combination\Combinations;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Notation\Numbering;
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

        return new JsonResponse([
            'ancestors' => $this->relatives($this->similar->ancestors($sequence), $numbering),
            'contained' => $this->relatives(
                \array_slice($this->similar->contained($sequence), 0, MatchRenderer::MAX_SHOWN),
                $numbering,
            ),
            'descendants' => array_map(
                fn (array $found): array => [
                    ...$this->lines->with($found['row'], $numbering),
                    'parent' => $found['parent'],
                ],
                $this->similar->descendants($id, $sequence),
            ),
            'alike' => $this->matches->render($alike, $numbering)['matches'],
        ]);
    }

    #[Route('/api/family', methods: 'GET')]
    public function overview(#[CurrentUser] User $user): JsonResponse
    {
        $numbering = $this->numberings->forUser($user);
        $overview = $this->similar->overview(self::MAX_LISTED);

        return new JsonResponse([
            'orphans' => $this->relatives($overview['orphans'], $numbering),
            'orphanCount' => $overview['orphanCount'],
            'hubs' => array_map(
                fn (array $hub): array => [
                    ...$this->lines->with($hub['row'], $numbering),
                    'children' => $hub['children'],
                ],
                $overview['hubs'],
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
        $ids = array_values(
            array_unique(
                array_merge(
                    ...array_map(static fn (array $pair): array => [$pair['one']['id'], $pair['other']['id']], $pairs),
                ),
            ),
        );
        $rows = [];
        foreach ($table->summaries($ids) as $row) {
            $rows[$row->id] = $this->lines->row($row, $numbering);
        }

        return new JsonResponse([
            'pairs' => array_values(
                array_filter(
                    array_map(
                        static fn (array $pair): ?array => isset($rows[$pair['one']['id']], $rows[$pair['other']['id']])
                            ? [
                                'one' => $rows[$pair['one']['id']],
                                'other' => $rows[$pair['other']['id']],
                                'relation' => $pair['relation']->value,
                                'words' => $pair['relation']->words(),
                                'distance' => $pair['distance'],
                            ]
                            : null,
                        $pairs,
                    ),
                ),
            ),
        ]);
    }

    /**
     * @param list<array{id: int, name: string, notation: string, stance: string, verdict: string}> $rows
     *
     * @return list<array<string, mixed>>
     */
    private function relatives(array $rows, Numbering $numbering): array
    {
        return array_map(fn (array $row): array => $this->lines->with($row, $numbering), $rows);
    }
}
