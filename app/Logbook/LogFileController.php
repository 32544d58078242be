<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Account\User;
use Periplus\App\Exchange\Csv;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Print\FileResponse;
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

/** Exports and imports the logbook and its months as files. */
final readonly class LogFileController
{
    public function __construct(
        private LogFiles $files,
        private LogEntries $entries,
        private MonthReport $months,
        private GymNumberings $numberings,
    ) {
    }

    #[Route('/api/logbook/logbook.json', methods: 'GET')]
    #[HeavyWork]
    public function json(): Response
    {
        return self::stream($this->files->json(), 'application/json', 'logbook.json');
    }

    #[Route('/api/logbook/logbook.csv', methods: 'GET')]
    #[HeavyWork]
    public function csv(): Response
    {
        return self::stream($this->files->csv(), 'text/csv; charset=UTF-8', 'logbook.csv');
    }

    #[Route('/api/logbook/import', methods: 'POST')]
    #[IsGranted(Permission::ManageLogbook->value)]
    #[HeavyWork]
    public function import(
        Request $request,
        #[CurrentUser] User $user,
        #[MapQueryParameter] int $from = 0,
    ): JsonResponse {
        return new JsonResponse($this->files->import($request->getContent(), $user, max(0, $from)));
    }

    #[Route('/api/reports/month.pdf/{month<\d{4}-\d\d>}', methods: 'GET')]
    #[HeavyWork]
    public function monthSheet(string $month, MonthSheet $sheet, #[CurrentUser] User $user): Response
    {
        return FileResponse::create(
            $sheet->render($this->months->compute($month, $this->numberings->forUser($user))),
            'application/pdf',
            'month '.$month.'.pdf',
        );
    }

    /** Returns the sessions of a month as CSV. */
    #[Route('/api/reports/month.csv/{month<\d{4}-\d\d>}', methods: 'GET')]
    public function monthTable(string $month): Response
    {
        $period = Period::month($month);
        $lines = [
            Csv::line([
                'day',
                'session',
                'course',
                'coach',
                'minutes',
                'orthodox',
                'southpaw',
                'effort',
                'strikes',
                'left',
                'right',
                'head',
                'body',
                'leg',
                'orthodoxMinutes',
                'southpawMinutes',
                'openings',
                'jabOpenings',
                'combinations',
                'fellApart',
                'note',
            ]),
        ];
        foreach ($this->entries->between($period->from, $period->to) as $entry) {
            $figures = $entry->figures();
            $figure = static fn (string $name): string => (string) round($figures[$name] ?? 0.0, 1);
            $minutes = static fn (float $ms): string => (string) round($ms / 60_000, 1);
            $lines[] = Csv::line([
                $entry->day(),
                $entry->name(),
                $entry->course()?->name() ?? '',
                $entry->coachName(),
                $minutes($entry->workMs()),
                (string) $entry->attendance()->orthodox,
                (string) $entry->attendance()->southpaw,
                (string) $entry->effort(),
                $figure('strikes'),
                $figure('side left'),
                $figure('side right'),
                $figure('target head'),
                $figure('target body'),
                $figure('target leg'),
                $minutes($figures['stance orthodox'] ?? 0.0),
                $minutes($figures['stance southpaw'] ?? 0.0),
                $figure('openings'),
                $figure('openings jab'),
                Csv::several($entry->combinationNames()),
                (string) \count($entry->fallen()),
                $entry->note(),
            ]);
        }

        return FileResponse::create(implode('', $lines), 'text/csv', 'month '.$month.'.csv');
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
