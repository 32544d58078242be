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

    /** @param bool $isFile whether the body is the bytes of a file, and not JSON */
    public function __construct(private int $maxBytes, private bool $isFile = false)
    {
    }

    /** Returns the maximum size of a request's body, in bytes; the route must be known. */
    public static function maxBytes(Request $request): int
    {
        return self::of($request)->maxBytes ?? self::USUAL_BYTES;
    }

    /** Tells whether the body is the bytes of a file, and not JSON; the route must be known. */
    public static function isFile(Request $request): bool
    {
        return self::of($request)->isFile ?? false;
    }

    private static function of(Request $request): ?self
    {
        $controller = $request->attributes->get('_controller');
        if (!\is_string($controller) || !str_contains($controller, '::')) {
            return null;
        }
        $marks = (new \ReflectionMethod(...explode('::', $controller, 2)))->getAttributes(self::class);

        return [] === $marks ? null : $marks[0]->newInstance();
    }
}
