<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Http\PlainText;
use Periplus\App\Print\Sheet;

use function Periplus\Core\Language\t;

/** Prints a month on one A4 page, in mm. */
final readonly class MonthSheet
{
    private const MARGIN = 14.0;
    private const WIDTH = 210 - 2 * self::MARGIN;
    private const INK = [28, 36, 49];
    private const PALE = [86, 91, 102];
    private const BAR = [31, 78, 121];
    private const BAR_TWO = [196, 120, 32];

    /** @return string the PDF */
    public function render(Month $month): string
    {
        $title = (new \DateTimeImmutable($month->month.'-01'))->format('F Y');
        $pdf = new Sheet('P', $month->gym.', '.$title, self::MARGIN);
        $pdf->setAutoPageBreak(false);
        $this->write($pdf, Sheet::WORDS, 11, $month->gym, self::PALE);
        $this->write($pdf, Sheet::NUMBERS, 30, $title);
        $this->write(
            $pdf,
            Sheet::WORDS,
            10,
            t(
                '{sessions}, {minutes} of work{athletes}{effort}. The month before: {sessionsBefore}, {minutesBefore}.',
                sessions: self::sessions($month->sessions),
                minutes: self::minutes($month->workMs),
                athletes: null === $month->athletes
                    ? ''
                    : t(', {athletes} athletes a session', athletes: $month->athletes),
                effort: null === $month->effort
                    ? ''
                    : t(', felt {effort} of 10', effort: \sprintf('%.1f', $month->effort)),
                sessionsBefore: self::sessions($month->before->sessions),
                minutesBefore: self::minutes($month->before->workMs),
            ),
            self::PALE,
        );
        $pdf->Ln(3);
        $this->head($pdf, t('Minutes of work, day by day'));
        $this->columns(
            $pdf,
            array_map(
                static fn (DayTime $day): array => [substr($day->day, 8), $day->workMs / 60_000],
                $month->days,
            ),
            26,
        );
        $pdf->Ln(3);
        $y = $pdf->GetY();
        $half = self::WIDTH / 2 - 4;
        $this->head($pdf, t('Strikes of one athlete, by weapon'));
        $weapons = $month->sum->weapons->getArrayCopy();
        arsort($weapons);
        $this->bars(
            $pdf,
            self::MARGIN,
            $half,
            array_map(
                static fn (string $name, float $count): array => [$name, $count, self::number($count)],
                array_keys($weapons),
                array_values($weapons),
            ),
            10,
        );
        $left = $pdf->GetY();
        $pdf->setXY(self::MARGIN + $half + 8, $y);
        $this->head($pdf, t('Courses'));
        $this->bars(
            $pdf,
            self::MARGIN + $half + 8,
            $half,
            array_map(
                static fn (CourseTime $course): array => [
                    $course->name,
                    (float) $course->workMs,
                    t(
                        '{sessions}, {minutes}',
                        sessions: $course->sessions,
                        minutes: self::minutes($course->workMs),
                    ),
                ],
                $month->courses,
            ),
            6,
            0.52,
            30,
        );
        $pdf->Ln(2);
        $bs = [
            ['left', 'right', $month->sum->sides['left'], $month->sum->sides['right']],
            [
                'hands, elbows',
                'kicks, knees',
                $month->sum->limbs['hand'] + $month->sum->limbs['elbow'],
                $month->sum->limbs['leg'] + $month->sum->limbs['knee'],
            ],
            [
                'orthodox',
                'southpaw',
                (float) $month->sum->stanceMs['orthodox'],
                (float) $month->sum->stanceMs['southpaw'],
            ],
            [
                t('opened with a jab'),
                t('with another'),
                $month->sum->jabOpenings,
                $month->sum->openings - $month->sum->jabOpenings,
            ],
        ];
        foreach ($bs as [$one, $other, $a, $b]) {
            $this->share($pdf, self::MARGIN + $half + 8, $half, $one, $other, $a, $b);
        }
        $pdf->setXY(self::MARGIN, max($left, $pdf->GetY()) + 3);
        $y = $pdf->GetY();
        $third = (self::WIDTH - 10) / 3;
        $lowest = $y;
        $x = self::MARGIN;
        $rowses = [
            'Drilled most' => $month->most,
            'Fell apart' => $month->fell,
            'Not drilled recently' => $month->neglected,
        ];
        foreach ($rowses as $head => $rows) {
            $pdf->setXY($x, $y);
            $this->head($pdf, $head);
            foreach ($rows as $row) {
                $pdf->setX($x);
                $this->cell($pdf, $third * 0.66, self::short($row->combination->name, 26), self::INK);
                $this->cell($pdf, $third * 0.34, match ($head) {
                    'Drilled most' => self::minutes($row->ms),
                    'Fell apart' => $row->fell.' of '.$row->times,
                    default => $row->last,
                }, self::PALE, 'R');
                $pdf->Ln(5);
            }
            if ([] === $rows) {
                $pdf->setX($x);
                $this->cell($pdf, $third, 'nothing', self::PALE);
                $pdf->Ln(5);
            }
            $lowest = max($lowest, $pdf->GetY());
            $x += $third + 5;
        }
        $pdf->setXY(self::MARGIN, $lowest + 3);
        if ([] !== $month->faults) {
            $this->head($pdf, t('Faults that were seen'));
            foreach ($month->faults as $seen) {
                $this->write($pdf, Sheet::WORDS, 10, '• '.t(
                    '{fault}, in {times, plural, one {# session} other {# sessions}}{mend}',
                    fault: $seen->fault,
                    times: $seen->times,
                    mend: null === $seen->mend ? '' : ': '.$seen->mend,
                ));
            }
            $pdf->Ln(2);
        }
        if ([] !== $month->findings) {
            $this->head($pdf, t('To be reviewed'));
            foreach ($month->findings as $finding) {
                $this->write($pdf, Sheet::WORDS, 10, '• '.$finding);
            }
        }
        $pdf->setXY(self::MARGIN, 297 - 14);
        $this->write(
            $pdf,
            Sheet::WORDS,
            7.5,
            t(
                'Strikes are counted from what the walls showed and coaches wrote down, for one athlete who attended '
                    .'everything. Head contact, youth and spinning strikes: the sport body’s rules, the licensed '.
                    'coach and the physician decide.',
            ),
            self::PALE,
        );

        return $pdf->Output('', 'S');
    }

    private function head(Sheet $pdf, string $text): void
    {
        $x = $pdf->GetX();
        $this->write($pdf, Sheet::NUMBERS, 13, $text);
        $pdf->setX($x);
    }

    /** @param list<array{string, float}> $columns name and height */
    private function columns(Sheet $pdf, array $columns, float $height): void
    {
        $most = max([1.0, ...array_column($columns, 1)]);
        $width = self::WIDTH / max(1, \count($columns));
        $foot = $pdf->GetY() + $height;
        foreach ($columns as $index => [$name, $value]) {
            $tall = (($height - 8) * $value) / $most;
            $pdf->Rect(
                self::MARGIN + $index * $width + 0.6,
                $foot - 4 - $tall,
                $width - 1.2,
                $tall,
                'F',
                [],
                self::BAR,
            );
            if ($value > 0) {
                $pdf->setXY(self::MARGIN + $index * $width, $foot - 8 - $tall);
                $this->cell($pdf, $width, (string) round($value), self::PALE, 'C', 6.5);
            }
            $pdf->setXY(self::MARGIN + $index * $width, $foot - 4);
            $this->cell($pdf, $width, ltrim($name, '0'), self::PALE, 'C', 6.5);
        }
        $pdf->setXY(self::MARGIN, $foot);
    }

    /** @param list<array{string, float, string}> $bars name, length and the text after it */
    private function bars(
        Sheet $pdf,
        float $x,
        float $width,
        array $bars,
        int $most,
        float $names = 0.4,
        int $letters = 22,
    ): void {
        $bars = \array_slice(array_filter($bars, static fn (array $bar): bool => $bar[1] > 0), 0, $most);
        $longest = max([1.0, ...array_column($bars, 1)]);
        foreach ($bars as [$name, $value, $says]) {
            $pdf->setX($x);
            $this->cell($pdf, $names * $width, self::short($name, $letters), self::INK);
            $y = $pdf->GetY();
            $pdf->Rect(
                $x + $names * $width,
                $y + 0.9,
                ((0.76 - $names) * $width * $value) / $longest,
                3.2,
                'F',
                [],
                self::BAR,
            );
            $pdf->setXY($x + 0.77 * $width, $y);
            $this->cell($pdf, 0.23 * $width, $says, self::PALE, 'R');
            $pdf->setXY($x, $y + 5);
        }
    }

    private function share(Sheet $pdf, float $x, float $width, string $one, string $other, float $a, float $b): void
    {
        $all = $a + $b;
        if ($all <= 0) {
            return;
        }
        $y = $pdf->GetY();
        $part = $width * $a / $all;
        $pdf->Rect($x, $y + 4.4, $part, 2.4, 'F', [], self::BAR);
        $pdf->Rect($x + $part, $y + 4.4, $width - $part, 2.4, 'F', [], self::BAR_TWO);
        $pdf->setXY($x, $y);
        $this->cell($pdf, $width / 2, t('{one} {a} %', one: $one, a: round(100 * $a / $all)), self::INK, 'L', 8);
        $this->cell($pdf, $width / 2, t('{b} % {other}', b: round(100 * $b / $all), other: $other), self::INK, 'R', 8);
        $pdf->setXY($x, $y + 8);
    }

    /** @param array{int, int, int} $tone */
    private function cell(
        Sheet $pdf,
        float $width,
        string $text,
        array $tone,
        string $align = 'L',
        float $points = 9,
    ): void {
        $text = PlainText::line($text);
        $pdf->useFont(Sheet::WORDS, $points, $text);
        $pdf->setTextColor(...$tone);
        $pdf->Cell($width, 5, $text, 0, 0, $align);
    }

    /** @param array{int, int, int} $tone */
    private function write(Sheet $pdf, string $font, float $points, string $text, array $tone = self::INK): void
    {
        $text = PlainText::lines($text);
        $pdf->useFont($font, $points, $text);
        $pdf->setTextColor(...$tone);
        $pdf->MultiCell(0, 0, $text, 0, 'L', false, 1, $pdf->GetX());
    }

    private static function sessions(int $count): string
    {
        return 1 === $count ? t('one session') : $count.' sessions';
    }

    private static function minutes(int $ms): string
    {
        $minutes = (int) round($ms / 60_000);

        return $minutes < 120
            ? $minutes.' min'
            : t(
                '{minutes} h {minutesBefore}',
                minutes: intdiv($minutes, 60),
                minutesBefore: \sprintf('%02d', $minutes % 60),
            );
    }

    private static function number(float $value): string
    {
        return number_format($value);
    }

    private static function short(string $text, int $most): string
    {
        return mb_strimwidth($text, 0, $most, '…');
    }
}
