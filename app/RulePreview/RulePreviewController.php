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
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\School;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\Session\Due\SessionThresholds;
use Periplus\Core\Session\Warning\WarningDefinition;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

final readonly class RulePreviewController
{
    /** Maximum number of changed combinations that are listed. */
    private const MAX_LISTED = 200;

    /** Duration of one step, in s. */
    private const STEP_SECONDS = 0.6;

    public function __construct(
        private GymHouseRules $rules,
        private RulePreviews $previews,
        private LineRenderer $lines,
        private GymNumberings $numberings,
    ) {
    }

    /** Lists the gym's house rules and every rule with its reason and examples. */
    #[Route('/api/house-rules', methods: 'GET')]
    public function list(): JsonResponse
    {
        $sets = [];
        foreach ($this->rules->all() as $id => [$set, $version, $builtIn]) {
            $sets[] = [
                ...self::set($set),
                'version' => $version,
                'isBuiltIn' => $builtIn,
                'builtIn' => self::set(BuiltInHouseRules::named($id)),
            ];
        }

        return new JsonResponse([
            'sets' => $sets,
            'rules' => array_map(self::rule(...), RuleRegistry::weighed()),
            'warnings' => array_map(
                static fn (WarningDefinition $warning): array => [
                    'id' => $warning->id,
                    'title' => $warning->title,
                    'reason' => $warning->reason,
                    'fix' => $warning->fix,
                    'threshold' => [...self::threshold($warning->threshold), 'usual' => $warning->threshold->default],
                ],
                SessionThresholds::definitions(),
            ),
            'schools' => array_map(
                static fn (string $name, string $school): array => [
                    'name' => $name,
                    'question' => $school::question(),
                    'answers' => array_map(
                        static fn (School&\BackedEnum $answer): array => [
                            'value' => (string) $answer->value,
                            'label' => $answer->answer(),
                        ],
                        $school::cases(),
                    ),
                ],
                array_keys(Schools::all()),
                Schools::all(),
            ),
        ]);
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
        return $this->answer($this->previews->advance($id, self::STEP_SECONDS), $user);
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
            'changed' => array_map(
                fn (ChangedVerdict $one): ShownVerdict => new ShownVerdict(
                    $one,
                    $this->lines->text($one->notation, $one->stance, $numbering),
                ),
                \array_slice($changed, 0, self::MAX_LISTED),
            ),
        ], $status);
    }

    /** @return array<string, mixed> */
    private static function set(HouseRules $set): array
    {
        $row = $set->jsonSerialize();

        return [
            ...$row,
            'severities' => (object) $row['severities'],
            'thresholds' => (object) $row['thresholds'],
            'calibration' => (object) ($row['calibration'] ?? []),
        ];
    }

    /** @return array<string, mixed> */
    private static function rule(RuleDefinition $rule): array
    {
        return [
            'id' => $rule->id,
            'title' => $rule->title,
            'reason' => $rule->reason,
            'shows' => self::example($rule->shows),
            'doesNotShow' => self::example($rule->doesNotShow),
            'threshold' => null === $rule->threshold ? null : self::threshold($rule->threshold),
        ];
    }

    /** @return array{least: int|float, most: int|float, unit: string, word: string, isWhole: bool} */
    private static function threshold(RuleThreshold $threshold): array
    {
        return [
            'least' => $threshold->least,
            'most' => $threshold->most,
            'unit' => $threshold->unit,
            'word' => $threshold->word,
            'isWhole' => \is_int($threshold->default),
        ];
    }

    /** @return array<string, mixed> */
    private static function example(RuleExample $example): array
    {
        return [
            'chain' => $example->chain,
            'medium' => $example->medium->value,
            'group' => $example->group->value,
            'tempo' => $example->tempo,
        ];
    }
}
