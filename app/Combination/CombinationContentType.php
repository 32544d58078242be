<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Store\JsonValueType;

/** @extends JsonValueType<CombinationContent> */
final class CombinationContentType extends JsonValueType
{
    public const NAME = 'combination_content';

    protected function value(array $stored): CombinationContent
    {
        /**
         * @var array{
         *     name: string,
         *     notation: string,
         *     stance: string,
         *     rules: string,
         *     themes: list<string>,
         *     level: int,
         *     note: string,
         *     levelChosen?: bool|null,
         * } $stored
         */
        return CombinationContent::of($stored);
    }
}
