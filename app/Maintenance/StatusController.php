<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\GymKind;
use Periplus\App\Gym\Gyms;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Http\PlainText;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\App\Wall\Wall;
use Periplus\App\Wall\Walls;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\ResponseHeaderBag;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** Shows the head coach the state of the server, and requests backups and restores from bin/keeper. */
final readonly class StatusController
{
    /** Maximum age of a backup before a warning. */
    private const MAX_BACKUP_AGE = '-3 days';
    /** Minimum free share of the disk before a warning. */
    private const MIN_DISK_SHARE = 0.1;
    private const MIN_DISK_BYTES = 500_000_000;

    /** @param iterable<HasQuota> $keepers */
    public function __construct(
        private StateFolder $state,
        private GymSummary $summary,
        private Gyms $gyms,
        private Walls $walls,
        private AuditLog $audit,
        private EntityManagerInterface $entities,
        #[AutowireIterator(HasQuota::class)] private iterable $keepers,
        #[Autowire('%env(PERIPLUS_CERTIFICATE_END)%')] private string $certificateEnd,
    ) {
    }

    #[Route('/api/status', methods: 'GET')]
    #[IsGranted(Permission::ManageGym->value)]
    public function read(): JsonResponse
    {
        $backups = $this->state->backups();
        $disk = $this->state->disk();
        $last = $backups[0] ?? null;
        $connection = $this->entities->getConnection();

        return new JsonResponse([
            'version' => Version::NUMBER,
            'php' => \PHP_VERSION,
            'database' => ['version' => $connection->getServerVersion(), 'bytes' => $this->databaseBytes()],
            'disk' => $disk,
            'diskIsNearlyFull' => $disk->free < max(self::MIN_DISK_BYTES, $disk->total * self::MIN_DISK_SHARE),
            'hasKeeper' => $this->state->hasKeeper(),
            'backups' => $backups,
            'backsUpRecordings' => $this->gyms->get()->backsUpRecordings(),
            'backupIsOld' => $this->state->hasKeeper()
                && (null === $last || $last->madeAt->time < new \DateTimeImmutable(self::MAX_BACKUP_AGE)),
            'certificateEnd' => '' === $this->certificateEnd ? null : $this->certificateEnd,
            'walls' => array_map(
                static fn (Wall $wall): array => [
                    'name' => $wall->name(),
                    'seenAt' => $wall->seenAt()?->format(\DATE_ATOM),
                ],
                $this->walls->all(),
            ),
            'quotas' => array_map(static fn (HasQuota $keeper): mixed => $keeper->quota(), [...$this->keepers]),
            'summary' => $this->summary->read(),
            'copy' => $this->state->copy(),
        ]);
    }

    #[Route('/api/backups', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function backUp(#[CurrentUser] User $user): JsonResponse
    {
        $this->audit->add($user->id(), 'gym.backup', t('made a backup'), 'status');

        return $this->asked($this->state->ask(MaintenanceJob::Backup));
    }

    /** Chooses what backups contain from now on. */
    #[Route('/api/backups/content', methods: 'PUT')]
    #[IsGranted(Permission::ManageGym->value)]
    public function choose(
        #[MapRequestPayload(acceptFormat: 'json')] BackupContentRequest $request,
        #[CurrentUser] User $user,
    ): Response {
        $this->gyms->backUpRecordings($request->recordings);
        $this->audit->add(
            $user->id(),
            'gym.backup',
            $request->recordings
                ? t('put the recordings into backups')
                : t('left the recordings out of backups'),
            'status',
        );

        return new Response(status: 204);
    }

    #[Route('/api/backups/{name<[a-z0-9.-]{1,60}>}', methods: 'GET')]
    #[IsGranted(Permission::ManageGym->value)]
    public function download(string $name, #[CurrentUser] User $user): BinaryFileResponse
    {
        $response = new BinaryFileResponse($this->path($name), headers: ['Content-Type' => 'application/x-tar']);
        $response->setContentDisposition(ResponseHeaderBag::DISPOSITION_ATTACHMENT, 'periplus-'.$name);
        $this->audit->add($user->id(), 'gym.backup', t('downloaded the backup {name}', name: $name), 'status');

        return $response;
    }

    /** Restores a backup to a copy; the gym does not change. */
    #[Route('/api/backups/{name<[a-z0-9.-]{1,60}>}/look', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function look(string $name): JsonResponse
    {
        $this->path($name);

        return $this->asked($this->state->ask(MaintenanceJob::Look, $name));
    }

    /** Replaces the gym with the copy, after a backup; everybody has to sign in again. */
    #[Route('/api/backups/copy/take', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function take(#[CurrentUser] User $user): JsonResponse
    {
        if (null === $this->state->copy()) {
            throw new Conflict('no-copy', t('There is no restored copy. Restore a backup to a copy first.'));
        }
        $this->audit->add($user->id(), 'gym.restored', t('replaced the gym with a restored copy'), 'status');

        return $this->asked($this->state->ask(MaintenanceJob::Take));
    }

    #[Route('/api/backups/copy/discard', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function discard(): JsonResponse
    {
        return $this->asked($this->state->ask(MaintenanceJob::Discard));
    }

    /** Replaces the demo with a new gym, after a backup. */
    #[Route('/api/gym/found', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function found(#[MapRequestPayload(acceptFormat: 'json')] FoundRequest $request): JsonResponse
    {
        if (GymKind::Demo !== $this->gyms->get()->kind()) {
            throw new Conflict(
                'not-the-demo',
                t('This is a gym of your own already. Only the demo is replaced from here.'),
            );
        }

        return $this->asked($this->state->ask(MaintenanceJob::Found, PlainText::line($request->name)));
    }

    /**
     * Returns the progress of a job. Its key, which only the requesting client has, replaces the sign-in, because a
     * restore ends every login session.
     */
    #[Route('/api/jobs/{key<[0-9a-f]{32}>}', methods: 'GET')]
    public function progress(string $key): JsonResponse
    {
        return new JsonResponse($this->state->progress($key) ?? throw new NotFound(t('There is no such job.')));
    }

    private function path(string $name): string
    {
        return $this->state->backup($name) ?? throw new NotFound(t('This backup no longer exists.'));
    }

    private function asked(string $key): JsonResponse
    {
        return new JsonResponse(['job' => $key], 202);
    }

    private function databaseBytes(): int
    {
        $bytes = $this->entities
            ->getConnection()
            ->fetchOne(
                'SELECT SUM(data_length + index_length) FROM information_schema.tables WHERE table_schema = DATABASE()',
            );

        return is_numeric($bytes) ? (int) $bytes : 0;
    }
}
