<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Periplus\App\Http\FallbackCache;
use Periplus\App\Store\NotFound;

use function Periplus\Core\Language\t;

/** Finds gyms as often as there are requests: from the directory, or a copy of a moment ago. */
final readonly class Lookup
{
    /** After so many s every web server knows a change; {@see ChangeGymCommand} waits for it. */
    public const FRESH_SECONDS = 2;

    public function __construct(private HostedGyms $gyms, private FallbackCache $copies)
    {
    }

    public function withHost(string $host): ?FoundGym
    {
        return $this->copied('host.'.$host, fn (): ?HostedGym => $this->gyms->withHost($host));
    }

    public function named(string $name): ?FoundGym
    {
        return $this->copied('name.'.$name, fn (): ?HostedGym => $this->gyms->named($name));
    }

    /** @param \Closure(): ?HostedGym $find */
    private function copied(string $key, \Closure $find): ?FoundGym
    {
        try {
            $found = $this->copies->read(
                'directory.'.hash('xxh128', $key),
                self::FRESH_SECONDS,
                static function () use ($find): FoundGym {
                    // Nothing is kept for made-up names, of which there may be many.
                    $gym = $find() ?? throw new NotFound(t('There is no gym under this name.'));

                    return new FoundGym($gym->place(), $gym->state());
                },
            );
        } catch (NotFound) {
            return null;
        }

        return $found instanceof FoundGym ? $found : null;
    }
}
