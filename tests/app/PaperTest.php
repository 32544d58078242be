<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\App\Print\Sheet;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;

/** PDFs are read back by independent tools: pdftotext, pdffonts and pdfinfo of Poppler. */
#[IgnoreDeprecations]
final class PaperTest extends ApiTestCase
{
    private const CHAINS = [
        '1 2',
        '1 2 3',
        '2 3 2',
        '1 1 2',
        '3 2 3',
        '6 3',
        '5 2',
        '1 6 3 2',
        '11 1 2',
        '1 14l',
        '2 15',
        '13l 2',
        '1 step-out 14l',
        '1 2 3b step-out exit',
        'slip-rear 2 3',
        '1 switch 1',
        '(1) 2 3',
    ];

    public function testWallSheetHasAllCombinationsOnAsManyPagesAsNeeded(): void
    {
        $names = $this->library();
        $pdf = $this->ask('GET', '/api/wall-sheet.pdf')->raw;
        $text = self::flat(self::read('pdftotext -raw', $pdf));

        self::assertMatchesRegularExpression('/^Pages: +3$/m', self::read('pdfinfo', $pdf, false));
        self::assertMatchesRegularExpression(
            '/^Page size: +841\.\d+ x 595\.\d+ pts \(A4\)/m',
            self::read('pdfinfo', $pdf, false),
            'Lying, to be read from afar.',
        );
        foreach ($names as $name => $chain) {
            self::assertStringContainsString($name, $text);
            self::assertStringContainsString($chain, $text);
        }
    }

    /** TCPDF would print an error page instead and exit. */
    public function testAFailureOfThePaperIsAnException(): void
    {
        $this->expectException(\RuntimeException::class);
        (new Sheet('P', 'Title', 10.0))->Error('no such font');
    }

    public function testNamesOfOtherAlphabetsAreWritten(): void
    {
        $this->signIn('head');
        $chains = ['Ζέφυρος' => '1 2 exit', 'Вал' => '2 3 exit', 'Łódź' => '1 1 2', 'Ça va' => '5 2 exit'];
        foreach ($chains as $name => $chain) {
            $id = $this->ask('POST', '/api/combinations', self::combination(['name' => $name, 'text' => $chain]))->id();
            $card = $this->ask('GET', "/api/combinations/$id/card.pdf")->raw;
            self::assertStringContainsString($name, self::read('pdftotext -raw', $card));
            self::assertAllFontsAreEmbedded($card);
        }
        self::assertAllFontsAreEmbedded($this->ask('GET', '/api/wall-sheet.pdf')->raw);
    }

    /** The longest chain, name and note are printed completely. */
    public function testLongNamesAndNotesFitOnPaper(): void
    {
        $this->signIn('head');
        $name = trim(str_repeat('Longest shore walk ', 6));
        $note = trim(str_repeat('Keep the rear hand home and breathe out on every strike. ', 15));
        $made = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => $name, 'text' => trim(str_repeat('1 2 3b roll-rear 2 ', 9)), 'note' => $note]),
        );
        self::assertSame(201, $made->status, $made->raw);
        $id = $made->id();
        $card = self::read('pdftotext -raw', $this->ask('GET', "/api/combinations/$id/card.pdf")->raw);
        $flat = self::flat($card);

        self::assertStringContainsString($name, $flat);
        self::assertStringContainsString($note, $flat);
        self::assertSame(9, substr_count($flat, '3b roll-'), 'Every item of the chain; a line may end at the hyphen.');
        self::assertStringContainsString('the licensed coach and the physician decide', $flat);
    }

    public function testPaperSaysWhatWaitsInALoopUnderTheRulesOfTheGym(): void
    {
        $this->signIn('head');
        $id = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Twice', 'text' => '3b 3', 'rules' => 'kickboxing']),
        )->id();
        $read = fn (string $address): string => self::flat(
            self::read('pdftotext -raw', $this->ask('GET', $address)->raw),
        );

        self::assertStringContainsString('As a loop: reload, +', $read('/api/wall-sheet.pdf'));
        self::assertStringContainsString('As a loop: reload, +', $read("/api/combinations/$id/card.pdf"));

        $change = [...HouseRulesTest::change(), 'calibration' => ['body.flows' => 240]];
        $preview = $this->ask('POST', '/api/house-rules/kickboxing/rule-previews', $change);
        self::assertSame(201, $preview->status, $preview->raw);
        $this->ask('POST', '/api/rule-previews/'.$preview->id().'/advance');
        $this->ask('POST', '/api/rule-previews/'.$preview->id().'/save');

        self::assertStringNotContainsString('As a loop', $read('/api/wall-sheet.pdf'));
        self::assertStringNotContainsString('As a loop', $read("/api/combinations/$id/card.pdf"));
    }

    /** A coach with another numbering prints in it, and the paper names it. */
    public function testPaperUsesTheNumberingOfTheCoachWhoPrints(): void
    {
        $this->library();
        $id = array_column((array) $this->ask('GET', '/api/combinations?q=has+3b')->body['combinations'], 'id')[0] ?? 0;
        self::assertIsInt($id);
        $this->ask('PUT', '/api/me/numbering', ['numbering' => 'body-pairs']);
        $card = self::flat(self::read('pdftotext -raw', $this->ask('GET', "/api/combinations/$id/card.pdf")->raw));

        self::assertStringContainsString('1 2 7 step-out exit', $card);
        self::assertStringContainsString('Numbers: Body pairs', $card);
        self::assertStringContainsString(
            '1 2 7 step-out exit',
            self::flat(self::read('pdftotext -raw', $this->ask('GET', '/api/wall-sheet.pdf')->raw)),
        );
    }

    /** @return array<string, string> chain by name */
    private function library(): array
    {
        $this->signIn('head');
        $names = [];
        foreach (self::CHAINS as $index => $chain) {
            $name = \sprintf('Pier %02d', $index);
            self::assertSame(
                201,
                $this->ask(
                    'POST',
                    '/api/combinations',
                    self::combination(['name' => $name, 'text' => $chain, 'rules' => 'all-limbs']),
                )->status,
            );
            $names[$name] = $chain;
        }

        return $names;
    }

    private static function assertAllFontsAreEmbedded(string $pdf): void
    {
        $fonts = \array_slice(explode("\n", trim(self::read('pdffonts', $pdf, false))), 2);
        self::assertNotSame([], $fonts);
        foreach ($fonts as $font) {
            self::assertMatchesRegularExpression(
                '/\s(yes)\s+(yes|no)\s+(yes|no)\s+\d+\s+\d+$/',
                rtrim($font),
                'embedded',
            );
        }
    }

    /** Returns the text without differences in blanks and line breaks. */
    private static function flat(string $text): string
    {
        return (string) preg_replace('/\s+/', ' ', $text);
    }

    /** Returns what a tool prints of a PDF. */
    private static function read(string $tool, string $pdf, bool $toStandardOutput = true): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'paper');
        file_put_contents($file, $pdf);
        exec($tool.' '.escapeshellarg($file).($toStandardOutput ? ' -' : '').' 2>&1', $lines, $code);
        unlink($file);
        self::assertSame(0, $code, implode("\n", $lines));

        return implode("\n", $lines);
    }
}
