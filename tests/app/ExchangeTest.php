<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Opis\JsonSchema\Validator;
use Periplus\App\Benchmark\GeneratedChains;
use Periplus\App\Exchange\FileFormat;
use Periplus\App\Exchange\ImportRequest;
use Periplus\App\Exchange\ImportRuns;
use Periplus\App\Exchange\JsonPlace;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use PHPUnit\Framework\Attributes\TestWith;

/** The library as files: exported, read by other programs, and imported again. */
final class ExchangeTest extends ApiTestCase
{
    public function testTheJsonIsWhatItsSchemaSays(): void
    {
        $this->library();
        $json = $this->ask('GET', '/api/export.json?everything=true')->raw;
        $schema = json_decode(
            (string) file_get_contents(__DIR__.'/../../docs/formats/library.schema.json'),
            false,
            flags: \JSON_THROW_ON_ERROR,
        );
        self::assertIsObject($schema);

        self::assertTrue(
            (new Validator())->validate(json_decode($json, false, flags: \JSON_THROW_ON_ERROR), $schema)->isValid(),
        );
        self::assertFalse(
            (new Validator())
                ->validate(
                    json_decode('{"format":"periplus-library","version":1,"combinations":[{"name":"x"}]}'),
                    $schema,
                )
                ->isValid(),
            'The schema can refuse.',
        );
    }

    public function testExportThenImportGivesTheSameLibrary(): void
    {
        $this->library();
        self::service(GeneratedChains::class)->fill(120, 1, 9, $this->head());
        $before = $this->ask('GET', '/api/export.json?everything=true');
        self::assertSame(
            ['same' => 125],
            $this->read('json', $before->raw),
            'Into the library it came from, nothing changes.',
        );

        $this->clear();
        self::assertSame(['new' => 125], $this->read('json', $before->raw));
        $this->apply();
        $after = $this->ask('GET', '/api/export.json?everything=true');
        self::assertEquals(self::sorted($before), self::sorted($after));
        self::assertSame(['same' => 125], $this->read('json', $after->raw));
    }

    public function testAPageOfNotesIsSplitReadAndLeftAsRemarks(): void
    {
        $this->signIn('head');
        $page = "Seminar\n\nOpeners:\n- 1 2 3b exit\n- jab, step out left, low kick\n\n"
            ."Sea gate: double jab, cross\nAsk about the elbow in round two\nBring water.";

        self::assertSame(['new' => 3, 'remark' => 2, 'unreadable' => 1], $this->read('notes', $page));
        $lines = $this->lines('/api/imports/'.$this->import);
        self::assertSame(
            [['openers', '1 2 3b exit'], ['openers', '1 step-out 14l'], ['openers', '1 1 2']],
            array_map(
                static fn (array $content): array => [((array) $content['themes'])[0] ?? null, $content['notation']],
                array_values(array_filter(array_column($lines, 'content'), is_array(...))),
            ),
        );
        $this->apply();
        self::assertCount(3, (array) $this->ask('GET', '/api/combinations')->body['combinations']);
    }

    #[TestWith(['csv', 'parity'])]
    #[TestWith(['csv', 'hands'])]
    #[TestWith(['text', 'parity'])]
    public function testCombinationsInUseAreReadBackFromCsvAndText(string $format, string $numbering): void
    {
        $this->library();
        $this->ask('PUT', '/api/me/numbering', ['numbering' => $numbering]);
        $this->signIn('head');
        $file = $this->ask('GET', "/api/export.$format")->raw;
        self::assertSame(['same' => 4], $this->read($format, $file, ['numbering' => $numbering]));
        $chains = array_column(self::sorted($this->ask('GET', '/api/export.json')), 'chain', 'name');
        $this->clear();
        $this->read($format, $file, ['numbering' => $numbering]);
        $this->apply();

        self::assertEquals(
            'text' === $format ? array_diff_key($chains, ['South' => 0]) : $chains,
            array_intersect_key(
                array_column(self::sorted($this->ask('GET', '/api/export.json')), 'chain', 'name'),
                'text' === $format ? array_diff_key($chains, ['South' => 0]) : $chains,
            ),
        );
    }

