<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Work\SlowWork;

/** Asks to read on in an import. */
final readonly class ReadImport extends SlowWork
{
}
