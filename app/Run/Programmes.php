<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\DBAL\Connection;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Plan\PlanCheck;
use Periplus\App\Voice\Clips;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Programme\Amendment;
use Periplus\Core\Session\Programme\AmendmentKind;
use Periplus\Core\Session\Programme\Amendments;
use Periplus\Core\Session\Programme\Place;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Wall\WallSerializer;
use Periplus\Core\Technique\Stance;

/**
 * The programmes of sessions that run. What screens play is kept as it was made, for each version, so that a change of the
 * house rules meanwhile changes nothing of it.
 *
 * @phpstan-type StoredAmendment array{kind: string, block: int|null, round: int|null, repeat: int|null, set: int|null, at: int, seconds: int, track: int|null, combination: int, chain: string|null, name: string|null, id: int|null}
 */
final readonly class Programmes
{
    /** Of all versions of one session. */
    private const MAX_BYTES = 16_000_000;

    public function __construct(private Connection $connection, private PlanCheck $check, private Clips $clips)
    {
    }

    /**
     * @param array<mixed> $content a written plan
     * @param list<StoredAmendment> $amendments
     */
    public function build(array $content, array $amendments = []): Programme
    {
        $reader = $this->check->reader();
        $plan = $reader->read($content)->plan;
        $changes = new Amendments();
        foreach ($amendments as $row) {
            $change = self::amendment($row, $plan);
            $changes = null === $change ? $changes : $changes->and($change);
        }

        return ProgrammeBuilder::build($plan, $reader->advice, $changes);
    }

    /** @throws ApiProblem when all versions of it together become too large */
    public function keep(int $run, int $version, Programme $programme): void
    {
        $document = json_encode(WallSerializer::of($programme), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        $bytes = $this->connection->fetchOne(
            'SELECT SUM(LENGTH(document)) FROM run_programme WHERE run_id = ?',
            [$run],
        );
        if (\strlen($document) + (is_numeric($bytes) ? (int) $bytes : 0) > self::MAX_BYTES) {
            throw new ApiProblem(
                409,
                'not-now',
                'This session has become too large to be changed further. End it and start another.',
            );
        }
        $this->connection->insert('run_programme', ['run_id' => $run, 'version' => $version, 'document' => $document]);
    }

    /**
     * As screens play it, with the clips of what is said.
     *
     * @return array<string, mixed> docs/formats/wall.md
     */
    public function document(int $run, int $version): array
    {
        $stored = $this->connection->fetchOne('SELECT document FROM run_programme WHERE run_id = ? AND version = ?', [$run, $version]);
        if (!\is_string($stored)) {
            throw new ApiProblem(404, 'not-found', 'There is no such version of this session.');
        }
        /** @var array{cues: list<array{say: string|null}>} $document */
        $document = json_decode($stored, true, flags: \JSON_THROW_ON_ERROR);
        $digests = $this->clips->digests(self::said($document));

        return [...$document, 'version' => $version, 'cues' => array_map(static fn (array $cue): array => [...$cue, 'clip' => null === $cue['say'] ? null : $digests[$cue['say']]], $document['cues'])];
    }

    /**
     * What may be shown in each of its versions.
     *
     * @return array<int, array<string, array{key: string, kind: string, text: string, stands: bool, track: int|null}>> by version and key
     */
    public function cuesByVersion(int $run): array
    {
        $cues = [];
        foreach ($this->connection->fetchAllKeyValue(
            'SELECT version, document FROM run_programme WHERE run_id = ? ORDER BY version',
            [$run],
        ) as $version => $stored) {
            /** @var array{cues: list<array{key: string, kind: string, text: string, stands: bool, track: int|null}>} $document */
            $document = json_decode(\is_string($stored) ? $stored : '', true, flags: \JSON_THROW_ON_ERROR);
            $cues[(int) $version] = array_column($document['cues'], null, 'key');
        }

        return $cues;
    }

    /** @return array<string, mixed> what may be shown in any of its versions, by key */
    public function cues(int $run): array
    {
        return array_merge(...array_values($this->cuesByVersion($run)));
    }

    /** The sound of a clip of that session; null when nothing of it is said so. */
    public function clip(int $run, int $version, string $digest): ?string
    {
        /** @var array{cues: list<array{say: string|null, clip: string|null}>} $document */
        $document = $this->document($run, $version);
        foreach ($document['cues'] as $cue) {
            if ($cue['clip'] === $digest) {
                return $this->clips->sound($digest, (string) $cue['say']);
            }
        }

        return null;
    }

    /** @return StoredAmendment */
    public static function stored(Amendment $amendment): array
    {
        $with = $amendment->with;

        return [
            'kind' => $amendment->kind->value,
            'block' => $amendment->place->block,
            'round' => $amendment->place->round,
            'repeat' => $amendment->place->repeat,
            'set' => $amendment->place->set,
            'at' => $amendment->at,
            'seconds' => $amendment->seconds,
            'track' => $amendment->track,
            'combination' => $amendment->combination,
            'chain' => $with?->text,
            'name' => $with?->name,
            'id' => $with?->id,
        ];
    }

    /** A chain in the numbers of a plan; null when it cannot be read. */
    public static function combination(string $text, SessionPlan $plan, ?string $name = null, ?int $id = null): ?PlannedCombination
    {
        $chain = Reader::builtIn()->read($text, $plan->numbering, Stance::Orthodox)->chain;

        return null === $chain ? null : new PlannedCombination($text, new ChainInStance($chain, Stance::Orthodox), $name, $id);
    }

    /**
     * @param array{cues: list<array{say: string|null}>} $document
     *
     * @return list<string>
     */
    private static function said(array $document): array
    {
        return array_values(array_unique(array_filter(array_column($document['cues'], 'say'), \is_string(...))));
    }

    /** @param StoredAmendment $row */
    private static function amendment(array $row, SessionPlan $plan): ?Amendment
    {
        $place = new Place($row['block'], $row['round'], $row['repeat'], $row['set']);
        $with = null === $row['chain'] ? null : self::combination($row['chain'], $plan, $row['name'], $row['id']);

        return match (AmendmentKind::from($row['kind'])) {
            AmendmentKind::Longer => Amendment::longer($place, $row['at'], $row['seconds']),
            AmendmentKind::Again => Amendment::again($place),
            AmendmentKind::Swap => null === $with ? null : Amendment::swap($place, $row['track'], $row['combination'], $with),
        };
    }
}
