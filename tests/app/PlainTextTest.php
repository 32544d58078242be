<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\App\Http\PlainText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use PHPUnit\Framework\Attributes\TestWith;

/** Invisible characters become blanks in every field and break no exported file. */
final class PlainTextTest extends ApiTestCase
{
    #[TestWith(['{"a":"x\u000by"}', 'x y'])]
    #[TestWith(['{"a":"x\b\fy"}', 'x  y'])]
    #[TestWith(['{"a":"x\ud800y"}', 'x y'])]
    #[TestWith(['{"a":"x\udc00y"}', 'x y'])]
    #[TestWith(['{"a":"x\ud800\ud83e\udd4ay"}', "x \u{1F94A}y"])]
    #[TestWith(['{"a":"\ud83e\udd4a"}', "\u{1F94A}"])]
    #[TestWith(['{"a":"x\u2028y\u0085z\ufffe"}', 'x y z '])]
    #[TestWith(['{"a":"\\\\u000b"}', '\u000b'])]
    #[TestWith(['{"a":"\\\\\\\\ud800"}', '\\\ud800'])]
    #[TestWith(['{"a":"tab\tbreak\nquote\""}', "tab\tbreak\nquote\""])]
    public function testEscapesOfUnshownCharactersAreBlanks(string $json, string $text): void
    {
        self::assertSame(['a' => $text], json_decode(PlainText::json($json), true, flags: \JSON_THROW_ON_ERROR));
    }

    /** Every character that XML 1.0 (section 2.2) does not allow, and every other control character. */
    public function testEveryCharacterIsShownOrABlank(): void
    {
        for ($code = 0; $code <= 0xFFFF; ++$code) {
            if ($code >= 0xD800 && $code <= 0xDFFF) {
                continue;
            }
            $character = mb_chr($code);
            $allowedInXml = \in_array($code, [0x9, 0xA, 0xD], true) || ($code >= 0x20 && $code <= 0xFFFD);
            $control =
                1 === preg_match('/^[\p{Cc}\p{Zl}\p{Zp}]$/u', $character) && !\in_array($code, [0x9, 0xA, 0xD], true);
            $plain = PlainText::lines('a'.$character.'b');
            if (!$allowedInXml || $control) {
                self::assertSame('a b', $plain, dechex($code));
            } else {
                self::assertContains($plain, ['a'.$character.'b', 'a b'], dechex($code));
            }
        }
    }

    /** TCPDF triggers a deprecation notice at every use. */
    #[IgnoreDeprecations]
    public function testTextFromAWordProcessorMakesFilesThatOpen(): void
    {
        $this->signIn('head');
        $body =
            '{"name":"Soft\u000bbreak\u2028forged # 1 2","text":"1 2 3b '
                .'exit","themes":["in\u000bout","a;b"],"note":"One\u000btwo\nthree\ud800","rules":"boxing"}';
        $made = $this->ask('POST', '/api/combinations', $body);
        self::assertSame(201, $made->status, $made->raw);
        self::assertSame(
            ['Soft break forged # 1 2', ['in out', 'a;b'], "One two\nthree"],
            [$made->body['name'], $made->body['themes'], $made->body['note']],
        );

        $id = $made->id();
        $svg = $this->ask('GET', "/api/combinations/$id/line.svg");
        self::assertNotFalse(simplexml_load_string($svg->raw));
        self::assertStringStartsWith('%PDF-', $this->ask('GET', "/api/combinations/$id/card.pdf")->raw);
        self::assertStringStartsWith(
            '%PDF-',
            $this->ask('GET', '/api/wall-sheet.pdf?q='.rawurlencode("\"soft\u{b}\""))->raw,
        );
        self::assertCount(1, explode("\n", trim($this->ask('GET', '/api/export.text')->raw)));
    }

    /** Text stored by older versions is cleaned like text that is sent today. */
    public function testStoredControlCharactersAreRemovedWhenRead(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        self::service(\Doctrine\DBAL\Connection::class)->executeStatement(
            'UPDATE combination SET name = ?, themes = ? WHERE id = ?',
            ["Old\u{b}name\u{2028}2", '["a\u000bb"]', $id],
        );

        $row = ((array) $this->ask('GET', '/api/combinations')->body['combinations'])[0];
        self::assertIsArray($row);
        self::assertSame(['Old name 2', ['a b']], [$row['name'], $row['themes']]);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function fields(): iterable
    {
        yield 'a view' => ['POST /api/views', '{"name":"a\u000bb","address":"q=1"}', '/api/views'];
        yield 'a numbering' => [
            'PUT /api/numberings/ours',
            '{"name":"a\u000bb","numbers":[{"number":"1","family":"straight","position":"lead"}]}',
            '/api/numberings',
        ];
        yield 'a link' => ['POST /api/invitations', '{"role":"coach","meantFor":"a\u000bb"}', '/api/invitations'];
        yield 'a proposal' => [
            'POST /api/proposals',
            '{"kind":"new","remark":"a\u000bb","content":{"name":"x","text":"1 1 2"}}',
            '/api/proposals/{id}',
        ];
    }

    #[DataProvider('fields')]
    public function testControlCharactersAreRemovedFromEveryOtherField(
        string $request,
        string $body,
        string $read,
    ): void {
        $this->signIn('head');
        [$method, $path] = explode(' ', $request);
        $made = $this->ask($method, $path, $body, ['If-None-Match' => '*']);
        self::assertLessThan(300, $made->status, $made->raw);
        $read = str_contains($read, '{id}') ? strtr($read, ['{id}' => (string) $made->id()]) : $read;

        self::assertStringContainsString('a b', $this->ask('GET', $read)->raw);
    }
}