    public function testNamesThatBeginLikeFormulasAreEscapedInCsv(): void
    {
        $this->signIn('head');
        $name = '=HYPERLINK("x","y")';
        $this->ask('POST', '/api/combinations', self::combination(['name' => $name, 'note' => "one, \"two\"\nthree"]));
        $csv = $this->ask('GET', '/api/export.csv')->raw;

        self::assertStringContainsString("\"'=HYPERLINK(\"\"x\"\",\"\"y\"\")\"", $csv);
        self::assertStringContainsString("\"one, \"\"two\"\"\nthree\"", $csv);
        self::assertStringEndsWith("\r\n", $csv);
        self::assertSame(['same' => 1], $this->read('csv', $csv));
    }

    public function testImportPreviewSaysWhatEveryLineWouldDo(): void
    {
        $this->library();
        $counts = $this->read(
            'text',
            implode("\n", [
                '# a remark',
                '1 2 3b exit # Window',
                '1 1 2 # New one',
                '',
                '1 2 zork # Broken',
                '1-1-2 # Again',
                '2 2 exit # Other name for Nail',
                '2 2 2 exit # Nail',
                '1 2 3b 2 exit # Near',
            ]),
        );
        self::assertSame(['changed' => 1, 'duplicate' => 2, 'new' => 2, 'same' => 1, 'unreadable' => 1], $counts);
        $lines = (array) $this->ask('GET', '/api/imports/'.$this->import.'/lines')->body['lines'];
        self::assertSame(
            ['same', 'new', 'unreadable', 'duplicate', 'duplicate', 'changed', 'new'],
            array_column($lines, 'kind'),
        );
        /** @var list<string> $messages */
        $messages = array_column($lines, 'message');
        self::assertStringContainsString('"zork"', $messages[2]);
        self::assertSame('The same chain is entry 2 of this file.', $messages[3]);
        self::assertSame('This chain is in the library already as “Nail”.', $messages[4]);
        self::assertSame('Changes the chain of “Nail”, which is 2 2 exit now.', $messages[5]);
        self::assertStringContainsString('“Window”', $messages[6], 'What is near is named.');
        self::assertSame('Line 5: 1 2 zork # Broken', array_column($lines, 'source')[2]);
        self::assertSame(4, $this->ask('GET', '/api/combinations')->body['total'], 'Nothing is written yet.');

        $this->apply();
        self::assertSame(6, $this->ask('GET', '/api/combinations')->body['total']);
        self::assertSame(
            ['2 2 2 exit'],
            array_column((array) $this->ask('GET', '/api/combinations?q=nail')->body['combinations'], 'notation'),
        );
        self::assertSame(
            200,
            $this->ask('POST', '/api/imports/'.$this->import.'/apply')->status,
            'Once more does nothing more.',
        );
        self::assertSame(6, $this->ask('GET', '/api/combinations')->body['total']);
    }

    public function testImportAppliesEveryLineOrNone(): void
    {
        $this->library();
        $this->read('text', "1 1 1 # One\n1 1 2 # Two\n2 2 2 exit # Nail");
        $import = $this->import;
        // Meanwhile another coach saves what the file contains, and changes what it changes.
        $this->signIn('second');
        $this->ask('POST', '/api/combinations', self::combination(['name' => 'Quicker', 'text' => '1 1 2']));
        $this->signIn('head');
        self::assertSame(409, $this->ask('POST', "/api/imports/$import/apply")->status);
        self::assertSame(
            0,
            $this->ask('GET', '/api/combinations?q=starts+1+1+1')->body['total'],
            'Not the first line either.',
        );
    }

