<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Periplus\App\Store\NotFound;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

use function Periplus\Core\Language\t;

/** Answers with the file of a recording, whole or in the ranges that a player asks for. */
final readonly class RecordingResponse
{
    public function __construct(private RecordingFolder $folder)
    {
    }

    /** @throws NotFound when its file is not there */
    public function to(Recording $recording): BinaryFileResponse
    {
        if (!$this->folder->has($recording->fileName())) {
            throw new NotFound(t('The file of this recording is not there. It was in no backup that was restored.'));
        }

        // The web server sends it where it says that it can.
        BinaryFileResponse::trustXSendfileTypeHeader();

        return new BinaryFileResponse(
            $this->folder->path($recording->fileName()),
            headers: ['Content-Type' => $recording->mediaType()],
            autoLastModified: false,
        );
    }

    /**
     * Answers with one of several recordings.
     *
     * @param list<Recording> $among what the key in the URL opens
     *
     * @throws NotFound when it is none of them
     */
    public function among(array $among, int $id): BinaryFileResponse
    {
        foreach ($among as $recording) {
            if ($recording->id() === $id) {
                return $this->to($recording);
            }
        }
        throw new NotFound(t('There is no such recording here.'));
    }
}
