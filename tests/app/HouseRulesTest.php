<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\RulePreview\PreviewResults;
use Periplus\App\RulePreview\RulePreviews;
use Periplus\App\RulePreview\RulePreviewState;
use Periplus\App\RulePreview\VerdictCount;
use Periplus\App\Search\SearchIndex;
use Periplus\App\Store\Versions;
use Periplus\App\Work\Workers;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\LeadHook;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\Technique\ModelValues;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Clock\NativeClock;

final class HouseRulesTest extends ApiTestCase
{
    /**
     * @param array<string, mixed> $schools
     * @param array<string, string> $severities
     * @param array<string, mixed> $thresholds
     *
     * @return array<string, mixed> a change of the kickboxing set
     */
    public static function change(array $schools = [], array $severities = [], array $thresholds = []): array
    {
        $set = BuiltInHouseRules::named('kickboxing')->jsonSerialize();

        return [
            'schools' => [...$set['schools'], ...$schools],
            'severities' => [...$set['severities'], ...$severities],
            'thresholds' => [...$set['thresholds'], ...$thresholds],
        ];
    }

    public function testEveryRuleComesWithItsReasonAndItsExamples(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('GET', '/api/house-rules');

        self::assertIsArray($answer->body['sets']);
        self::assertIsArray($answer->body['rules']);
        self::assertSame(['boxing', 'kickboxing', 'all-limbs'], array_column($answer->body['sets'], 'id'));
        self::assertContains('static-head', array_column($answer->body['rules'], 'id'));
        self::assertNotContains(
            'angle-taken',
            array_column($answer->body['rules'], 'id'),
            'A credit has no severity to choose.',
        );
    }

    /** The school of the lead hook decides whether a high rear kick can follow it without a wait. */
    public function testSaveBringsTheVerdictsOfThePreview(): void
    {
        $this->signIn('head');
        $hook = $this->save('Hook and high', '1 2 3 14h exit');
        $other = $this->save('Plain', '1 2 3 2 exit');
        $archived = $this->save('Old hook and high', '3 14h exit');
        $this->ask('POST', "/api/combinations/$archived/archive", null, ['If-Match' => '"1"']);
        self::assertSame('reload', $this->verdict($hook));

        $started = $this->ask(
            'POST',
            '/api/house-rules/kickboxing/rule-previews',
            self::change(['leadHook' => 'front-foot']),
        );
        self::assertSame(['running', 3], [$started->body['state'], $started->body['total']]);
        $ready = $this->ask('POST', '/api/rule-previews/'.$started->id().'/advance');
        self::assertSame(['ready', 3], [$ready->body['state'], $ready->body['done']]);
        self::assertSame(
            [['from' => 'reload', 'to' => 'flows', 'count' => 1]],
            $ready->body['changes'],
            'What is archived is not counted.',
        );
        self::assertIsArray($ready->body['changed']);
        self::assertSame([$hook], array_column($ready->body['changed'], 'id'));
        self::assertSame('reload', $this->verdict($hook), 'Nothing is changed by looking.');
        self::assertSame(
            'reload',
            $this->ask('POST', '/api/check', ['text' => '1 2 3 14h', 'rules' => 'kickboxing'])->body['verdict'],
        );

        $saved = $this->ask('POST', '/api/rule-previews/'.$started->id().'/save');
        self::assertSame('saved', $saved->body['state']);
        self::assertSame(
            ['flows', 'flows', 'flows'],
            [$this->verdict($hook), $this->verdict($other), $this->verdict($archived)],
        );
        self::assertSame(
            'flows',
            $this->ask('POST', '/api/check', ['text' => '1 2 3 14h', 'rules' => 'kickboxing'])->body['verdict'],
        );
        self::assertSame(
            'reload',
            $this->ask('POST', '/api/check', ['text' => '1 2 3 14h', 'rules' => 'all-limbs'])->body['verdict'],
            'The other sets are as they were.',
        );
        self::assertSame(
            'saved',
            $this->ask('POST', '/api/rule-previews/'.$started->id().'/save')->body['state'],
            'Twice is once.',
        );
        self::assertSame(
            '"1"',
            $this->ask('GET', "/api/combinations/$hook")->etag,
            'The combination itself was not changed.',
        );
    }

