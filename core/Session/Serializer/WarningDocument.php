<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Session\Warning\WarningDefinition;

/** A warning about a session. */
final readonly class WarningDocument
{
    public string $id;
    public string $title;
    public string $reason;
    public string $fix;

    public function __construct(
        WarningDefinition $definition,
        public string $message,
        public float|int|null $threshold,
    ) {
        $this->id = $definition->id;
        $this->title = $definition->title;
        $this->reason = $definition->reason;
        $this->fix = $definition->fix;
    }
}
