<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Combination\Combination;
use Periplus\App\Combination\CombinationContent;

/** A later version of a combination that was taken over: what its gym changed since, on top of what it is here now. */
final readonly class OfferedChange
{
    /** The content with the other gym's changes. */
    public CombinationContent $result;
    /** @var list<string> fields that the other gym changed */
    public array $theirs;
    /** @var list<string> fields that were changed here */
    public array $ours;

    /** @param CombinationContent $then the content that was offered when this gym accepted it */
    public function __construct(public Combination $combination, CombinationContent $then, CombinationContent $offered)
    {
        $now = $combination->content();
        $this->theirs = $offered->differencesFrom($then);
        $this->ours = $now->differencesFrom($then);
        $this->result = $now->with($offered, $this->theirs);
    }

    public function changesSomething(): bool
    {
        return [] !== $this->result->differencesFrom($this->combination->content());
    }

    /** @return list<string> fields that both changed, of which the other gym's would be stored */
    public function both(): array
    {
        return array_values(array_intersect($this->theirs, $this->ours));
    }
}
