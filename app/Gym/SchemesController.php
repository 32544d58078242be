<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Periplus\Core\Notation\Scheme;
use Periplus\Core\Notation\SchemeEntry;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final readonly class SchemesController
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /** The numbering schemes with their numbers, and all moves: what a coach can type or touch. */
    #[Route('/api/schemes', methods: 'GET')]
    public function __invoke(Request $request): Response
    {
        $response = new JsonResponse([
            'schemes' => array_map($this->scheme(...), array_values(Scheme::builtIn())),
            'moves' => array_map(static fn ($move): array => ['id' => $move->id, 'kind' => $move->kind->value, 'words' => $move->words()], array_values($this->catalogue->moves)),
        ]);
        $response->setEtag(hash('xxh128', (string) $response->getContent()));
        $response->isNotModified($request);

        return $response;
    }

    /** @return array<string, mixed> */
    private function scheme(Scheme $scheme): array
    {
        return [
            'id' => $scheme->id,
            'name' => $scheme->name,
            'about' => $scheme->about,
            'boundTo' => $scheme->boundToHand ? 'hand' : 'role',
            'numbers' => array_values(array_map(fn (SchemeEntry $entry): array => [
                'number' => $entry->code,
                'family' => $entry->family,
                'target' => $entry->target?->word(),
                'roles' => ['orthodox' => $entry->role(Stance::Orthodox)->value, 'southpaw' => $entry->role(Stance::Southpaw)->value],
                'limb' => ($this->catalogue->inFamily($entry->family, $entry->role(Stance::Orthodox)) ?? $this->catalogue->inFamily($entry->family, $entry->role(Stance::Southpaw)))?->limb->value,
            ], $scheme->entries)),
        ];
    }
}
