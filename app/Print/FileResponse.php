<?php

declare(strict_types=1);

namespace Periplus\App\Print;

use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response;

/** A download with a file name that every system accepts. */
final class FileResponse
{
    public static function create(string $content, string $type, string $name): Response
    {
        $plain = (string) preg_replace('/[^A-Za-z0-9._ -]+/', '-', $name);

        return new Response($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => HeaderUtils::makeDisposition(
                HeaderUtils::DISPOSITION_ATTACHMENT,
                strtr($name, ['/' => '-', '\\' => '-']),
                strtr($plain, ['%' => '-']),
            ),
        ]);
    }
}