    /** A severity can change what a coach reads without changing any verdict. */
    public function testPreviewCountsFindingsAsWellAsVerdicts(): void
    {
        $this->signIn('head');
        $this->save('No way out', '1 2 3 2 1 2 3 14l');
        $this->save('With a way out', '1 2 3 2 exit');
        $preview = $this->ask(
            'POST',
            '/api/house-rules/kickboxing/rule-previews',
            self::change(severities: ['no-exit' => 'off']),
        )->id();
        $ready = $this->ask('POST', "/api/rule-previews/$preview/advance")->body;

        self::assertSame([[], ['added' => 0, 'removed' => 1, 'combinations' => 1]], [
            $ready['changes'],
            $ready['findings'],
        ]);
    }

    public function testASeverityOfMustBreaksAndBackAgain(): void
    {
        $this->signIn('head');
        $id = $this->save('No way out', '1 2 3 2 1 2 3 14l');
        $before = $this->verdict($id);
        $this->apply(self::change(severities: ['no-exit' => 'must']));
        self::assertSame('breaks', $this->verdict($id));
        $this->apply(self::change());
        self::assertSame($before, $this->verdict($id));
        $sets = $this->ask('GET', '/api/house-rules')->body['sets'];
        self::assertIsArray($sets);
        self::assertSame(
            [true, true, true],
            array_column($sets, 'isBuiltIn'),
            'What equals the built-in set is the built-in set.',
        );
    }

    public function testCombinationsWrittenDuringThePreviewAreCheckedAtTheSave(): void
    {
        $this->signIn('head');
        $first = $this->save('First', '1 2 3 14h exit');
        $preview = $this->ask(
            'POST',
            '/api/house-rules/kickboxing/rule-previews',
            self::change(['leadHook' => 'front-foot']),
        );
        $this->ask('POST', '/api/rule-previews/'.$preview->id().'/advance');
        $late = $this->save('Late', '1 3 14h exit');
        $this->ask(
            'PUT',
            "/api/combinations/$first",
            self::combination(['name' => 'First', 'text' => '2 2 exit', 'rules' => 'kickboxing']),
            ['If-Match' => '"1"'],
        );
        self::assertSame('saved', $this->ask('POST', '/api/rule-previews/'.$preview->id().'/save')->body['state']);

        self::assertSame(['reload', 'flows'], [$this->verdict($first), $this->verdict($late)]);
    }

    public function testTwoChangesOfOneSetDoNotOverwriteEachOther(): void
    {
        $this->signIn('head');
        $first = $this->ask(
            'POST',
            '/api/house-rules/kickboxing/rule-previews',
            self::change(severities: ['no-exit' => 'must']),
        );
        $this->ask('POST', '/api/rule-previews/'.$first->id().'/advance');
        self::service(Connection::class)->executeStatement(
            "UPDATE house_rules SET version = version + 1 WHERE id = 'kickboxing'",
        );
        $answer = $this->ask('POST', '/api/rule-previews/'.$first->id().'/save');

        self::assertSame([412, 'changed-meanwhile'], [$answer->status, $answer->body['type']]);
    }

    public function testUnfinishedPreviewIsNotSaved(): void
    {
        $this->signIn('head');
        $this->save('One', '1 2 exit');
        $preview = $this->ask('POST', '/api/house-rules/kickboxing/rule-previews', self::change());

        self::assertSame(
            [409, 'not-ready'],
            [
                $this->ask('POST', '/api/rule-previews/'.$preview->id().'/save')->status,
                $this->ask('POST', '/api/rule-previews/'.$preview->id().'/save')->body['type'],
            ],
        );
        self::assertSame('running', $this->ask('GET', '/api/rule-previews/'.$preview->id())->body['state']);
    }

    /** As if an earlier core had checked the combinations. */
    public function testAfterAChangeOfTheCoreTheLibraryIsRechecked(): void
    {
        $this->signIn('head');
        $reloads = $this->save('Reloads', '2 2 exit');
        $flows = $this->save('Flows', '1 2 exit');
        $connection = self::service(Connection::class);
        $connection->executeStatement("UPDATE combination SET verdict = 'flows', length_ms = 1");
        $head = $connection->fetchOne("SELECT id FROM user WHERE email = 'head@gym.example'");
        self::assertIsNumeric($head);

        self::assertSame(1, self::service(RulePreviews::class)->refresh('kickboxing', (int) $head));
        self::assertSame(['reload', 'flows'], [$this->verdict($reloads), $this->verdict($flows)]);
        self::assertGreaterThan(500, $connection->fetchOne('SELECT MIN(length_ms) FROM combination'));
        self::assertSame('"1"', $this->ask('GET', "/api/combinations/$reloads")->etag);
    }

