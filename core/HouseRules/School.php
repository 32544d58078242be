<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** A question on which coaches disagree; its cases are the answers. */
interface School
{
    /** The beginning of a sentence that an answer ends. */
    public static function question(): string;

    public function answer(): string;
}
