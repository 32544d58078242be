<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Periplus\App\Account\User;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\HouseRules\HouseRules;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final readonly class HouseRulesController
{
    /** How long one step of a pass takes, s. */
    private const STEP = 0.6;

    public function __construct(private GymRules $rules, private Rechecks $rechecks, private LineRenderer $lines, private GymNumberings $numberings)
    {
    }

    /** The sets as the gym keeps them, and every rule with its reason and examples. */
    #[Route('/api/house-rules', methods: 'GET')]
    public function list(): JsonResponse
    {
        $sets = [];
        foreach ($this->rules->all() as $id => [$set, $version, $builtIn]) {
            $sets[] = [...self::set($set), 'version' => $version, 'isBuiltIn' => $builtIn, 'builtIn' => self::set(HouseRules::named($id))];
        }

        return new JsonResponse([
            'sets' => $sets,
            'rules' => array_map(self::rule(...), array_values(array_filter(RuleRegistry::all(), static fn (Rule $rule): bool => !$rule->isCredit()))),
            'thresholds' => HouseRules::limits(),
        ]);
    }

    /** Begins a pass over the library under changed rules; nothing is saved by it. */
    #[Route('/api/house-rules/{set}/rechecks', methods: 'POST')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function start(string $set, #[MapRequestPayload(acceptFormat: 'json')] RulesRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        if (!\in_array($set, HouseRules::ids(), true)) {
            throw new ApiProblem(404, 'not-found', 'There are no such house rules.');
        }

        return $this->answer($this->rechecks->start($request->over($this->rules->named($set)), $user->id()), $user, 201);
    }

    #[Route('/api/rechecks/{id<\d{1,9}>}', methods: 'GET')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function read(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->rechecks->get($id), $user);
    }

    #[Route('/api/rechecks/{id<\d{1,9}>}/advance', methods: 'POST')]
    #[IsGranted('ROLE_HEAD_COACH')]
    #[HeavyWork]
    public function advance(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->rechecks->advance($id, self::STEP), $user);
    }

    #[Route('/api/rechecks/{id<\d{1,9}>}/save', methods: 'POST')]
    #[IsGranted('ROLE_HEAD_COACH')]
    #[HeavyWork]
    public function save(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->rechecks->save($id, $user->id()), $user);
    }

    private function answer(Recheck $recheck, User $user, int $status = 200): JsonResponse
    {
        $found = $this->rechecks->found($recheck);
        $numbering = $this->numberings->of($user);

        return new JsonResponse([
            'id' => $recheck->id,
            'rules' => $recheck->rules->id,
            'state' => $recheck->state->value,
            'total' => $recheck->total,
            'done' => $recheck->done,
            'changes' => $found['changes'],
            'changed' => array_map(fn (array $row): array => $this->lines->with($row, $numbering), $found['changed']),
        ], $status);
    }

    /** @return array<string, mixed> */
    private static function set(HouseRules $set): array
    {
        $row = $set->toArray();

        return [...$row, 'severities' => (object) $row['severities']];
    }

    /** @return array<string, mixed> */
    private static function rule(Rule $rule): array
    {
        return [
            'id' => $rule->id(),
            'title' => $rule->title(),
            'reason' => $rule->reason(),
            'shows' => self::example($rule->shows()),
            'doesNotShow' => self::example($rule->doesNotShow()),
        ];
    }

    /** @return array<string, mixed> */
    private static function example(RuleExample $example): array
    {
        return ['chain' => $example->chain, 'medium' => $example->medium->value, 'group' => $example->group->value, 'tempo' => $example->tempo];
    }
}
