<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\EditKind;

/** An edit of a mend. */
final readonly class EditDocument
{
    public function __construct(public EditKind $kind, public int $at)
    {
    }
}
