<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

final class LibraryTest extends ApiTestCase
{
    public function testSavedCombinationIsReadByAnotherCoach(): void
    {
        $this->signIn('head');
        $saved = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['text' => 'jab cross, left hook body, exit', 'stance' => 'orthodox']),
        );
        self::assertSame(
            [201, '"1"', '1 2 3b exit', 'flows'],
            [$saved->status, $saved->etag, $saved->body['notation'], $saved->body['verdict']],
        );

        $this->signIn('second');
        $list = $this->ask('GET', '/api/combinations?q=cellar');
        self::assertSame(1, $list->body['total']);
        $found = $this->ask('GET', '/api/combinations/'.$saved->id());
        self::assertSame(['id' => self::author($saved), 'name' => 'Head Coach'], $found->body['author']);
        self::assertSame($saved->body, $found->body);
    }

    public function testANumberingIsOnlyAWayOfWriting(): void
    {
        $this->signIn('head');
        $saved = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['text' => '1 2 7 K4', 'numbering' => 'body-pairs', 'rules' => 'kickboxing']),
        );

        self::assertSame('1 2 3b 14', $saved->body['notation']);
    }

    /** @param list<string> $names */
    #[TestWith(['q=liver', ['Window']])]
    #[TestWith(['q=lead+hook', ['Elbow', 'Window']])]
    #[TestWith(['q=3b', ['Window']])]
    #[TestWith(['q=zz%25', []])]
    #[TestWith(['q=_ell_', []])]
    #[TestWith(['q=starts+1', ['Elbow', 'Window']])]
    #[TestWith(['q=ends+kick', ['Cold kick', 'Elbow']])]
    #[TestWith(['q=has+2+3', ['Elbow', 'Window']])]
    #[TestWith(['q=no+kick,+level+2', ['Nail', 'Window']])]
    #[TestWith(['q=length+1', ['Cold kick']])]
    #[TestWith(['q=liver+starts+1', ['Window']])]
    #[TestWith(['q=theme+liver', ['Window']])]
    #[TestWith(['q=by+head+breaks', ['Elbow']])]
    #[TestWith(['q=ends+with+an+elbow+or+a+kick,+level+2', ['Elbow']])]
    #[TestWith(['q=from+southpaw', []])]
    #[TestWith(["q=';DROP+TABLE+combination;--", []])]
    #[TestWith(['weapon=leg', ['Cold kick', 'Elbow']])]
    #[TestWith(['weapon=elbow', ['Elbow']])]
    #[TestWith(['verdict=breaks', ['Elbow']])]
    #[TestWith(['verdict=reload&weapon=hand', ['Nail']])]
    #[TestWith(['rules=boxing', ['Nail', 'Window']])]
    #[TestWith(['level=3', ['Cold kick']])]
    #[TestWith(['sort=length', ['Cold kick', 'Nail', 'Window', 'Elbow']])]
    #[TestWith(['sort=name&direction=down', ['Window', 'Nail', 'Elbow', 'Cold kick']])]
    #[TestWith(['size=2&page=2', ['Nail', 'Window']])]
    #[TestWith(['archived=true', []])]
    public function testFiltersAndSorts(string $query, array $names): void
    {
        $this->signIn('head');
        $rows = [
            ['name' => 'Window', 'text' => '1 2 3b exit', 'level' => 2],
            ['name' => 'Nail', 'text' => '2 2', 'level' => 2, 'themes' => []],
            ['name' => 'Cold kick', 'text' => '14l', 'rules' => 'kickboxing', 'level' => 3, 'themes' => []],
            [
                'name' => 'Elbow',
                'text' => '1 2 3 31 push push 31 14h',
                'rules' => 'all-limbs',
                'level' => 2,
                'themes' => [],
            ],
        ];
        foreach ($rows as $row) {
            self::assertSame(
                201,
                $this->ask('POST', '/api/combinations', self::combination(['note' => '', ...$row]))->status,
            );
        }
        $list = $this->ask('GET', '/api/combinations?'.$query)->body['combinations'];

        self::assertIsArray($list);
        if ('sort=length' === $query) {
            $lengths = array_column($list, 'lengthMs');
            $sorted = $lengths;
            sort($sorted);
            self::assertSame($sorted, $lengths);

            return;
        }
        self::assertSame($names, array_column($list, 'name'));
    }

    #[TestWith(['weapon=tail'])]
    #[TestWith(['level=9'])]
    #[TestWith(['size=5000'])]
    #[TestWith(['page=0'])]
    #[TestWith(['sort=password'])]
    #[TestWith(['sort=felt'])]
    public function testUnknownFilterReturns422(string $query): void
    {
        $this->signIn('head');

        self::assertSame(422, $this->ask('GET', '/api/combinations?'.$query)->status);
    }

    public function testTheLevelFollowsTheCheckUntilSomebodyChoosesOne(): void
    {
        $this->signIn('head');
        $level = static fn (Answer $answer): array => [$answer->body['level'], $answer->body['levelChosen']];
        $made = $this->ask('POST', '/api/combinations', self::combination(['text' => '1 2']));
        self::assertSame([1, false], $level($made));

        $long = '(1) 3 38 switch 14h / 6b slip-left 3b shift 2 exit';
        $changed = $this->put($made->id(), 1, ['text' => $long, 'rules' => 'all-limbs']);
        self::assertSame([3, false], $level($changed), 'A changed chain has the level of its own check.');
        $chosen = $this->put($made->id(), 2, ['text' => $long, 'rules' => 'all-limbs', 'level' => 2]);
        self::assertSame([2, true], $level($chosen));
        $kept = $this->put($made->id(), 3, ['text' => '1 2', 'level' => 2]);
        self::assertSame([2, true], $level($kept), 'One that was chosen stays.');
        self::assertSame(
            [1, false],
            $level($this->put($made->id(), 4, ['text' => '1 2', 'level' => 1])),
            'The one that the check gives is nobody\'s choice.',
        );

        // A search by level uses the actual level.
        self::assertSame(1, $this->ask('GET', '/api/combinations?q=level+1')->body['total']);
        self::assertSame(0, $this->ask('GET', '/api/combinations?q=level+2+or+3')->body['total']);
    }

    /** @param array<string, mixed> $with */
    private function put(int $id, int $version, array $with): Answer
    {
        return $this->ask('PUT', "/api/combinations/$id", self::combination($with), ['If-Match' => "\"$version\""]);
    }

    public function testEveryChangeIsAVersion(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $this->signIn('second');
        $changed = $this->ask(
            'PUT',
            "/api/combinations/$id",
            self::combination(['text' => '1 2 3b 2 exit', 'name' => 'Cellar door']),
            ['If-Match' => '"1"'],
        );
        self::assertSame([200, '"2"', 2], [$changed->status, $changed->etag, $changed->body['version']]);

        $versions = $this->ask('GET', "/api/combinations/$id/versions")->body['versions'];
        self::assertIsArray($versions);
        self::assertSame(
            [[2, 'updated', '1 2 3b 2 exit'], [1, 'created', '1 2 3b exit']],
            array_map(
                null,
                array_column($versions, 'version'),
                array_column($versions, 'change'),
                array_column($versions, 'notation'),
            ),
        );
    }

    public function testAStaleWriteIsRefusedWithWhatChanged(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $this->signIn('second');
        $this->ask('PUT', "/api/combinations/$id", self::combination(['text' => '1 2 3b 2 exit', 'level' => 3]), [
            'If-Match' => '"1"',
        ]);
        $this->signIn('head');
        $this->ask('PUT', '/api/me/numbering', ['numbering' => 'body-pairs']);
        $stale = $this->ask('PUT', "/api/combinations/$id", self::combination(['name' => 'Mine']), [
            'If-Match' => '"1"',
        ]);

        self::assertSame(
            [412, 'changed-meanwhile', ['chain', 'level']],
            [$stale->status, $stale->type(), $stale->body['changed']],
        );
        self::assertStringStartsWith(
            'Second Coach changed this combination meanwhile (chain, level).',
            $stale->title(),
        );
        self::assertIsArray($stale->body['current']);
        self::assertSame(
            [2, '1 2 7 2 exit'],
            [$stale->body['current']['version'], $stale->body['current']['text']],
            'In the numbers of whoever wrote last.',
        );
        self::assertSame(
            'Cellar window',
            $this->ask('GET', "/api/combinations/$id")->body['name'],
            'Nothing was overwritten.',
        );
    }

    /** @param array<string, string> $headers */
    #[TestWith([[]])]
    #[TestWith([['If-Match' => '*']])]
    #[TestWith([['If-Match' => '1']])]
    public function testAWriteHasToNameItsVersion(array $headers): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();

        self::assertSame(428, $this->ask('PUT', "/api/combinations/$id", self::combination(), $headers)->status);
        self::assertSame(428, $this->ask('POST', "/api/combinations/$id/archive", null, $headers)->status);
    }

    public function testArchivedIsOutOfUseAndComesBack(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $archived = $this->ask('POST', "/api/combinations/$id/archive", null, ['If-Match' => '"1"']);
        self::assertSame(200, $archived->status);
        self::assertNotNull($archived->body['archivedAt']);
        self::assertSame(0, $this->ask('GET', '/api/combinations')->body['total']);
        self::assertSame(1, $this->ask('GET', '/api/combinations?archived=true')->body['total']);

        self::assertSame(
            200,
            $this->ask('POST', "/api/combinations/$id/restore", null, ['If-Match' => (string) $archived->etag])->status,
        );
        self::assertSame(1, $this->ask('GET', '/api/combinations')->body['total']);
    }

    public function testTheSameChainIsNotSavedTwice(): void
    {
        $this->signIn('head');
        $first = $this->ask('POST', '/api/combinations', self::combination());
        $again = $this->ask(
            'POST',
            '/api/combinations',
            self::combination([
                'name' => 'Other name',
                'text' => 'jab, cross, right hook body, exit',
                'stance' => 'southpaw',
            ]),
        );

        self::assertSame(
            [409, 'already-there', ['id' => $first->id(), 'name' => 'Cellar window']],
            [$again->status, $again->type(), $again->body['existing']],
        );
        self::assertSame(
            201,
            $this->ask('POST', '/api/combinations', self::combination(['text' => '1 2 3b! exit']))->status,
            'Other effort is another combination.',
        );
        self::assertSame(
            200,
            $this->ask('PUT', '/api/combinations/'.$first->id(), self::combination(['name' => 'Renamed']), [
                'If-Match' => '"1"',
            ])->status,
        );

        $archived = $this->ask('POST', '/api/combinations/'.$first->id().'/archive', null, ['If-Match' => '"2"']);
        self::assertSame(
            201,
            $this->ask('POST', '/api/combinations', self::combination(['name' => 'In its place']))->status,
        );
        $restored = $this->ask('POST', '/api/combinations/'.$first->id().'/restore', null, [
            'If-Match' => (string) $archived->etag,
        ]);
        self::assertSame(
            [409, 'already-there'],
            [$restored->status, $restored->type()],
            'Coming back it would be there twice.',
        );
    }

    public function testAChainThatCannotBeReadIsNotSaved(): void
    {
        $this->signIn('head');
        $answer = $this->ask('POST', '/api/combinations', self::combination(['text' => '1 crss 2']));

        self::assertSame([422, 'unreadable-chain'], [$answer->status, $answer->type()]);
        self::assertIsArray($answer->body['problems']);
        self::assertIsArray($answer->body['problems'][0]);
        self::assertSame(
            [2, 4, ['cross']],
            [
                $answer->body['problems'][0]['at'],
                $answer->body['problems'][0]['length'],
                $answer->body['problems'][0]['nearest'],
            ],
        );
        self::assertSame(0, $this->ask('GET', '/api/combinations')->body['total']);
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['name' => '  '], 'name'])]
    #[TestWith([['name' => null], 'name'])]
    #[TestWith([['level' => 4], 'level'])]
    #[TestWith([['rules' => 'chess'], 'rules'])]
    #[TestWith([['themes' => ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i']], 'themes'])]
    #[TestWith([['themes' => [['x']]], 'themes[0]'])]
    #[TestWith([['themes' => ['']], 'themes[0]'])]
    public function testInvalidFieldsAreNamedAsViolations(array $with, string $field): void
    {
        $this->signIn('head');
        $answer = $this->ask('POST', '/api/combinations', self::combination($with));

        self::assertSame(422, $answer->status, $answer->raw);
        self::assertIsArray($answer->body['violations']);
        self::assertContains($field, array_column($answer->body['violations'], 'field'));
    }

    public function testTextIsKeptAsItIsWritten(): void
    {
        $this->signIn('head');
        $note = "<script>alert('1')</script> 🥊 \"Zoë\" \\ %s";
        $id = $this->ask('POST', '/api/combinations', self::combination(['name' => 'Zoë <b>', 'note' => $note]))->id();

        self::assertSame(
            ['Zoë <b>', $note],
            [
                $this->ask('GET', "/api/combinations/$id")->body['name'],
                $this->ask('GET', "/api/combinations/$id")->body['note'],
            ],
        );
    }

    public function testUnknownCombinationReturns404(): void
    {
        $this->signIn('head');

        self::assertSame(404, $this->ask('GET', '/api/combinations/999999999')->status);
        self::assertSame(
            404,
            $this->ask('PUT', '/api/combinations/999999999', self::combination(), ['If-Match' => '"1"'])->status,
        );
        self::assertSame(404, $this->ask('GET', '/api/nothing')->status);
        self::assertSame(405, $this->ask('DELETE', '/api/combinations')->status);
    }

    private static function author(Answer $answer): int
    {
        $author = $answer->body['author'];
        self::assertIsArray($author);
        self::assertIsInt($author['id']);

        return $author['id'];
    }
}
