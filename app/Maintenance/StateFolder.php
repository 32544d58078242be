<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

use Periplus\App\Store\Conflict;
use Periplus\App\Store\CurrentGym;
use Periplus\App\Store\Instant;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;

use function Periplus\Core\Language\t;

/**
 * The folder in which bin/start keeps this gym, as far as the web server may read it: the backups, and the two folders
 * through which the page and bin/keeper communicate.
 */
final readonly class StateFolder
{
    private const BACKUP = '/^(nightly|by-hand|before-upgrade|before-restore|demo)-[0-9-]{8,20}\.tar$/D';
    private const COPY_BYTES = 1_000_000;

    private Filesystem $files;

    public function __construct(
        #[Autowire('%env(PERIPLUS_STATE)%')] private string $folder,
        private CurrentGym $gym,
    ) {
        $this->files = new Filesystem();
    }

    /** Tells whether bin/keeper makes the backups of this gym; behind several web servers an administrator does. */
    public function hasKeeper(): bool
    {
        return is_dir($this->folder().'/told');
    }

    /** @return list<Backup> the newest first */
    public function backups(): array
    {
        $backups = [];
        $files = glob($this->folder().'/backups/*.tar');
        foreach (false === $files ? [] : $files as $file) {
            if (1 === preg_match(self::BACKUP, basename($file), $kind)) {
                $backups[] = new Backup(
                    basename($file),
                    $kind[1],
                    (int) filesize($file),
                    new Instant(new \DateTimeImmutable('@'.filemtime($file))),
                );
            }
        }
        usort($backups, static fn (Backup $one, Backup $other): int => $other->madeAt->time <=> $one->madeAt->time);

        return $backups;
    }

    /** Returns the path of a backup; null when there is none with that name. */
    public function backup(string $name): ?string
    {
        $path = $this->folder().'/backups/'.$name;

        return 1 === preg_match(self::BACKUP, $name) && is_file($path) ? $path : null;
    }

    public function disk(): Disk
    {
        $folder = is_dir($this->folder()) ? $this->folder() : sys_get_temp_dir();

        return new Disk((int) disk_free_space($folder), (int) disk_total_space($folder));
    }

    /**
     * Requests a job from bin/keeper.
     *
     * @return string by which to ask how it went, 32 hex digits
     *
     * @throws Conflict where there is no keeper
     */
    public function ask(MaintenanceJob $job, string $argument = ''): string
    {
        if (!$this->hasKeeper()) {
            throw new Conflict(
                'no-keeper',
                t('Backups of this gym are made and restored by the people who run its servers. Ask them.'),
            );
        }
        $key = bin2hex(random_bytes(16));
        // Written under another name and renamed, because the keeper picks up files that end in ".ask".
        $this->files->dumpFile($this->folder().'/asked/'.$key.'.ask', trim($job->value.' '.$argument)."\n");

        return $key;
    }

    /** Returns the progress of a job; null when it was not requested, or long ago. */
    public function progress(string $key): ?JobProgress
    {
        $told = $this->folder().'/told/'.$key;
        if (is_file($told)) {
            [$state, $sentence, $link] = [...explode("\n", $this->files->readFile($told), 3), '', ''];

            return new JobProgress($state, trim($sentence), '' === trim($link) ? null : trim($link));
        }

        return is_file($this->folder().'/asked/'.$key.'.ask') ? new JobProgress('waiting', '', null) : null;
    }

    /** @return array<string, mixed>|null what bin/keeper says of the restored copy: file, made, summary */
    public function copy(): ?array
    {
        $file = $this->folder().'/told/copy.json';
        if (!is_file($file) || filesize($file) > self::COPY_BYTES) {
            return null;
        }
        /** @var array<string, mixed>|null $copy */
        $copy = json_decode($this->files->readFile($file), true);

        return $copy;
    }

    private function folder(): string
    {
        return $this->gym->folder($this->folder);
    }
}
