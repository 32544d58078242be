<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\SqlCondition;
use Periplus\App\Combination\StoredChain;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\HouseRules\HouseRulesRequest;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Calibration\Effect;
use Periplus\Core\Flow\Calibration\LabelledChains;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\ModelValue;
use Periplus\Core\Technique\ModelValues;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** The numbers of the model with their sources, and the effect of changing each. */
final readonly class ModelController
{
    /** Maximum number of the gym's chains that are evaluated; enough for an impression. */
    private const MAX_CHAINS = 200;
    /** Maximum number of labelled chains that are named. */
    private const MAX_NAMED = 8;

    public function __construct(private GymHouseRules $rules, private CombinationTable $table)
    {
    }

    #[Route('/api/model', methods: 'GET')]
    public function values(Request $request): Response
    {
        $groups = [];
        foreach (ModelValues::all() as $value) {
            $groups[$value->of] ??= ['note' => $value->note, 'values' => []];
            $groups[$value->of]['values'][] = self::value($value);
        }
        $catalogue = Catalogue::builtIn();
        $kind = static fn (string $of): array => match (true) {
            isset($catalogue->strikes[$of]) => ['strike', $catalogue->strikes[$of]->name],
            isset($catalogue->moves[$of]) => ['move', $catalogue->moves[$of]->words()],
            default => ['body', t('the body')],
        };
        $response = new JsonResponse([
            'groups' => array_map(
                static fn (string $of, array $group): array => [
                    'of' => $of,
                    'kind' => $kind($of)[0],
                    'name' => $kind($of)[1],
                    ...$group,
                ],
                array_keys($groups),
                $groups,
            ),
        ]);
        $response->setEtag(hash('xxh128', (string) $response->getContent()));
        $response->isNotModified($request);

        return $response;
    }

    /**
     * Returns the effect of changing each of these numbers by a tenth of its range, on the labelled chains and the
     * gym's own.
     */
    #[Route('/api/house-rules/{set}/effects', methods: 'POST')]
    #[IsGranted(Permission::EditHouseRules->value)]
    #[HeavyWork]
    public function effects(
        string $set,
        #[MapRequestPayload(acceptFormat: 'json')] EffectsRequest $request,
    ): JsonResponse {
        if (!\in_array($set, BuiltInHouseRules::ids(), true)) {
            throw new NotFound(t('There are no such house rules.'));
        }
        try {
            $rules = $this->rules->named($set)->calibrated(HouseRulesRequest::numbers($request->calibration));
        } catch (\DomainException $invalid) {
            throw new Invalid($invalid->getMessage());
        }
        $gym = array_map(
            static fn (StoredChain $stored): Chain => Reader::builtIn()->readStored(
                $stored->notation,
                $stored->stance,
            )->chain ?? throw new \LogicException('A stored chain cannot be read: '.$stored->notation),
            $this->table->underRules($set, 0, self::MAX_CHAINS, new SqlCondition('c.archived_at IS NULL')),
        );

        return new JsonResponse([
            'labelled' => \count(LabelledChains::all()),
            'gym' => \count($gym),
            'effects' => array_map(static fn (ModelValue $value): array => [
                'key' => $value->key,
                'moves' => array_map(self::effect(...), Effect::around($value, $rules, $gym)),
            ], $request->values()),
        ]);
    }

    /** @return array<string, mixed> */
    private static function value(ModelValue $value): array
    {
        return [
            'key' => $value->key,
            'name' => $value->name,
            'value' => $value->value,
            'unit' => $value->unit,
            'meaning' => $value->meaning,
            'source' => $value->source,
            'least' => $value->least,
            'most' => $value->most,
            'step' => $value->step,
        ];
    }

    /** @return array<string, mixed> */
    private static function effect(Effect $effect): array
    {
        return [
            'to' => $effect->to,
            'labelled' => \count($effect->changed),
            'chains' => array_map(
                static fn (array $change): array => [
                    'notation' => $change[0],
                    'from' => $change[1]->value,
                    'to' => $change[2]->value,
                ],
                \array_slice($effect->changed, 0, self::MAX_NAMED),
            ),
            'agree' => $effect->agree,
            'agreed' => $effect->agreed,
            'gym' => $effect->gym,
        ];
    }
}
