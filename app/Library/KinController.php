<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Periplus\App\Gym\GymSchemes;
use Periplus\Core\Combination\Voice;
use Periplus\Core\Notation\Reader;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;

/** What is in the library already, and how its combinations are related. */
final readonly class KinController
{
    private const SHOWN = 12;
    private const LISTED = 50;

    public function __construct(private Kin $kin)
    {
    }

    /** Stores nothing; an unreadable text is akin to nothing. */
    #[Route('/api/already-there', methods: 'POST')]
    public function alreadyThere(#[MapRequestPayload(acceptFormat: 'json')] KinRequest $request, Reader $reader, GymSchemes $schemes): JsonResponse
    {
        $chain = $reader->read($request->text, $schemes->named($request->scheme), $request->stance)->chain;
        $found = null === $chain ? [] : $this->kin->of(new Voice($chain, $request->stance), $request->except);

        return new JsonResponse(['matches' => array_map(self::match(...), \array_slice($found, 0, self::SHOWN)), 'total' => \count($found)]);
    }

    #[Route('/api/combinations/{id<\d{1,9}>}/family', methods: 'GET')]
    public function family(int $id, Combinations $combinations, Drafts $drafts): JsonResponse
    {
        $combination = $combinations->get($id);
        $sequence = $combination->sequence();
        $alike = $this->kin->of($drafts->of($combination->content())->voice, $id);

        return new JsonResponse([
            'ancestors' => $this->kin->ancestors($sequence),
            'contained' => \array_slice($this->kin->contained($sequence), 0, self::SHOWN),
            'descendants' => array_map(static fn (array $found): array => [...$found['row'], 'parent' => $found['parent']], $this->kin->descendants($id, $sequence)),
            'alike' => array_map(self::match(...), \array_slice($alike, 0, self::SHOWN)),
        ]);
    }

    #[Route('/api/family', methods: 'GET')]
    public function overview(): JsonResponse
    {
        $overview = $this->kin->overview(self::LISTED);

        return new JsonResponse([
            ...$overview,
            'hubs' => array_map(static fn (array $hub): array => [...$hub['row'], 'children' => $hub['children']], $overview['hubs']),
        ]);
    }

    /**
     * @param array{row: array<string, mixed>, relation: \Periplus\Core\Library\Relation, distance: float} $found
     *
     * @return array<string, mixed>
     */
    private static function match(array $found): array
    {
        return [...$found['row'], 'relation' => $found['relation']->value, 'says' => $found['relation']->words(), 'distance' => $found['distance']];
    }
}
