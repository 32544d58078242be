<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final readonly class PingController
{
    /** Answers with an empty response; bin/periplus benchmark compares other routes with it. */
    #[Route('/api/ping', methods: ['GET', 'POST'])]
    public function __invoke(): Response
    {
        return new Response(status: 204);
    }
}
