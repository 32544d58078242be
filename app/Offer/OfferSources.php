<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Directory\GroupDocument;
use Periplus\App\Directory\GroupDocuments;
use Periplus\App\Store\Instant;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Refused;

use function Periplus\Core\Language\t;

/** Finds what other gyms offer: those of the group by the directory, others as they were read last. */
final readonly class OfferSources
{
    public function __construct(
        private GroupDocuments $group,
        private FollowedGyms $followed,
        private OfferReader $reader,
    ) {
    }

    /** @return list<OfferSource> those of the group first */
    public function all(): array
    {
        return [
            ...array_map($this->ofGroup(...), $this->group->ofOthers()),
            ...array_map($this->ofLink(...), $this->followed->all()),
        ];
    }

    /** @throws NotFound when it is not offered, or no longer */
    public function offer(string $source, OfferKind $kind, string $item): Offer
    {
        $key = Offer::keyOf($source, $kind, $item);
        foreach ($this->all() as $one) {
            foreach ($one->id === $source ? $one->offers() : [] as $offer) {
                if ($offer->key() === $key) {
                    return $offer;
                }
            }
        }

        throw new NotFound(t('This is no longer offered.'));
    }

    private function ofGroup(GroupDocument $published): OfferSource
    {
        return $this->source(
            'gym-'.$published->gym(),
            $published->gym(),
            null,
            $published->publishedAt(),
            null,
            $published->document(),
        );
    }

    private function ofLink(FollowedGym $gym): OfferSource
    {
        return $this->source(
            'link-'.$gym->id(),
            $gym->name(),
            $gym->id(),
            $gym->readAt(),
            $gym->problem(),
            $gym->document(),
        );
    }

    private function source(
        string $id,
        string $name,
        ?int $link,
        \DateTimeImmutable $readAt,
        ?string $problem,
        string $json,
    ): OfferSource {
        $document = null;
        try {
            $document = $this->reader->read($json);
        } catch (Refused $unread) {
            $problem = $unread->getMessage();
        }

        return new OfferSource($id, $document->gym ?? $name, $link, new Instant($readAt), $problem, $document);
    }
}
