<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Periplus\App\Store\CurrentGym;
use Periplus\App\Store\DiskFull;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The files of recordings, in a folder of the gym's state. A file is named by the SHA-256 digest of its content and
 * eight random hex digits: so it never changes, no two recordings share one, and a backup can check it. Where there are
 * several web servers, the files are in the database, and the folder has copies of those that were played here.
 */
final readonly class RecordingFolder
{
    /** How long a file is kept that nothing refers to, in s: a backup that is looked at may refer to it. */
    private const UNUSED_SECONDS = 30 * 86_400;

    public function __construct(
        #[Autowire('%env(PERIPLUS_STATE)%/recordings')] private string $folder,
        private CurrentGym $gym,
        #[Autowire('%env(bool:RECORDINGS_IN_DATABASE)%')] private bool $isShared,
        private RecordingParts $parts,
    ) {
    }

    public function path(string $name): string
    {
        return $this->folder().'/'.$name;
    }

    /** Tells whether the file is there; one that another web server took is fetched. */
    public function has(string $name): bool
    {
        if (!is_file($this->path($name)) && $this->isShared) {
            $this->make();
            $this->parts->fetch($name, $this->path($name));
        }

        return is_file($this->path($name));
    }

    /**
     * Writes a file under another name, to be checked before it is kept.
     *
     * @return string its path, for {@see keep}
     *
     * @throws DiskFull when not all of it could be written
     */
    public function write(string $content): string
    {
        $folder = $this->make();
        $path = $folder.'/incoming-'.bin2hex(random_bytes(8));
        $file = @fopen($path, 'x');
        // It is on the disk before anybody is told that it is kept.
        $isWritten = false !== $file && \strlen($content) === @fwrite($file, $content) && @fsync($file);
        if (false !== $file) {
            fclose($file);
        }
        if (!$isWritten) {
            @unlink($path);
            throw new DiskFull();
        }

        return $path;
    }

    /**
     * Keeps a written file.
     *
     * @param string $path as {@see write} returned it
     *
     * @return string its name from then on
     */
    public function keep(string $path): string
    {
        $name = hash_file('sha256', $path).'-'.bin2hex(random_bytes(4));
        if ($this->isShared) {
            $this->parts->store($name, $path);
        }
        rename($path, $this->path($name));

        return $name;
    }

    public function remove(string $name): void
    {
        @unlink($this->path($name));
        if ($this->isShared) {
            $this->parts->remove($name);
        }
    }

    /**
     * Deletes the files that nothing has referred to for a while, and what an interrupted request left.
     *
     * @param list<string> $used names of the files that are referred to
     */
    public function sweep(array $used): void
    {
        $used = array_fill_keys($used, true);
        $folder = $this->folder();
        $files = @scandir($folder);
        foreach (false === $files ? [] : $files as $name) {
            $isKept = isset($used[$name]) || \in_array($name, ['.', '..'], true);
            if (!$isKept && (int) @filemtime($folder.'/'.$name) < time() - self::UNUSED_SECONDS) {
                @unlink($folder.'/'.$name);
            }
        }
    }

    private function folder(): string
    {
        return $this->gym->folder($this->folder);
    }

    /** @return string the folder, made where it is missing */
    private function make(): string
    {
        $folder = $this->folder();
        if (!is_dir($folder)) {
            @mkdir($folder, 0o700, true);
        }

        return $folder;
    }
}
