<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** A link of a drilled combination that fell apart, with the fault that was seen. */
final readonly class ShownFallenLink
{
    public int $link;
    public ?string $fault;

    public function __construct(FallenLink $link)
    {
        $this->link = $link->link;
        $this->fault = $link->fault;
    }
}
