<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

/** Something that another gym offers this one. */
final readonly class Offer
{
    /**
     * @param string $source where it was read: "gym-" and the name of a gym of the group, or "link-" and an id
     * @param string $gym name of the gym
     */
    public function __construct(public string $source, public string $gym, public OfferedThing $thing)
    {
    }

    /** Returns a word for it, the same in all of its versions. */
    public function key(): string
    {
        return self::keyOf($this->source, $this->thing->kind(), $this->thing->item());
    }

    public static function keyOf(string $source, OfferKind $kind, string $item): string
    {
        return $source.'/'.$kind->value.'/'.$item;
    }
}
