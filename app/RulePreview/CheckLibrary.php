<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\App\Work\SlowWork;

/** Asks to check on through the library under changed house rules. */
final readonly class CheckLibrary extends SlowWork
{
}
