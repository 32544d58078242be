<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** Knows the words that carry nothing; a gym may change them while a reader lives. */
interface GlueSource
{
    public function glue(): Glue;
}
