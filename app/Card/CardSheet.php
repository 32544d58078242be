<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\App\Http\PlainText;
use Periplus\App\Print\LineSvg;
use Periplus\App\Print\Sheet;

use function Periplus\Core\Language\t;

/** Prints a card for an athlete on A4, in mm, with as many combinations a page as fit. */
final readonly class CardSheet
{
    private const MARGIN = 14.0;
    private const WIDTH = 210 - 2 * self::MARGIN;
    private const LINE_HEIGHT = 30.0;

    public function __construct(private CardSerializer $serializer)
    {
    }

    /** @return string the PDF */
    public function render(Card $card, string $gym): string
    {
        $document = $this->serializer->serialize($card, $gym);
        $pdf = new Sheet('P', $card->name(), self::MARGIN);
        $pdf->setAutoPageBreak(false);
        $this->write($pdf, Sheet::WORDS, 10, $gym, 90);
        $this->write($pdf, Sheet::NUMBERS, 28, $card->name(), 255);
        $this->write(
            $pdf,
            Sheet::WORDS,
            10,
            t(
                '{stance} stance · numbers: {numbering}',
                stance: ucfirst($card->content()->stance->value),
                numbering: $document->numbering,
            ),
            90,
        );
        $pdf->Ln(4);
        foreach ($document->combinations as $row) {
            $pdf->useFont(Sheet::WORDS, 11, implode(', ', $row->words));
            $height = 26 + self::LINE_HEIGHT + 5.2 * $pdf->getNumLines(implode(', ', $row->words), self::WIDTH);
            if ($pdf->GetY() + $height > 297 - 22) {
                $this->foot($pdf);
                $pdf->AddPage();
            }
            $this->write($pdf, Sheet::WORDS, 11, $row->name, 90);
            $this->write($pdf, Sheet::NUMBERS, 26, strtr($row->numbers, [' ' => '  ']), 255);
            $svg = new LineSvg(
                $row->line,
                (self::WIDTH * $row->line->height) / self::LINE_HEIGHT,
                $card->content()->stance,
                Sheet::NUMBERS,
                Sheet::WORDS,
                false,
            );
            $scale = min(self::WIDTH / $svg->width, self::LINE_HEIGHT / $svg->height());
            $y = $pdf->GetY() + 1;
            $pdf->ImageSVG(
                '@'.$svg->write($row->name),
                self::MARGIN,
                $y,
                $svg->width * $scale,
                $svg->height() * $scale,
            );
            $pdf->setY($y + $svg->height() * $scale + 1);
            $this->write($pdf, Sheet::WORDS, 11, implode(', ', $row->words), 255);
            if ([] !== $row->reminders) {
                $this->write(
                    $pdf,
                    Sheet::WORDS,
                    9,
                    t('Think of: {reminders}', reminders: implode(' · ', $row->reminders)),
                    90,
                );
            }
            $pdf->Ln(4);
        }
        $this->foot($pdf);

        return $pdf->Output('', 'S');
    }

    private function foot(Sheet $pdf): void
    {
        $pdf->setXY(self::MARGIN, 297 - 16);
        $this->write(
            $pdf,
            Sheet::WORDS,
            7.5,
            t('Slow and clean first. Not to the head of a partner, and no spinning strikes, without your coach. When '
                .'something hurts, stop and say so.'),
            90,
        );
    }

    private function write(Sheet $pdf, string $font, float $points, string $text, int $tone): void
    {
        $text = PlainText::lines($text);
        $pdf->useFont($font, $points, $text);
        $tone < 255 ? $pdf->setTextColor(86, 91, 102) : $pdf->setTextColor(28, 36, 49);
        $pdf->MultiCell(0, 0, $text, 0, 'L', false, 1);
    }
}
