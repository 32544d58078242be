<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

/** A change that mirroring brings, with the text of what would keep what is lost. */
final readonly class MirrorChangeDocument
{
    public function __construct(public string $id, public ?int $at, public string $message, public ?string $offer)
    {
    }
}
