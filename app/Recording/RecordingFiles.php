<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Periplus\App\Store\NotFound;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

use function Periplus\Core\Language\t;

/** Makes answers of the files of recordings, whole or in the ranges that a player asks for. */
final readonly class RecordingFiles
{
    public function __construct(private RecordingFolder $folder)
    {
    }

    /** @throws NotFound when its file is not there */
    public function response(Recording $recording): BinaryFileResponse
    {
        if (!$this->folder->has($recording->fileName())) {
            throw new NotFound(t(
                'The file of this recording is missing, as after a restore from a backup without recordings.',
            ));
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
     * Makes an answer of one of several recordings.
     *
     * @param list<Recording> $among what the key in the URL opens
     *
     * @throws NotFound when it is none of them
     */
    public function responseAmong(array $among, int $id): BinaryFileResponse
    {
        foreach ($among as $recording) {
            if ($recording->id() === $id) {
                return $this->response($recording);
            }
        }
        throw new NotFound(t('There is no such recording here.'));
    }
}
