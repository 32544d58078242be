<?php

declare(strict_types=1);

namespace Periplus\App\AtHome;

use Periplus\App\Numbering\GymNumbering;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Plan\PlanCheck;
use Periplus\App\Recording\DemonstratedRecordings;
use Periplus\App\Recording\Recording;
use Periplus\App\Store\NotFound;
use Periplus\App\Voice\Clips;
use Periplus\Core\Session\Wall\Utterance;
use Periplus\Core\Session\Wall\WallDocument;
use Periplus\Core\Session\Wall\WallSerializer;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;

use function Periplus\Core\Language\t;

/** Computes what a phone plays of a linked session: the document of a wall, with the gym's voice. */
final readonly class HomeSession
{
    private const KEPT_SECONDS = 600;

    public function __construct(
        private PlanCheck $check,
        private GymNumberings $numberings,
        private Clips $clips,
        private DemonstratedRecordings $recordings,
        private CacheInterface $cache,
    ) {
    }

    /**
     * @param string|null $numbering in which the athlete reads and hears it; that of the plan when null
     *
     * @return array<string, mixed> docs/formats/wall.md
     *
     * @throws NotFound when there is no such numbering
     */
    public function document(SessionLink $link, ?string $numbering): array
    {
        $document = $this->read($link, $numbering);
        $digests = $this->clips->digests(self::texts($document));

        return [
            ...(array) $document,
            'version' => 1,
            'chains' => $this->recordings->addTo($document->chains),
            'said' => array_map(
                static fn (Utterance $said): array => [...(array) $said, 'clip' => $digests[$said->text]],
                $document->said,
            ),
        ];
    }

    /** @return list<array{id: string, name: string}> in which it can be read */
    public function numberings(): array
    {
        return array_map(
            static fn (GymNumbering $one): array => ['id' => $one->numbering->id, 'name' => $one->numbering->name],
            array_values($this->numberings->all()),
        );
    }

    /** Returns the sound of a clip of that session; null when the session does not use it. */
    public function clip(SessionLink $link, string $digest): ?string
    {
        // A phone asks for all clips one after the other, and the programme is computed once for them.
        $texts = $this->cache->get(
            \sprintf('at-home.%d.%s', $link->id(), md5(serialize($this->clips->settings()->style()))),
            function (ItemInterface $kept) use ($link): array {
                $kept->expiresAfter(self::KEPT_SECONDS);

                // Read in one numbering, it is also spoken in it.
                return array_values(array_unique(array_merge(...array_map(
                    fn (?string $numbering): array => self::texts($this->read($link, $numbering)),
                    [null, ...array_keys($this->numberings->all())],
                ))));
            },
        );
        $text = array_search($digest, $this->clips->digests($texts), true);

        return false === $text ? null : $this->clips->sound($digest, $text);
    }

    /** @return list<Recording> what it plays */
    public function recordings(SessionLink $link): array
    {
        return array_values($this->recordings->in($this->read($link, null)->chains));
    }

    private function read(SessionLink $link, ?string $numbering): WallDocument
    {
        $content = $link->content();
        if (null !== $numbering) {
            if (!isset($this->numberings->all()[$numbering])) {
                throw new NotFound(t('There is no such numbering. It may have been archived.'));
            }
            $content['numbering'] = $numbering;
        }

        return WallSerializer::serialize($this->check->programme($content), $this->clips->settings()->style());
    }

    /** @return list<string> each once */
    private static function texts(WallDocument $document): array
    {
        return array_values(array_unique(array_map(
            static fn (Utterance $said): string => $said->text,
            $document->said,
        )));
    }
}
