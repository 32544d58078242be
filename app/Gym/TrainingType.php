<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Periplus\App\Store\JsonValueType;

/** @extends JsonValueType<Training> */
final class TrainingType extends JsonValueType
{
    public const NAME = 'training';

    protected function value(array $stored): Training
    {
        /** @var array{rules: string, media: list<string>, groups: list<string>} $stored */
        return Training::fromArray($stored);
    }
}
