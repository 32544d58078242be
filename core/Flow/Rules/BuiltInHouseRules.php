<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Limb;

/**
 * The three built-in house rules: allowed limbs and schools come from core/data/house-rules.json, severities and
 * thresholds from the rules.
 */
final readonly class BuiltInHouseRules
{
    /** @throws \OutOfBoundsException when there is no such set */
    public static function named(string $id): HouseRules
    {
        return self::all()[$id]
            ?? throw new \OutOfBoundsException(
                \sprintf('There are no house rules "%s"; there is %s.', $id, implode(', ', self::ids())),
            );
    }

    /** @return array<string, HouseRules> by id */
    public static function all(): array
    {
        /** @var array<string, HouseRules>|null $sets */
        static $sets = null;
        if (null === $sets) {
            $sets = [];
            $rules = RuleRegistry::weighed();
            /**
             * @var array{
             *     sets: list<array{
             *         id: string,
             *         name: string,
             *         allows: list<string>,
             *         schools: array{
             *             leadHook: string,
             *             handSide: string,
             *             handTiming: string,
             *             ending: string,
             *             hardStrikes: string,
             *             jabStep?: string,
             *         },
             *     }>,
             * } $data
             */
            $data = Data::read('house-rules');
            foreach ($data['sets'] as $row) {
                [$severities, $thresholds] = [[], []];
                foreach ($rules as $rule) {
                    $severities[$rule->id] = $rule->severities[$row['id']] ?? Severity::Hint;
                    if (null !== $rule->threshold) {
                        $thresholds[$rule->id] = $rule->threshold->default;
                    }
                }
                $sets[$row['id']] = new HouseRules(
                    $row['id'],
                    $row['name'],
                    array_map(Limb::from(...), $row['allows']),
                    Schools::of($row['schools']),
                    $severities,
                    $thresholds,
                );
            }
        }

        return $sets;
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::all());
    }
}
