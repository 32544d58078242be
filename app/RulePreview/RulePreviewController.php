<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\App\Account\User;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\HouseRules\HouseRulesRequest;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Security\Permission;
use Periplus\App\Store\NotFound;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** Previews what changed house rules would do to the library, step by step, and saves them. */
final readonly class RulePreviewController
{
    /** Maximum number of changed combinations that are listed. */
    private const MAX_LISTED = 200;

    public function __construct(
        private GymHouseRules $rules,
        private RulePreviews $previews,
        private LineRenderer $lines,
        private GymNumberings $numberings,
    ) {
    }

    /** Starts a preview of changed rules; saves nothing. */
    #[Route('/api/house-rules/{set}/rule-previews', methods: 'POST')]
    #[IsGranted(Permission::EditHouseRules->value)]
    public function start(
        string $set,
        #[MapRequestPayload(acceptFormat: 'json')] HouseRulesRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        if (!\in_array($set, BuiltInHouseRules::ids(), true)) {
            throw new NotFound(t('There are no such house rules.'));
        }

        return $this->answer(
            $this->previews->start($request->over($this->rules->named($set)), $user->id()),
            $user,
            201,
        );
    }

    #[Route('/api/rule-previews/{id<\d{1,9}>}', methods: 'GET')]
    #[IsGranted(Permission::EditHouseRules->value)]
    public function read(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->previews->get($id), $user);
    }

    #[Route('/api/rule-previews/{id<\d{1,9}>}/advance', methods: 'POST')]
    #[IsGranted(Permission::EditHouseRules->value)]
    #[HeavyWork]
    public function advance(int $id, #[CurrentUser] User $user): JsonResponse
    {
        $this->previews->proceed($id);

        return $this->answer($this->previews->get($id), $user);
    }

    #[Route('/api/rule-previews/{id<\d{1,9}>}/save', methods: 'POST')]
    #[IsGranted(Permission::EditHouseRules->value)]
    #[HeavyWork]
    public function save(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->previews->save($id, $user->id()), $user);
    }

    private function answer(RulePreview $preview, User $user, int $status = 200): JsonResponse
    {
        $changed = $this->previews->changed($preview);
        $numbering = $this->numberings->forUser($user);

        return new JsonResponse([
            'id' => $preview->id(),
            'rules' => $preview->rules()->id,
            'state' => $preview->state(),
            'total' => $preview->total(),
            'done' => $preview->done(),
            'changes' => VerdictCount::all($changed),
            'findings' => $this->previews->findings($preview),
            'changed' => array_map(
                fn (ChangedVerdict $one): ShownVerdict => new ShownVerdict(
                    $one,
                    $this->lines->text($one->notation, $one->stance, $numbering),
                ),
                \array_slice($changed, 0, self::MAX_LISTED),
            ),
        ], $status);
    }
}
