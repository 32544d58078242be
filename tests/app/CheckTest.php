<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

final class CheckTest extends ApiTestCase
{
    public function testAnswersWithTheWholeCheckAndStoresNothing(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/check', ['text' => '1-2-3b slip left 2', 'rules' => 'boxing']);

        self::assertSame(200, $answer->status);
        self::assertSame(
            ['1 2 3b slip-lead 2', 'reload', 1564],
            [$answer->body['notation'], $answer->body['verdict'], $answer->body['lengthMs']],
        );
        self::assertSame(0, $this->ask('GET', '/api/combinations')->body['total']);
    }

    public function testEveryCheckOptionIsTaken(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/check', [
            'text' => '1 2',
            'stance' => 'southpaw',
            'opponent' => 'southpaw',
            'rules' => 'kickboxing',
            'numbering' => 'hands',
            'tempo' => 1.6,
            'medium' => 'bag',
            'group' => 'youth',
        ]);

        self::assertSame(
            '2 1',
            $answer->body['notation'],
            'In the hands numbering 1 is the left hand, which is a southpaw\'s rear hand.',
        );
    }

    #[TestWith(['rules', 'wrestling'])]
    #[TestWith(['numbering', 'roman'])]
    #[TestWith(['stance', 'square'])]
    #[TestWith(['opponent', 7])]
    #[TestWith(['tempo', 9])]
    #[TestWith(['tempo', 'fast'])]
    #[TestWith(['medium', 'water'])]
    #[TestWith(['text', null])]
    #[TestWith(['text', ['1']])]
    public function testUnknownOptionIsNamed(string $option, mixed $value): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/check', ['text' => '1 2', $option => $value]);

        self::assertSame([422, 'invalid'], [$answer->status, $answer->type()], $answer->raw);
        self::assertIsArray($answer->body['violations']);
        self::assertContains($option, array_column($answer->body['violations'], 'field'));
    }

    /** A malicious line is a problem in the text, not a server error. */
    #[TestWith(['10,000 characters'])]
    #[TestWith(['deep brackets'])]
    #[TestWith(['control characters'])]
    #[TestWith(['another alphabet'])]
    #[TestWith(['x999999'])]
    public function testAHostileLineIsRefusedWithASentence(string $kind): void
    {
        $text = match ($kind) {
            '10,000 characters' => str_repeat('1 2 3b slip ', 834),
            'deep brackets' => str_repeat('[(', 150),
            'control characters' => "1 \0 \x1b[2J 2",
            'another alphabet' => 'джеб 拳 ضربة',
            default => $kind,
        };
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/check', ['text' => $text]);

        self::assertSame([200, null], [$answer->status, $answer->body['verdict']]);
        self::assertIsArray($answer->body['problems']);
        self::assertNotSame([], $answer->body['problems']);
    }

    public function testTooLargeOrInvalidRequestBodyIsRefused(): void
    {
        $this->signIn('coach');

        self::assertSame(413, $this->ask('POST', '/api/check', ['text' => str_repeat('1 ', 40_000)])->status);
        self::assertSame(400, $this->ask('POST', '/api/check', '{"text":')->status);
        self::assertSame(400, $this->ask('POST', '/api/check', "{\"text\":\"\xc3\x28\"}")->status);
    }
}
