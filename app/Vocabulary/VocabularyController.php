<?php

declare(strict_types=1);

namespace Periplus\App\Vocabulary;

use Periplus\App\Card\CardRequest;
use Periplus\App\Exchange\ImportRequest;
use Periplus\App\Print\Paper;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Drawing\DrawingData;
use Periplus\Core\Flow\Generate\GenerationCriteria;
use Periplus\Core\Flow\Generate\Theme;
use Periplus\Core\Measure\Wave;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Provides strikes, moves and limits for the screens, so that they need not define them again. */
final readonly class VocabularyController
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    #[Route('/api/vocabulary', methods: 'GET')]
    public function __invoke(Request $request): Response
    {
        $drawing = DrawingData::builtIn();
        $response = new JsonResponse([
            'strikes' => array_map(
                static fn (Strike $strike): array => [
                    'id' => $strike->id,
                    'family' => $strike->family,
                    'role' => $strike->role->value,
                    'name' => $strike->name,
                    'shortName' => $strike->shortName(),
                    'limb' => $strike->limb->value,
                    'targets' => array_map(static fn (Target $target): string => $target->word(), $strike->targets),
                ],
                array_values($this->catalogue->strikes),
            ),
            'moves' => array_map(
                static fn (Move $move): array => [
                    'id' => $move->id,
                    'kind' => $move->kind->value,
                    'words' => $move->words(),
                    'glyph' => $drawing->glyph($move->id),
                ],
                array_values($this->catalogue->moves),
            ),
            'themes' => array_map(
                static fn (Theme $theme): array => ['value' => $theme->value, 'label' => $theme->title()],
                Theme::cases(),
            ),
            'limits' => [
                'items' => Chain::MAX_ITEMS,
                'wallSheet' => Paper::MAX_COMBINATIONS,
                'athleteCard' => CardRequest::MAX_COMBINATIONS,
                'recordingSeconds' => Wave::MAX_SECONDS,
                'importBytes' => ImportRequest::MAX_BYTES,
                'generatedStrikes' => [
                    'least' => GenerationCriteria::MIN_STRIKES,
                    'most' => GenerationCriteria::MAX_STRIKES,
                ],
            ],
        ]);
        $response->setEtag(hash('xxh128', (string) $response->getContent()));
        $response->isNotModified($request);

        return $response;
    }
}
