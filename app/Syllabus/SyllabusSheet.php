<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\App\Http\PlainText;
use Periplus\App\Print\Sheet;

use function Periplus\Core\Language\t;

/** Prints a syllabus on A4, in mm. */
final readonly class SyllabusSheet
{
    private const MARGIN = 14.0;

    /** @return string the PDF */
    public function render(SyllabusDocument $syllabus): string
    {
        $pdf = new Sheet('P', $syllabus->name, self::MARGIN);
        $this->write($pdf, Sheet::NUMBERS, 26, $syllabus->name, 255);
        $this->write($pdf, Sheet::WORDS, 10, t('{count} weeks', count: \count($syllabus->weeks)), 90);
        foreach ($syllabus->weeks as $number => $week) {
            $pdf->Ln(2.5);
            $this->write(
                $pdf,
                Sheet::NUMBERS,
                15,
                t('{number}. {theme}', number: $number + 1, theme: '' === $week->theme ? t('Week') : $week->theme)
                    .(null === $week->monday ? '' : ' · '.$week->monday)
                    .($week->isReached ? ' · '.t('reached') : ''),
                255,
            );
            foreach ($week->combinations as $one) {
                $this->write(
                    $pdf,
                    Sheet::WORDS,
                    10.5,
                    $one->combination->text.'   '.$one->combination->name
                        .([] === $one->new ? '' : '   '.t('new: {links}', links: implode(', ', array_map(
                            static fn (string $link): string => strtr($link, ['→' => '-']),
                            $one->new,
                        )))),
                    255,
                );
            }
            if ('' !== $week->note) {
                $this->write($pdf, Sheet::WORDS, 9, $week->note, 90);
            }
        }

        return $pdf->Output('', 'S');
    }

    private function write(Sheet $pdf, string $font, float $points, string $text, int $tone): void
    {
        $text = PlainText::lines($text);
        $pdf->useFont($font, $points, $text);
        $tone < 255 ? $pdf->setTextColor(86, 91, 102) : $pdf->setTextColor(28, 36, 49);
        $pdf->MultiCell(0, 0, $text, 0, 'L', false, 1);
    }
}
