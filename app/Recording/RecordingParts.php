<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/**
 * The files of recordings in the database, for several web servers: the folder of each then has a copy of what was
 * played there.
 *
 * @extends ServiceEntityRepository<RecordingPart>
 */
final class RecordingParts extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, RecordingPart::class);
    }

    public function has(string $name): bool
    {
        return null !== $this->find(['fileName' => $name, 'number' => 0]);
    }

    /** Stores a file, part by part. */
    public function store(string $name, string $path): void
    {
        $entities = $this->getEntityManager();
        $entities->wrapInTransaction(static function () use ($entities, $name, $path): void {
            $file = new \SplFileObject($path);
            for ($number = 0; !$file->eof(); ++$number) {
                $part = new RecordingPart($name, $number, (string) $file->fread(RecordingPart::BYTES));
                $entities->persist($part);
                $entities->flush();
                $entities->detach($part);
            }
        });
    }

    /** Writes a stored file to a path, under another name until it is complete. */
    public function fetch(string $name, string $path): void
    {
        $incoming = $path.'.'.bin2hex(random_bytes(4));
        $number = 0;
        while (null !== ($part = $this->find(['fileName' => $name, 'number' => $number]))) {
            file_put_contents($incoming, $part->content(), \FILE_APPEND);
            $this->getEntityManager()->detach($part);
            ++$number;
        }
        if ($number > 0) {
            rename($incoming, $path);
        }
    }

    public function remove(string $name): void
    {
        $this->getEntityManager()
            ->createQuery('DELETE FROM '.RecordingPart::class.' p WHERE p.fileName = :name')
            ->execute(['name' => $name]);
    }
}
