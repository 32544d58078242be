<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Periplus\Core\Session\Wall\WallChain;

/** Finds what a screen plays while it demonstrates a combination. */
final readonly class DemonstratedRecordings
{
    public function __construct(private Recordings $recordings)
    {
    }

    /**
     * Adds to each chain of a programme its recording: that of the whole combination, or else of the first of its
     * techniques that has one; null when there is none, or when it is not demonstrated.
     *
     * @param list<WallChain>|list<array<string, mixed>> $chains docs/formats/wall.md
     *
     * @return list<array<string, mixed>>
     */
    public function addTo(array $chains): array
    {
        $found = $this->in($chains);

        return array_map(
            static fn (WallChain|array $chain, int $place): array => [
                ...(array) $chain,
                'recording' => ($found[$place] ?? null)?->played(),
            ],
            $chains,
            array_keys($chains),
        );
    }

    /**
     * @param list<WallChain>|list<array<string, mixed>> $chains docs/formats/wall.md
     *
     * @return array<int, Recording> by the place of its chain
     */
    public function in(array $chains): array
    {
        $found = [];
        foreach ($chains as $place => $chain) {
            /** @var array{fingerprint: string|null, techniques: list<string>} $chain */
            $chain = (array) $chain;
            $first = null === $chain['fingerprint']
                ? null
                : $this->recordings->ofChain($chain['fingerprint'], $chain['techniques'])[0] ?? null;
            if (null !== $first) {
                $found[$place] = $first;
            }
        }

        return $found;
    }
}
