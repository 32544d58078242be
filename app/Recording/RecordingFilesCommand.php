<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Moves the files of recordings between the folder, where backups have them, and the database. */
#[AsCommand(name: 'recording:files')]
final class RecordingFilesCommand extends Command
{
    public function __construct(
        private readonly Recordings $recordings,
        private readonly RecordingFolder $folder,
        private readonly RecordingParts $parts,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('to', InputArgument::REQUIRED, '"folder" or "database"');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        foreach ($this->recordings->all() as $recording) {
            $name = $recording->fileName();
            if ('folder' === $input->getArgument('to')) {
                // Fetches it where it is missing.
                $this->folder->has($name);
            } elseif (is_file($this->folder->path($name)) && !$this->parts->has($name)) {
                $this->parts->store($name, $this->folder->path($name));
            }
        }

        return self::SUCCESS;
    }
}
