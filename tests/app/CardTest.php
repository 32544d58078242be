<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use PHPUnit\Framework\Attributes\TestWith;

/** Cards for athletes: a link that shows one card and nothing else without sign-in. */
final class CardTest extends ApiTestCase
{
    private int $id;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn('head');
        $this->id = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Ladder', 'text' => '1 2 3 2 exit']),
        )->id();
        $this->signIn('coach');
    }

    public function testAnybodyWithTheLinkReadsTheCardInTheirStance(): void
    {
        $key = $this->card(['stance' => 'southpaw', 'numbering' => 'parity']);
        $this->signOut();
        $card = $this->ask('GET', '/api/athlete-cards/'.$key);

        self::assertSame([200, 'southpaw'], [$card->status, $card->body['stance']]);
        /** @var list<array{name: string, numbers: string, words: list<string>, items: list<mixed>}> $combinations */
        $combinations = $card->body['combinations'];
        self::assertSame(['Ladder', '1 2 3 2 exit'], [$combinations[0]['name'], $combinations[0]['numbers']]);
        self::assertStringContainsString('right jab', implode(', ', $combinations[0]['words']));
        self::assertCount(5, $combinations[0]['items']);
        // Nothing about coaches or other athletes, and nothing else of the gym.
        self::assertStringNotContainsString('Coach Coach', $card->raw);
        self::assertSame(401, $this->ask('GET', '/api/cards')->status);
    }

    public function testAFullGymSaysWhatToRemoveAndTakesACardAgainOnceOneIsRevoked(): void
    {
        self::service(Connection::class)->executeStatement(
            'INSERT INTO athlete_card (card_key, name, content, creator_id, created_at)'
            ." SELECT MD5(seq), 'Take home', '{}', (SELECT MIN(id) FROM user), NOW() FROM seq_1_to_2000",
        );
        $body = ['name' => 'One too many', 'combinations' => [$this->id]];
        $refused = $this->ask('POST', '/api/cards', $body);
        self::assertSame([409, 'quota-reached'], [$refused->status, $refused->body['type']]);
        self::assertStringContainsString('at most 2,000 cards', $refused->raw);

        self::service(Connection::class)->executeStatement(
            'UPDATE athlete_card SET revoked_at = NOW() WHERE card_key = MD5(1)',
        );
        self::assertSame(201, $this->ask('POST', '/api/cards', $body)->status);
    }

    public function testARevokedLinkOpensNothing(): void
    {
        $key = $this->card();
        $cards = $this->ask('GET', '/api/cards')->body['cards'];
        self::assertIsArray($cards);
        self::assertIsArray($cards[0]);
        self::assertIsInt($cards[0]['id']);
        self::assertSame(200, $this->ask('POST', "/api/cards/{$cards[0]['id']}/revoke")->status);
        $answer = $this->ask('GET', '/api/athlete-cards/'.$key);

        self::assertSame(
            [410, 'This card is no longer available. Ask your coach for a new one.'],
            [$answer->status, $answer->title()],
        );
    }

    public function testACardDoesNotChangeWithTheLibrary(): void
    {
        $key = $this->card();
        $this->signIn('head');
        $this->ask(
            'PUT',
            '/api/combinations/'.$this->id,
            self::combination(['name' => 'Ladder', 'text' => '1 2 exit']),
            ['If-Match' => '"1"'],
        );
        /** @var list<array{numbers: string}> $combinations */
        $combinations = $this->ask('GET', '/api/athlete-cards/'.$key)->body['combinations'];

        self::assertSame('1 2 3 2 exit', $combinations[0]['numbers']);
    }

    /** TCPDF triggers a deprecation notice at every use. */
    #[IgnoreDeprecations]
    public function testACardIsPrinted(): void
    {
        $this->card();
        $cards = $this->ask('GET', '/api/cards')->body['cards'];
        self::assertIsArray($cards);
        self::assertIsArray($cards[0]);
        self::assertIsInt($cards[0]['id']);

        self::assertStringStartsWith('%PDF-', $this->ask('GET', "/api/cards/{$cards[0]['id']}/sheet.pdf")->raw);
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['name' => ' '], 'Give the card a name.'])]
    #[TestWith([['combinations' => []], 'Choose at least one combination.'])]
    #[TestWith([['combinations' => [999999]], 'There is no such combination in the library.'])]
    public function testAWrongCardIsRefused(array $with, string $message): void
    {
        $answer = $this->ask('POST', '/api/cards', ['name' => 'Take home', 'combinations' => [$this->id], ...$with]);
        /** @var list<array{message: string}> $violations */
        $violations = $answer->body['violations'];

        self::assertSame([422, [$message]], [$answer->status, array_column($violations, 'message')]);
    }

    /** @param array<string, mixed> $with */
    private function card(array $with = []): string
    {
        $card = $this->ask('POST', '/api/cards', ['name' => 'Take home', 'combinations' => [$this->id], ...$with]);
        self::assertSame(201, $card->status, $card->raw);
        $key = $card->body['key'];
        self::assertIsString($key);

        return $key;
    }
}
