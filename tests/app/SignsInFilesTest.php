<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use PHPUnit\Framework\Attributes\TestWith;

/**
 * Every sign of the notation in every file, read back by programs of others: the JSON schema validator of Opis, the CSV
 * reader of PHP, an XML parser, and pdftotext of Poppler.
 */
final class SignsInFilesTest extends ApiTestCase
{
    private const CHAINS = [
        'With a slip' => '1 slip-lead +2 3',
        'With a step' => 'step-in +1 2 exit-rear',
        'Out of the roll' => '2 roll-rear +6 3 exit-lead',
        'Leg stays up' => '1 2 14l ^14h',
        'Down behind' => '1 2 13< 1',
        'Down in front' => '2 14> 2',
        'Down half way' => '1 2 14_ 3',
        'Hard choice' => '1 2 *(1,2,11)3 14l',
        'Free and hard' => '1 2 *4! 5',
        'Free body' => '1 *5b~ 2',
    ];

    public function testTheJsonIsValidAndReadBackTheSame(): void
    {
        $this->library();
        $json = $this->ask('GET', '/api/export.json')->raw;
        $schema = json_decode(
            (string) file_get_contents(__DIR__.'/../../docs/formats/library.schema.json'),
            false,
            flags: \JSON_THROW_ON_ERROR,
        );
        self::assertIsObject($schema);
        $document = json_decode($json, false, flags: \JSON_THROW_ON_ERROR);
        self::assertTrue((new Validator())->validate($document, $schema)->isValid());
        self::assertEqualsCanonicalizing(
            self::CHAINS,
            array_column((array) ((array) json_decode($json, true))['combinations'], 'chain', 'name'),
        );

        self::assertSame(self::CHAINS, $this->readBack('json', $json));
    }

    #[TestWith(['parity'])]
    #[TestWith(['hands'])]
    #[TestWith(['body-pairs'])]
    public function testTheCsvIsReadBackTheSame(string $numbering): void
    {
        $this->library();
        $this->ask('PUT', '/api/me/numbering', ['numbering' => $numbering]);
        $csv = $this->ask('GET', '/api/export.csv')->raw;
        $stream = fopen('php://memory', 'r+');
        self::assertNotFalse($stream);
        fwrite($stream, $csv);
        rewind($stream);
        $names = [];
        while (false !== ($row = fgetcsv($stream, escape: ''))) {
            $names = [...$names, ...array_intersect($row, array_keys(self::CHAINS))];
        }
        self::assertEqualsCanonicalizing(array_keys(self::CHAINS), $names);

        self::assertSame(self::CHAINS, $this->readBack('csv', $csv, $numbering));
    }

    #[IgnoreDeprecations]
    public function testTheCardOnPaperHasTheWholeLine(): void
    {
        foreach ($this->library() as $name => $id) {
            $pdf = $this->ask('GET', "/api/combinations/$id/card.pdf")->raw;
            $process = proc_open('pdftotext -raw - -', [['pipe', 'r'], ['pipe', 'w']], $pipes);
            self::assertIsResource($process);
            fwrite($pipes[0], $pdf);
            fclose($pipes[0]);
            $text = (string) preg_replace('/\s+/', ' ', (string) stream_get_contents($pipes[1]));
            proc_close($process);

            self::assertStringContainsString(self::CHAINS[$name], $text);
        }
    }

    public function testThePictureShowsWhereTheLegIs(): void
    {
        $roofs = ['Leg stays up' => 1];
        $signsBelow = ['Down behind' => 1, 'Down in front' => 1, 'Down half way' => 1];
        foreach ($this->library() as $name => $id) {
            $picture = new \DOMDocument();
            self::assertTrue($picture->loadXML($this->ask('GET', "/api/combinations/$id/line.svg")->raw));
            $xpath = new \DOMXPath($picture);
            $xpath->registerNamespace('s', 'http://www.w3.org/2000/svg');
            $title = $picture->getElementsByTagName('title')->item(0)?->textContent;
            self::assertSame($name.': '.self::CHAINS[$name], $title);
            $signs = $xpath->query('//s:g[@class="tile"]/s:path[@fill="none"]');
            self::assertNotFalse($signs);
            self::assertSame(($roofs[$name] ?? 0) + ($signsBelow[$name] ?? 0), $signs->count(), $name);
        }
    }

    /** @return array<string, int> id by name */
    private function library(): array
    {
        $this->signIn('head');
        $ids = [];
        foreach (self::CHAINS as $name => $chain) {
            $made = $this->ask(
                'POST',
                '/api/combinations',
                self::combination(['name' => $name, 'text' => $chain, 'rules' => 'all-limbs']),
            );
            self::assertSame(201, $made->status, $made->raw);
            $ids[$name] = $made->id();
        }

        return $ids;
    }

    /** @return array<mixed> chain by name, of a library into which the file was read */
    private function readBack(string $format, string $content, string $numbering = 'parity'): array
    {
        self::service(Connection::class)->executeStatement('DELETE FROM combination');
        self::service(EntityManagerInterface::class)->clear();
        $answer = $this->ask(
            'POST',
            '/api/imports',
            ['format' => $format, 'content' => $content, 'numbering' => $numbering],
        );
        $import = $answer->id();
        while ('reading' === $answer->body['state']) {
            $answer = $this->ask('POST', "/api/imports/$import/advance");
        }
        self::assertSame(['new' => \count(self::CHAINS)], $answer->body['counts'], $answer->raw);
        self::assertSame('applied', $this->ask('POST', "/api/imports/$import/apply")->body['state']);
        $chains = array_column(
            (array) $this->ask('GET', '/api/export.json')->body['combinations'],
            'chain',
            'name',
        );

        return array_replace(self::CHAINS, $chains);
    }
}
