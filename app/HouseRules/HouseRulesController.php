<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\Session\Due\SessionThresholds;
use Periplus\Core\Session\Warning\WarningDefinition;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Lists the gym's house rules and every rule with its reason and examples. */
final readonly class HouseRulesController
{
    public function __construct(private GymHouseRules $rules)
    {
    }

    #[Route('/api/house-rules', methods: 'GET')]
    public function __invoke(): JsonResponse
    {
        return new JsonResponse([
            'sets' => array_map(
                static fn (GymSet $set): GymRuleSet => new GymRuleSet($set),
                array_values($this->rules->all()),
            ),
            'rules' => array_map(
                static fn (RuleDefinition $rule): ShownRule => new ShownRule($rule),
                RuleRegistry::weighed(),
            ),
            'warnings' => array_map(
                static fn (WarningDefinition $warning): ShownWarning => new ShownWarning($warning),
                SessionThresholds::definitions(),
            ),
            'schools' => array_map(
                static fn (string $name, string $school): ShownSchool => new ShownSchool($name, $school),
                array_keys(Schools::all()),
                Schools::all(),
            ),
        ]);
    }
}