    #[TestWith([
        'json',
        "{\n  \"format\": \"periplus-library\",\n  \"version\": 1,\n  \"combinations\": [\n    { \"name\": \"x\" "
            ."\"chain\": \"1\" }\n  ]\n}",
        'broken at line 5, column 19',
    ]),]
    #[TestWith(['json', '{"format": "other"}', 'not a library'])]
    #[TestWith(['json', '{"format": "periplus-library", "version": 7, "combinations": []}', 'version 7'])]
    #[TestWith(['csv', "name,numbers\nx,1", 'one of them is "chain"'])]
    #[TestWith(['text', "# nothing\n\n", 'no combination'])]
    #[TestWith(['text', "1 2 \xFF\xFE", 'not JSON'])]
    public function testABrokenFileSaysWhere(string $format, string $content, string $says): void
    {
        $this->signIn('head');
        $answer = str_contains($content, "\xFF")
            ? $this->ask('POST', '/api/imports', '{"format":"text","content":"'.$content.'"}')
            : $this->ask('POST', '/api/imports', ['format' => $format, 'content' => $content]);

        self::assertContains($answer->status, [400, 422]);
        self::assertStringContainsString($says, $answer->title());
    }

    public function testABrokenLineOfACsvFileIsReportedWithItsNumber(): void
    {
        $this->signIn('head');
        $this->read('csv', "name,chain,level\r\n\"Two\nlines\",1 2,1\r\nToo,1,2,3,many\r\nHigh,1 1,9\r\n");
        $lines = (array) $this->ask('GET', '/api/imports/'.$this->import.'/lines')->body['lines'];

        self::assertSame(['new', 'unreadable', 'unreadable'], array_column($lines, 'kind'));
        self::assertStringStartsWith('Line 4: ', self::text($lines, 'source', 1));
        self::assertStringContainsString('5 cells', self::text($lines, 'message', 1));
        self::assertSame('The level is 1, 2 or 3.', array_column($lines, 'message')[2]);
    }

    public function testOnlyLinesThatWereReadAreListed(): void
    {
        $this->signIn('head');
        $imports = self::service(ImportRuns::class);
        $head = self::service(Connection::class)->fetchOne("SELECT id FROM user WHERE role = 'ROLE_HEAD_COACH'");
        self::assertIsInt($head);
        $id = $imports->start(new ImportRequest(FileFormat::Text, "1 2 # One\n1 zork # Two"), $head);
        $lines = fn (): array => array_column(
            (array) $this->ask('GET', "/api/imports/$id/lines")->body['lines'],
            'kind',
        );

        self::assertSame([], $lines());
        self::assertSame([], (array) $imports->state($id)->counts);
        $imports->advance($id, 1.0);
        self::assertSame(['new', 'unreadable'], $lines());
    }

    public function testABadEntryIsMendedInPlaceAndAGoodOneLeftOut(): void
    {
        $this->signIn('head');
        $started = $this->ask('POST', '/api/imports', [
            'format' => 'text',
            'content' => "1 2 zork # Ladder\nSea gate: 1 2 3\n1 1 2",
        ]);
        $import = '/api/imports/'.$started->id();
        $this->ask('POST', $import.'/advance');
        $counts = fn (): mixed => $this->ask('GET', $import)->body['counts'];
        self::assertSame(['new' => 2, 'unreadable' => 1], $counts());
        self::assertSame('Sea gate', self::text(array_column($this->lines($import), 'content'), 'name', 0));

        $this->ask('PUT', $import.'/lines/1', ['chain' => '1 2 2', 'name' => 'Ladder']);
        self::assertSame(['new' => 3], $counts());
        $this->ask('PUT', $import.'/lines/3', ['leaveOut' => true]);
        self::assertSame(['left-out' => 1, 'new' => 2], $counts());
        $this->ask('PUT', $import.'/lines/3', []);
        self::assertSame(['new' => 3], $counts());
        $this->ask('PUT', $import.'/lines/3', ['chain' => '1 2 3']);
        self::assertSame(['duplicate' => 1, 'new' => 2], $counts(), 'It is the chain of the second entry now.');
        $this->ask('PUT', $import.'/lines/3', ['leaveOut' => true]);
        self::assertSame('applied', $this->ask('POST', $import.'/apply')->body['state']);
        self::assertSame(2, $this->ask('GET', '/api/combinations')->body['total']);
        self::assertSame(409, $this->ask('PUT', $import.'/lines/1', ['leaveOut' => true])->status);
    }

    public function testAnImportIsTakenBackAsOneButForWhatWasChangedSince(): void
    {
        $this->signIn('head');
        $was = $this->ask('POST', '/api/combinations', self::combination())->id();
        $started = $this->ask('POST', '/api/imports', [
            'format' => 'csv',
            'content' => "name,chain,note\nCellar window,1 2 3b exit,From a file.\nStair,1 1 2,\nRoof,1 2 3,",
        ]);
        $import = '/api/imports/'.$started->id();
        self::assertSame(409, $this->ask('POST', $import.'/undo')->status);
        $this->ask('POST', $import.'/advance');
        $this->ask('POST', $import.'/apply');
        self::assertSame('From a file.', $this->ask('GET', '/api/combinations/'.$was)->body['note']);
        $rows = $this->ask('GET', '/api/combinations?q=Roof')->body['combinations'];
        self::assertIsArray($rows);
        $two = \is_array($rows[0] ?? null) && \is_int($rows[0]['id']) ? $rows[0]['id'] : 0;
        $this->ask('PUT', '/api/combinations/'.$two, self::combination(['name' => 'Roof', 'text' => '1 2 3 2']), [
            'If-Match' => '"1"',
        ]);

        $undone = $this->ask('POST', $import.'/undo');
        self::assertSame([200, 'undone', ['Roof']], [$undone->status, $undone->body['state'], $undone->body['stays']]);
        self::assertSame('Under the elbow.', $this->ask('GET', '/api/combinations/'.$was)->body['note']);
        self::assertSame(
            ['Cellar window', 'Roof'],
            array_map(
                static fn (mixed $row): mixed => \is_array($row) ? $row['name'] : null,
                (array) $this->ask('GET', '/api/combinations')->body['combinations'],
            ),
        );
        self::assertSame(1, $this->ask('GET', '/api/combinations?archived=true')->body['total']);
        self::assertSame(409, $this->ask('POST', $import.'/undo')->status);
    }

    /** @return list<array<string, mixed>> */
    private function lines(string $import): array
    {
        /** @var list<array<string, mixed>> $lines */
        $lines = $this->ask('GET', $import.'/lines')->body['lines'];

        return $lines;
    }

    public function testALineThatCannotBeReadKeepsItsNameToBeMended(): void
    {
        $this->signIn('head');
        self::assertSame(
            ['new' => 1, 'unreadable' => 1],
            $this->read('text', "Dock eight: jab cros, exit\nDock nine: jab cross exit"),
        );
        $line = $this->lines('/api/imports/'.$this->import)[0];
        self::assertSame(['name' => 'Dock eight', 'chain' => 'jab cros, exit'], $line['written']);

        $this->ask('PUT', '/api/imports/'.$this->import.'/lines/1', ['chain' => '1 2 3 exit', 'name' => 'Dock eight']);
        $this->apply();
        $names = $this->ask('GET', '/api/combinations')->body['combinations'];
        self::assertIsArray($names);
        self::assertSame(['Dock eight', 'Dock nine'], array_column($names, 'name'));
    }

    public function testTwoLinesOfOneNameAreNamed(): void
    {
        $this->signIn('head');
        $this->read('text', "Dock one: 1 2 exit\nDock two: 1 2 3 exit\ndock ONE: 6 5 2 exit");
        $lines = $this->lines('/api/imports/'.$this->import);

        self::assertStringContainsString('Entry 1 has the same name.', self::text($lines, 'message', 2));
        self::assertStringNotContainsString('the same name', self::text($lines, 'message', 1));
    }

    public function testAnImportedLineLeadsToWhatItBecame(): void
    {
        $this->signIn('head');
        $this->ask('POST', '/api/combinations', self::combination(['name' => 'Near', 'text' => '1 2 3 exit']));
        $this->read('text', 'Far: 1 2 3 2 exit');
        $this->apply();
        $line = $this->lines('/api/imports/'.$this->import)[0];
        self::assertIsInt($line['combination']);

        self::assertSame('Far', $this->ask('GET', '/api/combinations/'.$line['combination'])->body['name']);
    }

    public function testPlaceOfAMistakeInJsonIsFound(): void
    {
        $columns = [
            '{"a": [1, 2,]}' => 13,
            '{"a" 1}' => 6,
            '[1 2]' => 4,
            '{"a": tru}' => 7,
            '[1, 2' => 6,
            '{,}' => 2,
            "[\"a\tb\"]" => 2,
            '[1]]' => 4,
            '{"a": 01}' => 7,
        ];
        foreach ($columns as $json => $column) {
            json_decode($json);
            self::assertNotSame(\JSON_ERROR_NONE, json_last_error());
            $place = JsonPlace::ofMistake($json);
            self::assertSame([1, $column], [$place->line, $place->column], $json);
        }
        self::assertSame(
            [2, 2, 4],
            JsonPlace::ofItems("{\"x\": [0], \"list\": [\n{\"a\": [1]}, [2],\n\n3]}", 'list', 10),
        );
        self::assertCount(2, JsonPlace::ofItems('{"list": [1, 2, 3]}', 'list', 2), 'No more than are looked for.');
    }

    /** TCPDF triggers a deprecation notice at every use. */
    #[IgnoreDeprecations]
    public function testCombinationIsPrintedAndDrawn(): void
    {
        $this->library();
        $id = (array) $this->ask('GET', '/api/combinations?q=window')->body['combinations'];
        $id = array_column($id, 'id')[0];
        self::assertIsInt($id);
        $svg = $this->ask('GET', "/api/combinations/$id/line.svg");
        $picture = simplexml_load_string($svg->raw);
        self::assertNotFalse($picture);
        self::assertSame('Window: 1 2 3b exit', (string) $picture->title);
        self::assertStringStartsWith('%PDF-', $this->ask('GET', "/api/combinations/$id/card.pdf")->raw);
        self::assertStringStartsWith('%PDF-', $this->ask('GET', '/api/wall-sheet.pdf')->raw);
        self::assertSame(404, $this->ask('GET', '/api/wall-sheet.pdf?q=zzz')->status);
    }

    private int $import = 0;

    /**
     * @param array<string, mixed> $options
     *
     * @return array<string, int> how many of each kind
     */
    private function read(string $format, string $content, array $options = []): array
    {
        $answer = $this->ask('POST', '/api/imports', ['format' => $format, 'content' => $content, ...$options]);
        self::assertSame(201, $answer->status, $answer->raw);
        $this->import = $answer->id();
        while ('reading' === $answer->body['state']) {
            $answer = $this->ask('POST', '/api/imports/'.$this->import.'/advance');
        }
        /** @var array<string, int> $counts */
        $counts = $answer->body['counts'];
        ksort($counts);

        return $counts;
    }

    /** @param array<mixed> $lines */
    private static function text(array $lines, string $column, int $index): string
    {
        $text = array_column($lines, $column)[$index] ?? null;

        return \is_string($text) ? $text : self::fail('There is no such line.');
    }

    private function apply(): void
    {
        self::assertSame('applied', $this->ask('POST', '/api/imports/'.$this->import.'/apply')->body['state']);
    }

    private function library(): void
    {
        $this->signIn('head');
        $written = [
            ['name' => 'Window', 'text' => '1 2 3b exit'],
            ['name' => 'Nail', 'text' => '2 2 exit', 'themes' => []],
            ['name' => 'Zoë, "quoted"', 'text' => '1 (3) 6! +14h'],
            ['name' => 'South', 'text' => 'right jab, left hook body', 'stance' => 'southpaw'],
            ['name' => 'Old', 'text' => '1 8'],
        ];
        foreach ($written as $row) {
            $made = $this->ask('POST', '/api/combinations', self::combination(['rules' => 'all-limbs', ...$row]));
            self::assertSame(201, $made->status, $made->raw);
            if ('Old' === $row['name']) {
                $this->ask('POST', '/api/combinations/'.$made->id().'/archive', null, ['If-Match' => '"1"']);
            }
        }
    }

    private function clear(): void
    {
        self::service(Connection::class)->executeStatement('DELETE FROM combination');
        self::service(\Doctrine\ORM\EntityManagerInterface::class)->clear();
    }

    private function head(): int
    {
        $id = self::service(Connection::class)->fetchOne("SELECT id FROM user WHERE email = 'head@gym.example'");
        self::assertIsNumeric($id);

        return (int) $id;
    }

    /** @return list<array<string, mixed>> */
    private static function sorted(Answer $export): array
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = $export->body['combinations'];
        $rows = array_map(static fn (array $row): array => array_diff_key($row, ['author' => 0]), $rows);
        usort($rows, static fn (array $a, array $b): int => [$a['name'], $a['chain']] <=> [$b['name'], $b['chain']]);

        return $rows;
    }
}