    /** The screen asks for all numbers of the body at once. */
    public function testTheEffectsOfEveryNumberOfTheBodyCanBeAskedForTogether(): void
    {
        $this->signIn('head');
        $keys = array_values(array_filter(
            array_keys(ModelValues::all()),
            static fn (string $key): bool => str_starts_with($key, 'body.'),
        ));

        self::assertSame(
            200,
            $this->ask('POST', '/api/house-rules/boxing/effects', ['keys' => $keys])->status,
        );
    }

    public function testWhatAnUpdateChangesIsListedOnceAndAccepted(): void
    {
        $this->signIn('head');
        $this->save('Close', '1 14l 3');
        $this->save('Open', '1 2 exit');
        // As the check before the update stored it.
        $connection = self::service(Connection::class);
        $connection->executeStatement("UPDATE combination SET verdict = 'flows'");
        $head = $connection->fetchOne("SELECT id FROM user WHERE email = 'head@gym.example'");
        self::assertIsNumeric($head);
        self::assertSame(1, self::service(RulePreviews::class)->refresh('kickboxing', (int) $head));

        $this->signIn('coach');
        $updates = $this->ask('GET', '/api/verdict-changes')->body['updates'];
        self::assertIsArray($updates);
        self::assertCount(1, $updates);
        self::assertIsArray($updates[0]);
        self::assertIsArray($updates[0]['changed']);
        self::assertIsArray($updates[0]['changed'][0]);
        $changed = $updates[0]['changed'][0];
        self::assertSame(['Close', 'flows', 'reload'], [$changed['name'], $changed['from'], $changed['to']]);
        self::assertIsString($changed['why']);
        self::assertStringContainsString('The rear foot has come home', $changed['why']);
        self::assertSame(1, $this->ask('GET', '/api/today')->body['verdictChanges']);
        self::assertIsInt($updates[0]['id']);
        $address = '/api/verdict-changes/'.$updates[0]['id'].'/accept';
        self::assertSame(403, $this->ask('POST', $address)->status);

        $this->signIn('head');
        // Another preview of the same rules leaves it alone.
        $this->ask('POST', '/api/house-rules/kickboxing/rule-previews', self::change());
        self::assertSame(204, $this->ask('POST', $address)->status);
        self::assertSame([], $this->ask('GET', '/api/verdict-changes')->body['updates']);
        self::assertSame(0, $this->ask('GET', '/api/today')->body['verdictChanges']);
        self::assertSame(404, $this->ask('POST', $address)->status, 'It is accepted once.');
    }

    /** Old combinations without the information whether a coach chose the level are decided only by gym:recheck. */
    public function testALevelFollowsTheCheckOnlyWhereNoCoachChoseIt(): void
    {
        $this->signIn('head');
        [$chosen, $follows, $undecided] = [
            $this->save('Chosen', '1 2 exit'),
            $this->save('Follows', '1 1 2 exit'),
            $this->save('Undecided', '1 2 2 exit'),
        ];
        $connection = self::service(Connection::class);
        $connection->executeStatement(
            'UPDATE combination SET level = 3, level_chosen = CASE id WHEN ? THEN 1 WHEN ? THEN 0 END',
            [$chosen, $follows],
        );
        $connection->executeStatement("UPDATE index_term SET term = '@level 3' WHERE term LIKE '@level %'");
        $head = $connection->fetchOne("SELECT id FROM user WHERE email = 'head@gym.example'");
        self::assertIsNumeric($head);
        self::service(RulePreviews::class)->refresh('kickboxing', (int) $head);

        self::assertSame(
            [$chosen => 3, $follows => 1, $undecided => 3],
            $connection->fetchAllKeyValue('SELECT id, level FROM combination ORDER BY id'),
        );
        $ofLevel = fn (int $level): array => array_column(
            (array) $this->ask('GET', "/api/combinations?level=$level")->body['combinations'],
            'id',
        );
        self::assertSame([$chosen, $undecided], $ofLevel(3), 'The index says the same.');
        self::assertSame([$follows], $ofLevel(1));
    }

