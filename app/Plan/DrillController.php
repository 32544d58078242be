<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Session\Format\BoutFormat;
use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\SessionPlan;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Provides the drills for the planner, so that it need not define them again. */
final readonly class DrillController
{
    #[Route('/api/drills', methods: 'GET')]
    public function __invoke(Request $request): Response
    {
        $response = new JsonResponse([
            'drills' => array_map(
                static fn (DrillDefinition $drill): array => [
                    'id' => $drill->id,
                    'title' => $drill->title,
                    'about' => $drill->about,
                    'least' => $drill->combinations[0],
                    'most' => $drill->combinations[1],
                    'parameters' => array_map(
                        static fn (Parameter $parameter): ShownParameter => new ShownParameter($parameter),
                        $drill->parameters,
                    ),
                    'isWork' => $drill->isWork,
                    'withPartner' => $drill->withPartner,
                ],
                DrillRegistry::definitions(),
            ),
            'blocks' => array_map(
                static fn (BlockKind $kind): array => ['value' => $kind->value, 'label' => $kind->title()],
                BlockKind::cases(),
            ),
            'boutFormats' => array_map(
                static fn (BoutFormat $format): array => [
                    'id' => $format->id,
                    'sport' => $format->sport,
                    'class' => $format->class,
                    'rounds' => $format->rounds,
                    'seconds' => $format->seconds,
                    'rest' => $format->rest,
                ],
                BoutFormat::all(),
            ),
            'limits' => ['rounds' => SessionPlan::MAX_ROUNDS, 'seconds' => SessionPlan::MAX_SECONDS],
        ]);
        $response->setEtag(hash('xxh128', (string) $response->getContent()));
        $response->isNotModified($request);

        return $response;
    }
}
