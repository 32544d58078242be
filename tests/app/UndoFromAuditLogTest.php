<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

/** Changes of the whole gym are undone from the audit log, and never over a newer change. */
final class UndoFromAuditLogTest extends ApiTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn('head');
    }

    public function testNumberingOfTheGymGoesBack(): void
    {
        $this->ask('PUT', '/api/gym/numbering', ['numbering' => 'body-pairs']);
        self::assertSame('body-pairs', $this->ofGym());

        self::assertSame(204, $this->undo()->status);
        self::assertSame('parity', $this->ofGym());

        self::assertSame(204, $this->undo()->status, 'the undo is a change that can be undone');
        self::assertSame('body-pairs', $this->ofGym());
    }

    public function testTimeZoneOfTheGymGoesBack(): void
    {
        $gym = $this->ask('GET', '/api/gym')->body;
        $this->ask(
            'PUT',
            '/api/gym',
            ['name' => $gym['name'], 'timeZone' => 'Asia/Tokyo', 'firstWeekday' => $gym['firstWeekday']],
            ['If-Match' => '"'.json_encode($gym['version']).'"'],
        );
        self::assertSame('Asia/Tokyo', $this->ask('GET', '/api/gym')->body['timeZone']);

        self::assertSame(204, $this->undo()->status);
        self::assertSame($gym['timeZone'], $this->ask('GET', '/api/gym')->body['timeZone']);
    }

    public function testVoiceGoesBack(): void
    {
        $this->ask('PUT', '/api/voice', ['voice' => 'female', 'pace' => 'slow', 'loudness' => 'quiet']);

        self::assertSame(204, $this->undo()->status);
        self::assertSame('male', $this->ask('GET', '/api/voice')->body['voice']);
    }

    public function testPassedOverWordsGoBack(): void
    {
        $words = ['own' => ['zamba'], 'kept' => ['slap']];
        $this->ask('PUT', '/api/passed-over-words', $words, ['If-Match' => '"1"']);
        self::assertSame(['zamba'], $this->ask('GET', '/api/passed-over-words')->body['own']);

        self::assertSame(204, $this->undo()->status);
        $after = $this->ask('GET', '/api/passed-over-words')->body;
        self::assertSame([[], [], 3], [$after['own'], $after['kept'], $after['version']]);
    }

    public function testAnOlderChangeIsNotUndoneOverANewerOne(): void
    {
        $this->ask('PUT', '/api/gym/numbering', ['numbering' => 'body-pairs']);
        $older = $this->undoable()[0];
        $this->ask('PUT', '/api/gym/numbering', ['numbering' => 'parity']);

        $answer = $this->ask('POST', "/api/audit-log/$older/undo");

        self::assertSame([409, 'changed-since'], [$answer->status, $answer->body['type']]);
        self::assertSame('parity', $this->ofGym());
    }

    public function testEarlierHouseRulesAreReadFromTheLog(): void
    {
        $set = HouseRulesTest::change(severities: ['no-exit' => 'must']);
        $preview = $this->ask('POST', '/api/house-rules/kickboxing/rule-previews', $set)->id();
        $this->ask('POST', "/api/rule-previews/$preview/advance");
        $this->ask('POST', "/api/rule-previews/$preview/save");
        $id = $this->undoable()[0];

        $before = $this->ask('GET', "/api/audit-log/$id")->body['before'];

        self::assertIsArray($before);
        self::assertIsArray($before['severities']);
        self::assertNotSame('must', $before['severities']['no-exit']);
        $answer = $this->ask('POST', "/api/audit-log/$id/undo");
        self::assertSame(422, $answer->status, 'rules are previewed before they are saved');
    }

    public function testAChangeWithoutAnEarlierStateCannotBeUndone(): void
    {
        $this->ask('POST', '/api/combinations', self::combination());
        /** @var list<array{id: int}> $entries */
        $entries = $this->ask('GET', '/api/audit-log?what=combination')->body['entries'];

        self::assertSame(422, $this->ask('POST', "/api/audit-log/{$entries[0]['id']}/undo")->status);
    }

    private function undo(): Answer
    {
        $id = $this->undoable()[0];

        return $this->ask('POST', "/api/audit-log/$id/undo");
    }

    /** @return non-empty-list<int> the newest first */
    private function undoable(): array
    {
        /** @var list<array{id: int, canUndo: bool}> $entries */
        $entries = $this->ask('GET', '/api/audit-log')->body['entries'];
        $ids = array_column(array_filter($entries, static fn (array $entry): bool => $entry['canUndo']), 'id');
        self::assertNotSame([], $ids);

        return $ids;
    }

    private function ofGym(): mixed
    {
        return $this->ask('GET', '/api/numberings')->body['ofGym'];
    }
}