    /** A preview that is interrupted after any batch continues in another process with the same result. */
    public function testPreviewContinuesWhereItWasKilled(): void
    {
        $this->signIn('head');
        foreach (['1 2', '2 2', '3 14h', '1 3 14h', '2 3 14h', '1 2 3 14h', '3 3'] as $index => $chain) {
            $this->save('Number '.$index, $chain.' exit');
        }
        $connection = self::service(Connection::class);
        $process = static fn (): RulePreviews => new RulePreviews(
            entities: self::service(EntityManagerInterface::class),
            results: self::service(PreviewResults::class),
            table: self::service(CombinationTable::class),
            search: self::service(SearchIndex::class),
            rules: self::service(GymHouseRules::class),
            versions: self::service(Versions::class),
            lock: self::service(LibraryLock::class),
            accounts: self::service(Accounts::class),
            audit: self::service(AuditLog::class),
            clock: new NativeClock(),
            workers: self::service(Workers::class),
            batch: 3,
        );
        $rules = BuiltInHouseRules::named('kickboxing')->inSchools(new Schools(LeadHook::FrontFoot));
        $head = $connection->fetchOne("SELECT id FROM user WHERE email = 'head@gym.example'");
        self::assertIsNumeric($head);
        $preview = $process()->start($rules, (int) $head);
        $steps = [];
        do {
            $again = $process()->start($rules, (int) $head);
            self::assertSame(
                [$preview->id(), $preview->done()],
                [$again->id(), $again->done()],
                'Asked for anew it goes on.',
            );
            $preview = $process()->advance($preview->id(), 0.0);
            $steps[] = $preview->done();
        } while (RulePreviewState::Running === $preview->state());

        self::assertSame([3, 6, 7], $steps);
        self::assertNotSame(
            $preview->id(),
            $process()->start($rules, (int) $head)->id(),
            'What is done is not gone on with.',
        );
        self::assertSame(
            0,
            $process()->start(BuiltInHouseRules::named('kickboxing'), (int) $head)->done(),
            'Another change is another pass.',
        );
        $preview = $process()->advance($process()->start($rules, (int) $head)->id(), 5.0);
        self::assertEquals(
            [new VerdictCount(Verdict::Reload, Verdict::Flows, 4)],
            VerdictCount::all($process()->changed($preview)),
        );
    }

