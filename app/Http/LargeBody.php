<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\HttpFoundation\Request;

/** Marks a route that takes a larger body than others, such as a file. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class LargeBody
{
    /** Maximum size of the body where a route says nothing, in bytes. */
    private const USUAL_BYTES = 65_536;

    public function __construct(private int $maxBytes)
    {
    }

    /** Returns the maximum size of a request's body, in bytes; the route must be known. */
    public static function maxBytes(Request $request): int
    {
        $controller = $request->attributes->get('_controller');
        if (!\is_string($controller) || !str_contains($controller, '::')) {
            return self::USUAL_BYTES;
        }
        $marks = (new \ReflectionMethod(...explode('::', $controller, 2)))->getAttributes(self::class);

        return [] === $marks ? self::USUAL_BYTES : $marks[0]->newInstance()->maxBytes;
    }
}
