<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Store\JsonValueType;

/** @extends JsonValueType<StoredAmendment> */
final class StoredAmendmentType extends JsonValueType
{
    public const NAME = 'amendment';

    protected function value(array $stored): StoredAmendment
    {
        /**
         * @var array{
         *     kind: string,
         *     block: int|null,
         *     round: int|null,
         *     repeat: int|null,
         *     set: int|null,
         *     at: int,
         *     seconds: int,
         *     track: int|null,
         *     combination: int,
         *     chain: string|null,
         *     name: string|null,
         *     id: int|null,
         * } $stored
         */
        return StoredAmendment::ofJson($stored);
    }
}
