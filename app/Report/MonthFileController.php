<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Account\User;
use Periplus\App\Exchange\Csv;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Logbook\LogEntries;
use Periplus\App\Logbook\Period;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Print\FileResponse;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Exports a month of the logbook. */
final readonly class MonthFileController
{
    public function __construct(
        private LogEntries $entries,
        private MonthReport $months,
        private GymNumberings $numberings,
    ) {
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
            $tenth = static fn (float $number): string => (string) round($number, 1);
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
                $tenth($figures->strikes()),
                $tenth($figures->side(Side::Left)),
                $tenth($figures->side(Side::Right)),
                $tenth($figures->target(Target::Head)),
                $tenth($figures->target(Target::Body)),
                $tenth($figures->target(Target::Leg)),
                $minutes($figures->stanceMs(Stance::Orthodox)),
                $minutes($figures->stanceMs(Stance::Southpaw)),
                $tenth($figures->openings()),
                $tenth($figures->jabOpenings()),
                Csv::several($entry->combinationNames()),
                (string) \count($entry->fallen()),
                $entry->note(),
            ]);
        }

        return FileResponse::create(implode('', $lines), 'text/csv', 'month '.$month.'.csv');
    }
}
