<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Invitations;
use Periplus\App\Account\User;
use Periplus\App\Gym\Gyms;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** Setting up a gym: founding it, its first head coach, the setup steps, and recovery of a lost password. */
final class GymSetupTest extends ApiTestCase
{
    public function testTheFirstHeadCoachTakesUpAnEmptyGymOnce(): void
    {
        $token = $this->found('Harbour boxing');
        $look = $this->ask('POST', '/api/invitations/look', ['token' => $token]);
        self::assertSame(
            ['setup', 'head-coach', 'Harbour boxing'],
            [$look->body['kind'], $look->body['role'], $look->body['gym']],
        );
        self::assertSame(204, $this->accept($token)->status);
        $session = $this->ask('GET', '/api/session')->body;
        self::assertSame(
            ['head-coach', 'Harbour boxing', false, true],
            [
                self::of($session, 'user', 'role'),
                self::of($session, 'gym', 'name'),
                self::of($session, 'gym', 'isDemo'),
                self::of($session, 'gym', 'isBeingSetUp'),
            ],
        );
        $this->signOut();
        self::assertSame(404, $this->accept($token)->status, 'It is good once.');
    }

    public function testASecondLinkForTheFirstHeadCoachEndsTheOneBefore(): void
    {
        $first = $this->found('Harbour boxing');
        $second = trim($this->command('gym:setup-link'));

        self::assertSame(404, $this->ask('POST', '/api/invitations/look', ['token' => $first])->status);
        self::assertSame(200, $this->ask('POST', '/api/invitations/look', ['token' => self::token($second)])->status);
    }

    public function testNoLinkForAFirstHeadCoachIsMadeOnceThereIsAnAccount(): void
    {
        $token = $this->found('Harbour boxing');
        $this->accept($token);

        self::assertSame('', trim($this->command('gym:setup-link')));
    }

    public function testAGymIsFoundedInAnEmptyDatabaseAlone(): void
    {
        $this->found('Harbour boxing');

        self::assertStringContainsString('holds the gym', $this->command('gym:found', ['name' => 'Another'], 1));
        self::assertStringContainsString('1 to 80 characters', $this->command('gym:found', ['name' => ' '], 1));
    }

    public function testEachStepOfTheSetupIsDoneOrSkippedAndDoneLater(): void
    {
        $this->accept($this->found('Harbour boxing'));
        $this->freshToken();
        foreach ([
            'gym' => 'done',
            'numbering' => 'skipped',
            'training' => 'skipped',
            'library' => 'done',
        ] as $step => $outcome) {
            self::assertTrue($this->ask('GET', '/api/gym')->body['isBeingSetUp']);
            self::assertSame(
                200,
                $this->ask('POST', '/api/gym/setup', ['step' => $step, 'outcome' => $outcome])->status,
            );
        }
        self::assertFalse($this->ask('GET', '/api/gym')->body['isBeingSetUp']);
        $this->ask('POST', '/api/gym/setup', ['step' => 'training', 'outcome' => 'done']);
        $later = $this->ask('POST', '/api/gym/setup', ['step' => 'gym', 'outcome' => 'skipped'])->body['setup'];

        self::assertSame(
            ['gym' => 'done', 'numbering' => 'skipped', 'training' => 'done', 'library' => 'done'],
            $later,
        );
    }

    public function testTheNameOfTheGymIsOnWallsAndCardsAtOnce(): void
    {
        $this->signIn('head');
        $this->ask('POST', '/api/combinations', self::combination());
        self::assertSame(
            200,
            $this->ask(
                'PUT',
                '/api/gym',
                ['name' => 'North quay', 'timeZone' => 'Europe/Lisbon', 'firstWeekday' => 7],
                ['If-Match' => '"1"'],
            )->status,
        );
        $this->ask('POST', '/api/walls', ['name' => 'Floor']);
        /** @var list<array{key: string}> $walls */
        $walls = $this->ask('GET', '/api/walls')->body['walls'];

        self::assertSame('North quay', $this->ask('GET', '/api/screens/'.$walls[0]['key'])->body['gym']);
        self::assertSame(7, self::of($this->ask('GET', '/api/session')->body, 'gym', 'firstWeekday'));
    }

    public function testTwoHeadCoachesDoNotOverwriteEachOthersSettings(): void
    {
        $this->signIn('head');
        $this->ask('PUT', '/api/gym', ['name' => 'First', 'timeZone' => 'UTC'], ['If-Match' => '"1"']);
        $second = $this->ask('PUT', '/api/gym', ['name' => 'Second', 'timeZone' => 'UTC'], ['If-Match' => '"1"']);

        self::assertSame(
            [412, 'changed-meanwhile', 'First'],
            [$second->status, $second->type(), $this->ask('GET', '/api/gym')->body['name']],
        );
    }

    /** @param array<string, mixed> $with */
    #[TestWith(['/api/gym', ['name' => ' ']])]
    #[TestWith(['/api/gym', ['timeZone' => 'Mars/Olympus']])]
    #[TestWith(['/api/gym', ['firstWeekday' => 8]])]
    #[TestWith(['/api/gym/training', ['rules' => 'sumo']])]
    #[TestWith(['/api/gym/training', ['media' => []]])]
    #[TestWith(['/api/gym/training', ['groups' => ['open', 'open']]])]
    public function testOddSettingsAreRefused(string $path, array $with): void
    {
        $this->signIn('head');
        $body = '/api/gym' === $path ? ['name' => 'Ours', 'timeZone' => 'UTC'] : [
            'rules' => 'boxing',
            'media' => ['bag'],
            'groups' => ['open'],
        ];

        self::assertSame(422, $this->ask('PUT', $path, [...$body, ...$with], ['If-Match' => '"1"'])->status);
    }

