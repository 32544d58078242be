<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Periplus\App\Store\JsonValueType;

/** @extends JsonValueType<CourseContent> */
final class CourseContentType extends JsonValueType
{
    public const NAME = 'course_content';

    protected function value(array $stored): CourseContent
    {
        /** @var array<string, mixed> $stored */
        return CourseContent::of($stored);
    }
}
