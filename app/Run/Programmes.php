<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Plan\PlanCheck;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\App\Voice\Clips;
use Periplus\Core\Session\Programme\Amendments;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

use function Periplus\Core\Language\t;

/**
 * Finds the programmes of running sessions, in every version that screens have played.
 *
 * @extends ServiceEntityRepository<RunProgramme>
 */
final class Programmes extends ServiceEntityRepository
{
    /** Maximum size of all versions of one session. */
    private const MAX_BYTES = 16_000_000;

    /**
     * @param \Closure(): PlanCheck $check reads the data of the core, which a press that moves the clock does not need
     */
    public function __construct(
        ManagerRegistry $registry,
        #[AutowireServiceClosure(PlanCheck::class)] private readonly \Closure $check,
        private readonly Clips $clips,
    ) {
        parent::__construct($registry, RunProgramme::class);
    }

    /**
     * @param array<mixed> $content a written plan
     * @param list<StoredAmendment> $amendments
     */
    public function build(array $content, array $amendments = []): Programme
    {
        $reader = ($this->check)()->reader();
        $plan = $reader->read($content)->plan;
        $changes = new Amendments();
        foreach ($amendments as $stored) {
            $change = $stored->amendment($plan, $reader->lines);
            $changes = null === $change ? $changes : $changes->and($change);
        }

        return ProgrammeBuilder::build($plan, $reader->advice, $changes);
    }

    /** @throws Conflict when all versions of it together become too large */
    public function keep(Run $run, Programme $programme): void
    {
        $version = new RunProgramme($run, $run->programme(), $programme, $this->clips->settings()->style());
        $bytes = (int) $this->createQueryBuilder('p')->select('SUM(LENGTH(p.document))')
            ->where('p.run = :run')->setParameter('run', $run)
            ->getQuery()->getSingleScalarResult();
        if ($version->bytes() + $bytes > self::MAX_BYTES) {
            throw new Conflict(
                'not-now',
                t('This session has had too many changes. End it and start another.'),
            );
        }
        $this->getEntityManager()->persist($version);
    }

    /** @return list<int> moments, in ms, at which the clock waits for the coach */
    public function waits(Run $run): array
    {
        /** @var array{waits: list<int>} $row */
        $row = $this->createQueryBuilder('p')->select('p.waits')
            ->where('p.run = :run AND p.version = :version')
            ->setParameter('run', $run)->setParameter('version', $run->programme())
            ->getQuery()->getSingleResult();

        return $row['waits'];
    }

    /**
     * Returns the document that screens play, with the clips.
     *
     * @return array{
     *     said: list<array{text: string, clip: string, ...}>,
     *     chains: list<array<string, mixed>>,
     *     ...,
     * } docs/formats/wall.md
     */
    public function document(int $run, int $version): array
    {
        $played =
            $this->find(['run' => $run, 'version' => $version])
            ?? throw new NotFound(t('There is no such version of this session.'));
        $document = $played->document();
        $digests = $this->clips->digests(array_values(array_unique(array_column($document['said'], 'text'))));

        return [
            ...$document,
            'version' => $version,
            'said' => array_map(
                static fn (array $said): array => [...$said, 'clip' => $digests[$said['text']]],
                $document['said'],
            ),
        ];
    }

    /**
     * Returns the cues of each version.
     *
     * @return array<int, array<string, PlayedCue>> by version and key
     */
    public function cuesByVersion(int $run): array
    {
        $cues = [];
        foreach ($this->findBy(['run' => $run], ['version' => 'ASC']) as $played) {
            $cues[$played->version()] = $played->cues();
        }

        return $cues;
    }

    /** @return array<string, PlayedCue> what may be shown in any of its versions, by key */
    public function cues(int $run): array
    {
        return array_merge(...array_values($this->cuesByVersion($run)));
    }

    /** Returns the sound of a clip of that session; null when the session does not use it. */
    public function clip(int $run, int $version, string $digest): ?string
    {
        foreach ($this->document($run, $version)['said'] as $said) {
            if ($said['clip'] === $digest) {
                return $this->clips->sound($digest, $said['text']);
            }
        }

        return null;
    }
}
