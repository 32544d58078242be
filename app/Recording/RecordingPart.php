<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Doctrine\ORM\Mapping as ORM;

/** A part of the file of a recording, where several web servers share it by the database. */
#[ORM\Entity(repositoryClass: RecordingParts::class)]
#[ORM\Table(name: 'recording_part')]
class RecordingPart
{
    /** Small enough for a row of any MariaDB. */
    public const BYTES = 1_000_000;

    /** @var resource|string */
    #[ORM\Column(type: 'blob', length: 16_777_215)]
    private $content;

    public function __construct(
        #[ORM\Id, ORM\Column(length: 73, options: ['fixed' => true])]
        private string $fileName,
        #[ORM\Id, ORM\Column]
        private int $number,
        string $content,
    ) {
        $this->content = $content;
    }

    public function fileName(): string
    {
        return $this->fileName;
    }

    public function number(): int
    {
        return $this->number;
    }

    public function content(): string
    {
        return \is_string($this->content) ? $this->content : (string) stream_get_contents($this->content);
    }
}
