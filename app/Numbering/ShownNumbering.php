<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Notation\NumberedStrike;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Technique\Catalogue;

/** A numbering as the screens show it. */
final readonly class ShownNumbering
{
    public string $id;
    public string $name;
    public string $about;
    public string $boundTo;
    /** @var list<ShownNumber> */
    public array $numbers;
    public bool $isBuiltIn;

    /** @param int|null $version null for one that is built in */
    public function __construct(Numbering $numbering, Catalogue $catalogue, public ?int $version)
    {
        $this->id = $numbering->id;
        $this->name = $numbering->name;
        $this->about = $numbering->about;
        $this->boundTo = $numbering->boundToHand ? 'hand' : 'role';
        $this->numbers = array_values(array_map(
            static fn (NumberedStrike $entry): ShownNumber => new ShownNumber($entry, $catalogue),
            $numbering->entries,
        ));
        $this->isBuiltIn = null === $version;
    }
}
