<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final readonly class PingController
{
    /** Says that the server answers, and nothing else; the measure for other routes in bin/periplus benchmark. */
    #[Route('/api/ping', methods: ['GET', 'POST'])]
    public function __invoke(): Response
    {
        return new Response(status: 204);
    }
}