    /** @param array<string, array<string, mixed>> $change */
    #[TestWith([['schools' => ['leadHook' => 'sideways']]])]
    #[TestWith([['severities' => ['no-exit' => 'perhaps']]])]
    #[TestWith([['severities' => ['no-such-rule' => 'must']]])]
    #[TestWith([['thresholds' => ['static-head' => 0]]])]
    #[TestWith([['thresholds' => ['tempo-limit' => 7.5]]])]
    #[TestWith([['thresholds' => ['overcommitted' => 'many']]])]
    #[TestWith([['calibration' => ['body.turnRate' => 10]]])]
    #[TestWith([['calibration' => ['body.turnRate' => 'fast']]])]
    #[TestWith([['calibration' => ['nobody.out' => 100]]])]
    #[TestWith([['calibration' => [1, 2, 3]]])]
    #[TestWith([
        ['calibration' => ['lead-round-kick.needs.load.from' => 0.25, 'lead-round-kick.needs.load.to' => 0.2]],
    ]),]
    public function testRulesThatMakeNoSenseAreRefused(array $change): void
    {
        $this->signIn('head');
        /** @var array<string, mixed> $body */
        $body = array_replace_recursive(self::change(), $change);
        $answer = $this->ask('POST', '/api/house-rules/kickboxing/rule-previews', $body);

        self::assertSame(422, $answer->status);
        self::assertNotSame('', $answer->title());
    }

    public function testAGymMaySetItsOwnNumbersWithinBounds(): void
    {
        $this->signIn('head');
        $id = $this->save('Two crosses', '1 2 2 exit');
        self::assertSame('reload', $this->verdict($id));
        $this->apply([...self::change(), 'calibration' => ['body.turnRate' => 250, 'body.shortReturn' => 0.3]]);
        self::assertSame('flows', $this->verdict($id));
        self::assertSame(
            'flows',
            $this->ask('POST', '/api/check', ['text' => '1 2 2 exit', 'rules' => 'kickboxing'])->body['verdict'],
        );
        self::assertSame(
            'reload',
            $this->ask('POST', '/api/check', ['text' => '1 2 2 exit', 'rules' => 'boxing'])->body['verdict'],
            'The other sets are as they were.',
        );
        $sets = array_column((array) $this->ask('GET', '/api/house-rules')->body['sets'], null, 'id');
        self::assertSame(
            ['body.shortReturn' => 0.3, 'body.turnRate' => 250],
            array_map(static fn (mixed $value): mixed => $value, (array) ((array) $sets['kickboxing'])['calibration']),
        );
        $this->apply(self::change(severities: ['no-exit' => 'off']));
        self::assertSame('flows', $this->verdict($id), 'Who says nothing of the numbers leaves them.');
        $this->apply([...self::change(), 'calibration' => (object) []]);
        self::assertSame('reload', $this->verdict($id));
    }

    public function testTheEffectOfANumberIsCountedOnLabelledAndOwnChains(): void
    {
        $this->signIn('head');
        $this->save('Two crosses', '1 2 2 exit');
        $answer = $this->ask('POST', '/api/house-rules/kickboxing/effects', [
            'keys' => ['body.flows', 'cross.out'],
            'calibration' => ['body.flows' => 200],
        ]);

        self::assertSame(200, $answer->status, $answer->raw);
        self::assertSame(1, $answer->body['gym']);
        /**
         * @var list<array{
         *     key: string,
         *     moves: list<array{to: int|float, labelled: int, agree: int, agreed: int, gym: int}>,
         * }> $effects
         */
        $effects = $answer->body['effects'];
        self::assertSame(['body.flows', 'cross.out'], array_column($effects, 'key'));
        self::assertGreaterThan(0, array_sum(array_column($effects[0]['moves'], 'labelled')));
        self::assertSame(
            [180, 220],
            array_map(static fn (array $move): int => (int) $move['to'], $effects[0]['moves']),
        );
        self::assertSame(
            [0, 0],
            array_column($effects[1]['moves'], 'labelled'),
            'How long a strike is on its way out is nobody\'s wait.',
        );
        self::assertSame(
            422,
            $this->ask('POST', '/api/house-rules/kickboxing/effects', ['keys' => ['body.nothing']])->status,
        );
        self::assertSame(
            422,
            $this->ask('POST', '/api/house-rules/kickboxing/effects', [
                'keys' => ['body.flows'],
                'calibration' => ['body.flows' => 9000],
            ])->status,
        );
        self::assertSame(
            404,
            $this->ask('POST', '/api/house-rules/wrestling/effects', ['keys' => ['body.flows']])->status,
        );
    }

    public function testEveryNumberOfTheModelSaysWhatItIsAndWhereItComesFrom(): void
    {
        $this->signIn('coach');
        /**
         * @var list<array{
         *     of: string,
         *     values: list<array{value: int|float, unit: string, source: string, least: int|float, most: int|float}>,
         * }> $groups
         */
        $groups = $this->ask('GET', '/api/model')->body['groups'];

        self::assertSame('body', $groups[0]['of']);
        foreach ($groups as $group) {
            foreach ($group['values'] as $value) {
                self::assertNotSame('', $value['unit'].$value['source']);
                self::assertGreaterThanOrEqual($value['least'], $value['value']);
                self::assertLessThanOrEqual($value['most'], $value['value']);
            }
        }
    }

    public function testUnknownRuleSetThrows(): void
    {
        $this->signIn('head');
        self::assertSame(404, $this->ask('POST', '/api/house-rules/wrestling/rule-previews', self::change())->status);
    }

    /** @param array<string, mixed> $change */
    private function apply(array $change): void
    {
        $preview = $this->ask('POST', '/api/house-rules/kickboxing/rule-previews', $change);
        self::assertSame(201, $preview->status, $preview->raw);
        $this->ask('POST', '/api/rule-previews/'.$preview->id().'/advance');
        self::assertSame('saved', $this->ask('POST', '/api/rule-previews/'.$preview->id().'/save')->body['state']);
    }

    private function save(string $name, string $chain): int
    {
        $answer = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => $name, 'text' => $chain, 'rules' => 'kickboxing']),
        );
        self::assertSame(201, $answer->status, $answer->raw);

        return $answer->id();
    }

    private function verdict(int $id): mixed
    {
        return $this->ask('GET', "/api/combinations/$id")->body['verdict'];
    }
}
