<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\Pace;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Session\Format\BoutFormat;
use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Plan\TimeCall;
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
                static fn (DrillDefinition $drill): ShownDrill => new ShownDrill($drill),
                DrillRegistry::definitions(),
            ),
            'blocks' => array_map(
                static fn (BlockKind $kind): array => ['value' => $kind->value, 'label' => $kind->title()],
                BlockKind::cases(),
            ),
            'paces' => array_map(
                static fn (Pace $pace): array => ['tempo' => $pace->tempo(), 'label' => $pace->title()],
                Pace::cases(),
            ),
            'timeCalls' => array_map(
                static fn (TimeCall $call): array => ['value' => $call->value, 'label' => $call->title()],
                TimeCall::cases(),
            ),
            'boutFormats' => BoutFormat::all(),
            'limits' => ['rounds' => SessionPlan::MAX_ROUNDS, 'seconds' => SessionPlan::MAX_SECONDS],
        ]);
        $response->setEtag(hash('xxh128', (string) $response->getContent()));
        $response->isNotModified($request);

        return $response;
    }
}