    public function testTheStarterLibraryComesInAsAnImport(): void
    {
        $this->signIn('head');
        $starter = $this->ask('GET', '/api/starter-library?rules=kickboxing')->body;
        $file = json_encode($starter['file'], \JSON_THROW_ON_ERROR);
        $import = $this->ask('POST', '/api/imports', ['format' => 'json', 'content' => $file])->id();
        while ('reading' === $this->ask('GET', "/api/imports/$import")->body['state']) {
            $this->ask('POST', "/api/imports/$import/advance");
        }
        $applied = $this->ask('POST', "/api/imports/$import/apply")->body;
        self::assertIsArray($starter['sports']);
        $expected = array_sum(
            array_map(
                static fn (mixed $sport): int => \is_array($sport) && \is_array($sport['levels'] ?? null)
                    ? (int) array_sum($sport['levels'])
                    : 0,
                $starter['sports'],
            ),
        );

        self::assertSame(['new' => $expected], $applied['counts']);
        self::assertSame(
            $expected,
            $this->ask('GET', '/api/combinations?verdict=flows&size=1')->body['total'],
            'all of it flows',
        );
        self::assertSame(
            0,
            $this->ask('GET', '/api/combinations?weapon=elbow&size=1')->body['total'],
            'nothing that the rules do not know',
        );
    }

    public function testAnOnlyHeadCoachGetsBackInFromTheMachine(): void
    {
        $link = $this->command('coach:link', ['email' => ' HEAD@gym.example ']);
        self::assertStringContainsString('Head Coach sets a new password here', $link);
        $this->signOut();
        self::assertSame(
            204,
            $this->ask(
                'POST',
                '/api/invitations/accept',
                ['token' => self::token($link), 'password' => 'four plain words here'],
            )->status,
        );
        $this->signOut();

        self::assertSame(
            200,
            $this->ask(
                'POST',
                '/api/session',
                ['email' => 'head@gym.example', 'password' => 'four plain words here'],
            )->status,
        );
        $this->signOut();
        self::assertSame(404, $this->ask('POST', '/api/invitations/look', ['token' => self::token($link)])->status);
    }

    public function testABlockedHeadCoachIsLetInFromTheMachineAndABlockedCoachIsNot(): void
    {
        $entities = self::service(EntityManagerInterface::class);
        foreach (['head', 'coach'] as $name) {
            $entities->getRepository(User::class)->findOneBy(['email' => $name.'@gym.example'])?->block();
        }
        $entities->flush();

        self::assertStringContainsString('/join#', $this->command('coach:link', ['email' => 'head@gym.example']));
        self::assertStringContainsString(
            'is blocked',
            $this->command('coach:link', ['email' => 'coach@gym.example'], 1),
        );
        self::assertStringContainsString(
            'No coach signs in as',
            $this->command('coach:link', ['email' => 'nobody@gym.example'], 1),
        );
        self::assertStringContainsString('coach, blocked', $this->command('coach:list'));
    }

    public function testTheSummaryCountsWhatTheGymHolds(): void
    {
        $this->signIn('head');
        $this->ask('POST', '/api/combinations', self::combination());
        $summary = json_decode($this->command('gym:summary'), true, flags: \JSON_THROW_ON_ERROR);

        self::assertIsArray($summary);
        self::assertSame(
            [['Cellar window'], 1, 4],
            [
                $summary['combinations'],
                self::of($summary, 'counts', 'combinations'),
                self::of($summary, 'counts', 'coaches'),
            ],
        );
        self::assertSame($summary, $this->ask('GET', '/api/status')->body['summary']);
    }

    /** @return string the word of the link */
    private function found(string $name): string
    {
        $entities = self::service(EntityManagerInterface::class);
        $entities->createQuery('DELETE FROM '.User::class)->execute();
        $entities->clear();
        self::assertSame('', $this->command('gym:found', ['name' => $name]));
        self::assertSame($name, self::service(Gyms::class)->get()->name());
        $this->signOut();

        return self::service(Invitations::class)->setUp()->token;
    }

    private function accept(string $token): Answer
    {
        return $this->ask(
            'POST',
            '/api/invitations/accept',
            [
                'token' => $token,
                'password' => 'four plain words here',
                'name' => 'Maren',
                'email' => 'maren@harbour.example',
            ],
        );
    }

    public function testWhereNobodyLooksAfterTheServerThePageAsksForNoBackup(): void
    {
        $away = self::keeperFolder().'-away';
        @rename(self::keeperFolder(), $away);
        $this->signIn('head');
        $status = $this->ask('GET', '/api/status')->body;
        $refusal = $this->ask('POST', '/api/backups')->type();
        @rename($away, self::keeperFolder());

        self::assertSame([false, false], [$status['hasKeeper'], $status['backupIsOld']]);
        self::assertSame('no-keeper', $refusal);
    }

    /** @param array<string, string> $arguments */
    private function command(string $name, array $arguments = [], int $status = 0): string
    {
        self::assertNotNull(self::$kernel);
        $tester = new CommandTester((new Application(self::$kernel))->find($name));
        self::assertSame($status, $tester->execute($arguments), $tester->getDisplay());

        return $tester->getDisplay();
    }

    private static function token(string $printed): string
    {
        return trim(explode('#', $printed, 2)[1] ?? '');
    }

    /** @param array<mixed> $body */
    private static function of(array $body, string $part, string $member): mixed
    {
        return \is_array($body[$part] ?? null) ? $body[$part][$member] ?? null : null;
    }
}
