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

    public function __construct(
        private GymHouseRules $rules,
        private CombinationTable $table,
        private Catalogue $catalogue,
    ) {
    }

    #[Route('/api/model', methods: 'GET')]
    public function values(Request $request): Response
    {
        $notes = $values = [];
        foreach (ModelValues::all() as $value) {
            $notes[$value->of] ??= $value->note;
            $values[$value->of][] = new ShownModelValue($value);
        }
        $response = new JsonResponse([
            'groups' => array_map(
                fn (string $of, array $group): ModelGroup => $this->group($of, $notes[$of] ?? null, $group),
                array_keys($values),
                $values,
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
                'moves' => array_map(
                    static fn (Effect $effect): ShownEffect => new ShownEffect($effect),
                    Effect::around($value, $rules, $gym),
                ),
            ], $request->values()),
        ]);
    }

    /** @param list<ShownModelValue> $values */
    private function group(string $of, ?string $note, array $values): ModelGroup
    {
        $strike = $this->catalogue->strikes[$of] ?? null;
        $move = $this->catalogue->moves[$of] ?? null;

        return match (true) {
            null !== $strike => new ModelGroup($of, 'strike', $strike->name, $note, $values),
            null !== $move => new ModelGroup($of, 'move', $move->words(), $note, $values),
            default => new ModelGroup($of, 'body', t('the body'), $note, $values),
        };
    }
}
