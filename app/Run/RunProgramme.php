<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\ORM\Mapping as ORM;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Wall\VoiceStyle;
use Periplus\Core\Session\Wall\WallSerializer;

/** A version of a programme as screens play it. It is stored, so that changed house rules do not affect it. */
#[ORM\Entity(repositoryClass: Programmes::class, readOnly: true)]
#[ORM\Table(name: 'run_programme')]
class RunProgramme
{
    /** JSON, see docs/formats/wall.md. */
    #[ORM\Column(type: 'text')]
    private string $document;

    /** @var list<int> moments, in ms, at which the clock waits for the coach */
    #[ORM\Column]
    private array $waits;

    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private Run $run,
        #[ORM\Id, ORM\Column]
        private int $version,
        Programme $programme,
        VoiceStyle $style,
    ) {
        $this->document = json_encode(
            WallSerializer::serialize($programme, $style),
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE,
        );
        $this->waits = $programme->waits();
    }

    public function run(): Run
    {
        return $this->run;
    }

    public function version(): int
    {
        return $this->version;
    }

    public function bytes(): int
    {
        return \strlen($this->document);
    }

    /** @return array<string, PlayedCue> by key */
    public function cues(): array
    {
        $cues = [];
        foreach ($this->document()['cues'] as $cue) {
            $cues[$cue['key']] = new PlayedCue($cue['key'], $cue['kind'], $cue['text'], $cue['stands'], $cue['track']);
        }

        return $cues;
    }

    /**
     * @return array{
     *     cues: list<array{
     *         key: string,
     *         kind: string,
     *         text: string,
     *         stands: bool,
     *         track: int|null,
     *         ...,
     *     }>,
     *     said: list<array{atMs: int, text: string}>,
     *     chains: list<array<string, mixed>>,
     *     ...,
     * }
     */
    public function document(): array
    {
        /**
         * @var array{
         *     cues: list<array{
         *         key: string,
         *         atMs: int,
         *         kind: string,
         *         text: string,
         *         stands: bool,
         *         track: int|null,
         *         say?: string|null,
         *         beside?: list<mixed>,
         *     }>,
         *     segments: list<array<string, mixed>>,
         *     chains: list<array<string, mixed>>,
         *     needs?: list<string>,
         *     opening?: list<mixed>,
         *     said?: list<array{atMs: int, text: string}>,
         * } $document
         */
        $document = json_decode($this->document, true, flags: \JSON_THROW_ON_ERROR);
        $said = $cues = [];
        foreach ($document['cues'] as $cue) {
            // Sessions that an earlier version started say it with their cues.
            if (isset($cue['say'])) {
                $said[] = ['atMs' => $cue['atMs'], 'text' => $cue['say']];
            }
            unset($cue['say']);
            $cues[] = $cue + ['beside' => []];
        }

        return [
            ...$document,
            'needs' => $document['needs'] ?? [],
            'chains' => array_map(
                static fn (array $chain): array => $chain + [
                    'holder' => null,
                    'fromAbove' => null,
                    'fingerprint' => null,
                    'techniques' => [],
                ],
                $document['chains'],
            ),
            'opening' => $document['opening'] ?? [],
            'cues' => $cues,
            'said' => $document['said'] ?? $said,
            'segments' => array_map(
                static fn (array $segment): array => $segment + ['pace' => null, 'station' => null],
                $document['segments'],
            ),
        ];
    }
}
