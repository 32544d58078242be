<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\Bulk;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Security\Permission;
use Periplus\App\Store\NotFound;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** The themes of combinations in use: counting and renaming. */
#[Route('/api/themes')]
final readonly class ThemeController
{
    public function __construct(private SearchIndex $index)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(): JsonResponse
    {
        return new JsonResponse([
            'themes' => array_map(
                static fn (string $theme, int $count): array => ['theme' => $theme, 'combinations' => $count],
                array_map(strval(...), array_keys($themes = $this->index->themes())),
                array_values($themes),
            ),
        ]);
    }

    /** Renames a theme; a name that exists already merges the two. */
    #[Route('/rename', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    #[HeavyWork]
    public function rename(
        #[MapRequestPayload(acceptFormat: 'json')] ThemeRequest $request,
        Bulk $bulk,
        AuditLog $audit,
        #[CurrentUser] User $user,
    ): JsonResponse {
        [$from, $to] = [mb_strtolower(trim($request->from)), mb_strtolower(trim($request->to))];
        $ids = $this->index->having($from);
        if ([] === $ids) {
            throw new NotFound(t('No combination in use has the theme “{from}”.', from: $from));
        }
        $count = $from === $to ? 0 : $bulk->renameTheme($ids, $from, $to, $user);
        $audit->add(
            $user->id(),
            'theme.renamed',
            t('renamed the theme “{from}” to “{to}” in {count} combinations', from: $from, to: $to, count: $count),
        );

        return new JsonResponse(['combinations' => $count]);
    }
}
