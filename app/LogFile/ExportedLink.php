<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

use Periplus\App\Logbook\FallenLink;
use Periplus\Core\Technique\Stance;

/** A link that fell apart in an exported entry. */
final readonly class ExportedLink
{
    /** In parity numbering. */
    public string $chain;
    public Stance $stance;
    /** Place in the chain. */
    public int $link;
    /** The fault that was seen. */
    public ?string $fault;

    public function __construct(FallenLink $link)
    {
        $this->chain = $link->notation;
        $this->stance = $link->stance;
        $this->link = $link->link;
        $this->fault = $link->fault;
    }
}
