<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Periplus\App\Store\JsonValueType;

/** @extends JsonValueType<Syllabus> */
final class SyllabusType extends JsonValueType
{
    public const NAME = 'syllabus';

    protected function value(array $stored): Syllabus
    {
        /**
         * @var array{
         *     startsOn?: string|null,
         *     weeks?: list<array{theme: string, note: string, combinations: list<int>}>,
         * } $stored
         */
        return Syllabus::of($stored);
    }
}
