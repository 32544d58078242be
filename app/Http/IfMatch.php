<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\HttpFoundation\Request;

use function Periplus\Core\Language\t;

/** Reads the version on which a write is based from the If-Match header. */
final readonly class IfMatch
{
    /** @throws ApiProblem when it names none */
    public static function version(Request $request): int
    {
        $header = (string) $request->headers->get('If-Match');
        if (1 !== preg_match('/^(?:W\/)?"(\d{1,9})"$/', trim($header), $found)) {
            throw new ApiProblem(428, 'version-missing', t('Say which version this was made from, in If-Match.'));
        }

        return (int) $found[1];
    }
}
