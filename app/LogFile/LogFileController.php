<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

use Periplus\App\Account\User;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\LargeBody;
use Periplus\App\Security\Permission;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Exports and imports the logbook. */
final readonly class LogFileController
{
    /** Maximum size of an imported logbook, in bytes. */
    private const MAX_IMPORT_BYTES = 4_194_304;

    public function __construct(private LogExport $export, private LogImport $import)
    {
    }

    #[Route('/api/logbook/logbook.json', methods: 'GET')]
    #[HeavyWork]
    public function json(): Response
    {
        return self::stream($this->export->json(), 'application/json', 'logbook.json');
    }

    #[Route('/api/logbook/logbook.csv', methods: 'GET')]
    #[HeavyWork]
    public function csv(): Response
    {
        return self::stream($this->export->csv(), 'text/csv; charset=UTF-8', 'logbook.csv');
    }

    #[Route('/api/logbook/import', methods: 'POST')]
    #[LargeBody(self::MAX_IMPORT_BYTES)]
    #[IsGranted(Permission::ManageLogbook->value)]
    #[HeavyWork]
    public function import(
        Request $request,
        #[CurrentUser] User $user,
        #[MapQueryParameter] int $from = 0,
    ): JsonResponse {
        return new JsonResponse($this->import->import($request->getContent(), $user, max(0, $from)));
    }

    /** @param iterable<string> $parts */
    private static function stream(iterable $parts, string $type, string $name): Response
    {
        return new StreamedResponse(
            static function () use ($parts): void {
                foreach ($parts as $part) {
                    echo $part;
                }
            },
            200,
            [
                'Content-Type' => $type,
                'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, $name),
            ],
        );
    }
}
