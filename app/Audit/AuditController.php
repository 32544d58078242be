<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

use Periplus\App\Security\Permission;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final readonly class AuditController
{
    private const PAGE_SIZE = 50;

    public function __construct(private AuditLog $audit)
    {
    }

    #[Route('/api/audit-log', methods: 'GET')]
    #[IsGranted(Permission::ReadAuditLog->value)]
    public function list(#[MapQueryParameter] int $page = 1, #[MapQueryParameter] string $what = ''): JsonResponse
    {
        return new JsonResponse([
            ...(array) $this->audit->page(max(1, min($page, 100_000)), self::PAGE_SIZE, mb_substr($what, 0, 20)),
            'size' => self::PAGE_SIZE,
        ]);
    }
}
