<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

final class WallTest extends ApiTestCase
{
    public function testWallsComeByNameEachWithAKeyOfItsOwn(): void
    {
        $this->signIn('coach');
        foreach ([' Ring ', 'Bag room', 'Floor'] as $name) {
            self::assertSame(201, $this->ask('POST', '/api/walls', ['name' => $name])->status);
        }
        $walls = $this->walls();

        self::assertSame(['Bag room', 'Floor', 'Ring'], array_column($walls, 'name'));
        $keys = array_filter(array_column($walls, 'key'), 'is_string');
        self::assertCount(3, array_unique($keys));
        self::assertSame([null, null, null], array_column($walls, 'run'));
    }

    #[TestWith([''])]
    #[TestWith(['   '])]
    public function testAWallWithoutANameIsRefused(string $name): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/walls', ['name' => $name]);

        self::assertSame(422, $answer->status);
        self::assertSame([], $this->walls());
    }

    public function testARenamedWallKeepsItsKey(): void
    {
        $this->signIn('coach');
        $made = $this->ask('POST', '/api/walls', ['name' => 'Floor', 'hasKeys' => true]);
        $changed = $this->ask('PUT', '/api/walls/'.$made->id(), ['name' => 'Ring', 'hasKeys' => false]);

        self::assertSame(
            [200, 'Ring', false, $made->body['key']],
            [$changed->status, $changed->body['name'], $changed->body['hasKeys'], $changed->body['key']],
        );
    }

    public function testARevokedWallIsNeitherListedNorChanged(): void
    {
        $this->signIn('coach');
        $made = $this->ask('POST', '/api/walls', ['name' => 'Floor']);
        $this->ask('POST', '/api/walls/'.$made->id().'/revoke');

        self::assertSame([], $this->walls());
        foreach (
            [
                $this->ask('PUT', '/api/walls/'.$made->id(), ['name' => 'Ring']),
                $this->ask('POST', '/api/walls/'.$made->id().'/revoke'),
            ] as $answer
        ) {
            self::assertSame(
                [404, 'There is no such wall. It may have been revoked.'],
                [$answer->status, $answer->title()],
            );
        }
    }

    public function testTheFiftyFirstWallIsRefusedAndARevokedOneMakesRoom(): void
    {
        $this->signIn('coach');
        $first = $this->ask('POST', '/api/walls', ['name' => 'Wall 1'])->id();
        for ($number = 2; $number <= 50; ++$number) {
            self::assertSame(201, $this->ask('POST', '/api/walls', ['name' => 'Wall '.$number])->status);
        }
        $refused = $this->ask('POST', '/api/walls', ['name' => 'Wall 51']);
        self::assertSame(
            [409, 'too-many', 'A gym has at most 50 walls. Revoke one that is no longer used.'],
            [$refused->status, $refused->type(), $refused->title()],
        );

        $this->ask('POST', "/api/walls/$first/revoke");
        self::assertSame(201, $this->ask('POST', '/api/walls', ['name' => 'Wall 51'])->status);
    }

    public function testWhatIsDoneToWallsIsInTheAuditLog(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/walls', ['name' => 'Floor'])->id();
        $this->ask('PUT', '/api/walls/'.$id, ['name' => 'Ring']);
        $this->ask('POST', "/api/walls/$id/revoke");
        $entries = $this->ask('GET', '/api/audit-log')->body['entries'];
        self::assertIsArray($entries);

        self::assertSame(
            ['revoked the wall “Ring”', 'changed the wall “Floor”', 'added the wall “Floor”'],
            \array_slice(array_column($entries, 'says'), 0, 3),
        );
    }

    /** @return list<array<string, mixed>> */
    private function walls(): array
    {
        $walls = $this->ask('GET', '/api/walls')->body['walls'];
        self::assertIsArray($walls);

        /** @var list<array<string, mixed>> $walls */
        return $walls;
    }
}
