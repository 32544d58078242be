<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** A question on which coaches disagree; the cases are the answers. */
interface School
{
    /** Returns the beginning of the sentence that the answer completes. */
    public static function question(): string;

    public function answer(): string;
}
