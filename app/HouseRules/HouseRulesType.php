<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\App\Store\JsonValueType;
use Periplus\Core\HouseRules\HouseRules;

/** @extends JsonValueType<HouseRules> */
final class HouseRulesType extends JsonValueType
{
    public const NAME = 'house_rules';

    protected function value(array $stored): HouseRules
    {
        /**
         * @var array{
         *     id: string,
         *     name: string,
         *     allows: list<string>,
         *     schools: array{
         *         leadHook: string,
         *         handSide: string,
         *         handTiming: string,
         *         ending: string,
         *         hardStrikes: string,
         *         jabStep?: string,
         *     },
         *     severities: array<string, string>,
         *     thresholds: array<string, int|float>,
         *     calibration?: array<string, int|float>,
         * } $stored
         */
        return HouseRules::of($stored);
    }
}
