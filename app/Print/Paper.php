<?php

declare(strict_types=1);

namespace Periplus\App\Print;

use Periplus\App\Advice\GymAdvice;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\PlainText;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Serializer\CheckSerializer;
use Periplus\Core\Flow\Serializer\FromAboveSerializer;
use Periplus\Core\Flow\Serializer\ItemDocument;
use Periplus\Core\Flow\Serializer\MirrorChangeDocument;
use Periplus\Core\Flow\Serializer\StanceDocument;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Seam;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\FromAbove\FromAbove;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Advice\Fault;
use Periplus\Core\Session\Advice\FaultChoice;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Prints combinations on A4, in mm, with embedded fonts: a card with one combination in both stances, and a wall sheet
 * with many.
 */
final readonly class Paper
{
    public const MAX_COMBINATIONS = 60;
    private const MARGIN = 14.0;
    /** Maximum height of the line on a card and on a wall sheet, in mm. */
    private const MAX_LINE_HEIGHT_ON_CARD = 74.0;
    private const MAX_LINE_HEIGHT_ON_SHEET = 26.0;
    /** Height of a block on a wall sheet with a chain of one line, and of each further line, in mm. */
    private const BLOCK_HEIGHT = 42.0;
    private const EXTRA_LINE_HEIGHT = 9.5;
    /** Distance between lines for handwriting, in mm. */
    private const RULED_LINE_DISTANCE = 9.0;
    /** Space from the legend to the end of the page, in mm. */
    private const FOOT_HEIGHT = 30.0;
    /** How many moments are shown from above in each stance, and their maximum height in mm. */
    private const FROM_ABOVE = 3;
    private const MAX_HEIGHT_FROM_ABOVE = 36.0;
    private const LEGEND = 'Time runs to the right, height is the target. Light with a point: lead; solid: rear; '
        .'hollow: a feint; heavy: hard; touching: together. A coloured gap with its ms is a wait, until weight, '
        .'hips, limb or distance are there. The ribbon is the weight, front foot above; the dashed line the hips. '
        .'Feet from above, dashed where they were. Red: their rear hand and what it reaches.';

    public function __construct(
        private CheckSerializer $serializer,
        private LineRenderer $lines,
        private Reader $reader,
        private GymHouseRules $rules,
        private FromAboveSerializer $fromAbove,
        private Check $check,
        private GymAdvice $advice,
    ) {
    }

    /** @return string the PDF */
    public function card(CombinationSummary $row, Numbering $numbering): string
    {
        return $this->cards([$row], $numbering);
    }

    /**
     * @param non-empty-list<CombinationSummary> $rows
     *
     * @return string the PDF, a page each
     */
    public function cards(array $rows, Numbering $numbering): string
    {
        $pdf = new Sheet('P', 1 === \count($rows) ? $rows[0]->content->name : t('Cards'), self::MARGIN);
        foreach ($rows as $index => $row) {
            if ($index > 0) {
                $pdf->AddPage();
            }
            $this->onePage($pdf, $row, $numbering);
        }

        return $pdf->Output('', 'S');
    }

    private function onePage(Sheet $pdf, CombinationSummary $row, Numbering $numbering): void
    {
        $content = $row->content;
        // What does not fit goes on to another page, and never over the legend.
        $pdf->setAutoPageBreak(true, self::FOOT_HEIGHT);
        $drawn = $this->lines->render($content, $numbering, LineSize::Full);
        $chain = $this->reader->readText(new ChainText($content->notation, $content->stance));
        $options = new CheckOptions($this->rules->named($content->rules));
        $document = $this->serializer->serialize($chain, $options);
        $stances = $document->stances ?? [];

        $this->write($pdf, Sheet::NUMBERS, 30, $content->name, 190);
        $this->write(
            $pdf,
            Sheet::WORDS,
            10,
            t(
                '{rules} rules · level {level}{themes} · by {author}',
                rules: ucfirst(strtr($content->rules, '-', ' ')),
                level: $content->level,
                themes: [] === $content->themes ? '' : ' · '.implode(', ', $content->themes),
                author: $row->author->name,
            ),
            90,
        );
        $pdf->Ln(3);
        $this->write($pdf, Sheet::NUMBERS, 40, self::apart($drawn->text), 255);
        if ('parity' !== $numbering->id) {
            $this->write($pdf, Sheet::WORDS, 8, 'Numbers: '.$numbering->name, 90);
        }
        $pdf->Ln(2);
        $this->line(
            $pdf,
            $drawn->line,
            $content,
            self::MARGIN,
            $pdf->GetY(),
            210 - 2 * self::MARGIN,
            self::MAX_LINE_HEIGHT_ON_CARD,
        );
        $pdf->Ln(5);
        foreach ([$content->stance, $content->stance->other()] as $stance) {
            $inStance = $stances[$stance->value];
            $this->write(
                $pdf,
                Sheet::NUMBERS,
                18,
                ucfirst($stance->value).($stance === $content->stance ? '' : ', mirrored'),
                255,
            );
            $words = array_map(
                static fn (string $word, array $contacts): string => $word
                    .([] === $contacts ? '' : ' ('.implode(', ', $contacts).')'),
                $inStance->words,
                $inStance->contacts,
            );
            $this->write($pdf, Sheet::WORDS, 12.5, implode(',  ', $words), 255);
            $this->write($pdf, Sheet::WORDS, 9.5, $inStance->guard->message, 90);
            $pdf->Ln(2.5);
        }
        $fromAbove = $this->fromAbove->serialize($chain, $options);
        if (null !== $fromAbove) {
            $this->fromAbove($pdf, $fromAbove->against($options->opponent), $content->stance, $document->items);
        }
        // The guard is described above already.
        $guards = array_map(static fn (StanceDocument $stance): string => $stance->guard->message, $stances);
        $changes = array_filter(
            $document->mirror->changes ?? [],
            static fn (MirrorChangeDocument $change): bool => !\in_array($change->message, $guards, true),
        );
        if ([] !== $changes) {
            $this->write($pdf, Sheet::NUMBERS, 14, t('What mirroring changes'), 255);
            foreach ($changes as $change) {
                $this->write($pdf, Sheet::WORDS, 9.5, '• '.$change->message, 255);
            }
            $pdf->Ln(2);
        }
        $waits = $this->waitingSeam($content);
        if (null !== $waits) {
            $this->write($pdf, Sheet::WORDS, 9.5, self::asALoop($waits).' '.$waits->reason(), 255);
            $pdf->Ln(2);
        }
        $faults = $this->faultsOf($chain, $options);
        if ([] !== $faults) {
            $this->write(
                $pdf,
                Sheet::WORDS,
                9.5,
                t('Look for: {faults}', faults: implode(' · ', array_map(
                    static fn (Fault $fault): string => $fault->text.' ('.$fault->mend.')',
                    $faults,
                ))),
                255,
            );
            $pdf->Ln(2);
        }
        $this->write($pdf, Sheet::NUMBERS, 14, t('Note'), 255);
        if ('' !== $content->note) {
            $this->write($pdf, Sheet::WORDS, 11, $content->note, 255);
        }
        // Lines for notes by hand down to the end of the page.
        for (
            $y = $pdf->GetY() + self::RULED_LINE_DISTANCE;
            $y < 297 - self::FOOT_HEIGHT - 4;
            $y += self::RULED_LINE_DISTANCE
        ) {
            $pdf->setDrawColor(221, 212, 193);
            $pdf->Line(self::MARGIN, $y, 210 - self::MARGIN, $y);
        }
        $pdf->setAutoPageBreak(false);
        $pdf->setY(-self::FOOT_HEIGHT);
        $this->write($pdf, Sheet::WORDS, 8, self::LEGEND, 90);
        $this->write(
            $pdf,
            Sheet::WORDS,
            7.5,
            t('Sides against an orthodox opponent. Head contact, youth and spinning strikes: the sport body’s rules, '
                .'the licensed coach and the physician decide.'),
            90,
        );
        $pdf->setAutoPageBreak(true, self::MARGIN);
    }

    /**
     * @param list<CombinationSummary> $rows
     *
     * @return string the PDF
     */
    public function wallSheet(array $rows, string $title, Numbering $numbering): string
    {
        $pdf = new Sheet('L', $title, self::MARGIN);
        $this->write($pdf, Sheet::NUMBERS, 26, $title, 255);
        $pdf->Ln(2);
        $width = (297 - 3 * self::MARGIN) / 2;
        $top = $y = $pdf->GetY();
        $column = 0;
        foreach ($rows as $row) {
            $drawn = $this->lines->render($row->content, $numbering, LineSize::Sheet);
            $pdf->useFont(Sheet::NUMBERS, 22, self::apart($drawn->text));
            $height =
                self::BLOCK_HEIGHT
                + self::EXTRA_LINE_HEIGHT * ($pdf->getNumLines(self::apart($drawn->text), $width) - 1);
            if ($y + $height > 210 - 8) {
                if (1 === $column) {
                    $pdf->AddPage();
                    $top = self::MARGIN;
                }
                $column = 1 - $column;
                $y = $top;
            }
            $waits = $this->waitingSeam($row->content);
            $x = self::MARGIN + $column * ($width + self::MARGIN);
            $pdf->setXY($x, $y);
            $this->write(
                $pdf,
                Sheet::NUMBERS,
                13,
                $row->content->name
                    .(Stance::Southpaw === $row->content->stance ? ' (southpaw)' : '')
                    .(null === $waits ? '' : ' '.self::asALoop($waits)),
                90,
                $width,
            );
            $pdf->setX($x);
            $this->write($pdf, Sheet::NUMBERS, 22, self::apart($drawn->text), 255, $width);
            $this->line($pdf, $drawn->line, $row->content, $x, $pdf->GetY(), $width, self::MAX_LINE_HEIGHT_ON_SHEET);
            $y += $height;
        }

        return $pdf->Output('', 'S');
    }

    /** Returns the link from the end of a chain back to its start under the gym's rules; null when it flows. */
    private function waitingSeam(CombinationContent $content): ?Seam
    {
        $chain = $this->reader->readStored($content->notation, $content->stance)?->chain;
        if (null === $chain) {
            return null;
        }
        $model = new FlowModel();
        $seam = $model->seam($model->timing($chain, $this->rules->named($content->rules)));

        return Verdict::Flows === $seam->link->verdict ? null : $seam;
    }

    private static function asALoop(Seam $seam): string
    {
        return t(
            'As a loop: {verdict}, +{wait} ms.',
            verdict: $seam->link->verdict->value,
            wait: (int) round($seam->link->wait),
        );
    }

    /** Separates the numbers: in this narrow font 1 2 would look like 12 from a distance. */
    private static function apart(string $chain): string
    {
        return strtr($chain, [' ' => '  ']);
    }

    /** @param int $tone 255 for ink, less for paler */
    private function write(Sheet $pdf, string $font, float $points, string $text, int $tone, float $width = 0): void
    {
        $text = PlainText::lines($text);
        $pdf->useFont($font, $points, $text);
        $tone < 255 ? $pdf->setTextColor(86, 91, 102) : $pdf->setTextColor(28, 36, 49);
        $pdf->MultiCell($width, 0, $text, 0, 'L', false, 1);
    }

    /** @return list<Fault> what to look for in a chain */
    private function faultsOf(ReadChain $chain, CheckOptions $options): array
    {
        return null === $chain->inStance
            ? []
            : (new FaultChoice($this->advice->advice()))->for($this->check->run($chain->inStance, $options));
    }

    /**
     * Draws what tells most from above: a few moments in both stances, the same ones side by side.
     *
     * @param list<ItemDocument> $items
     */
    private function fromAbove(Sheet $pdf, FromAbove $drawing, Stance $stance, array $items): void
    {
        [$own, $other] = [$drawing->inStance($stance)->views[0], $drawing->inStance($stance->other())->views[0]];
        $shown = $own->telling(self::FROM_ABOVE);
        $edges = $own->edges($shown)->with($other->edges($shown));
        $width = (210 - 2 * self::MARGIN) / (2 * self::FROM_ABOVE);
        $height = min(self::MAX_HEIGHT_FROM_ABOVE, $width * $edges->height() / $edges->width());
        if ($pdf->GetY() + $height + self::FOOT_HEIGHT > 297 - 6) {
            $pdf->AddPage();
        }
        $y = $pdf->GetY();
        $svg = new FromAboveSvg($drawing, Sheet::NUMBERS);
        foreach ([$own, $other] as $row => $view) {
            foreach ($shown as $column => $place) {
                $at = $view->moments[$place]->at;
                $x = self::MARGIN + ($row * self::FROM_ABOVE + $column) * $width;
                $pdf->setXY($x, $y);
                $this->write(
                    $pdf,
                    Sheet::WORDS,
                    8.5,
                    $view->stance->value.', '.(null === $at ? t('start') : $items[$at]->text),
                    90,
                    $width,
                );
                $pdf->ImageSVG(
                    '@'.$svg->write($view, $place, $edges),
                    $x,
                    $y + 4.5,
                    $height * $edges->width() / $edges->height(),
                    $height,
                );
            }
        }
        $pdf->setY($y + 4.5 + $height + 2);
    }

    /**
     * Draws the line as large as possible: full width, with as many drawing units as the height allows.
     *
     * @param float $most height in mm
     */
    private function line(
        Sheet $pdf,
        LineDrawing $drawing,
        CombinationContent $content,
        float $x,
        float $y,
        float $width,
        float $most,
    ): void {
        $svg = new LineSvg(
            $drawing,
            ($width * $drawing->height) / $most,
            $content->stance,
            Sheet::NUMBERS,
            Sheet::WORDS,
            false,
        );
        $scale = min($width / $svg->width, $most / $svg->height());
        $pdf->ImageSVG('@'.$svg->write($content->name), $x, $y, $svg->width * $scale, $svg->height() * $scale);
        $pdf->setY($y + $svg->height() * $scale);
    }
}
