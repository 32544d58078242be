<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Account\User;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Session\Plan\CompletePlan;
use Periplus\Core\Session\Serializer\ChainToOrder;
use Periplus\Core\Session\Serializer\SequenceSerializer;
use Periplus\Core\Technique\Stance;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Generates sessions from the library, and orders combinations. */
#[Route('/api/plans')]
final readonly class ComposeController
{
    public function __construct(
        private SessionComposer $composer,
        private GymHouseRules $rules,
        private GymNumberings $numberings,
        private SequenceSerializer $sequences,
    ) {
    }

    #[Route('/compose', methods: 'POST')]
    #[HeavyWork]
    public function compose(
        #[MapRequestPayload(acceptFormat: 'json')] ComposeRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $composition = $this->composer->compose($request, $this->numberings->forUser($user));

        return new JsonResponse([
            'content' => new CompletePlan($composition->plan),
            'reasons' => $composition->reasons,
            'unmet' => $composition->unmet,
        ]);
    }

    #[Route('/sequence', methods: 'POST')]
    #[HeavyWork]
    public function sequence(#[MapRequestPayload(acceptFormat: 'json')] SequenceRequest $request): JsonResponse
    {
        return new JsonResponse(
            $this->sequences->serialize(
                array_map(
                    static fn (array $one): ChainToOrder => new ChainToOrder(
                        $one['chain'],
                        Stance::from($one['stance'] ?? 'orthodox'),
                    ),
                    $request->combinations,
                ),
                $this->numberings->named($request->numbering),
                new CheckOptions($this->rules->named($request->rules)),
            ),
        );
    }
}
