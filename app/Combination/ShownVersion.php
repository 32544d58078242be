<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Account\Person;
use Periplus\App\Store\Instant;

/** An earlier state of a combination as it is shown. */
final readonly class ShownVersion extends ShownContent
{
    public int $version;
    public VersionChange $change;
    public Person $editor;
    public Instant $createdAt;

    public function __construct(CombinationVersion $version, string $text)
    {
        parent::__construct($version->content(), $text);
        $this->version = $version->number();
        $this->change = $version->change();
        $this->editor = $version->editor()->person();
        $this->createdAt = new Instant($version->createdAt());
    }
}
