<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** Numberings, coaches, invitations, passwords and the audit log. */
final class GymTest extends ApiTestCase
{
    private const OURS = [
        'name' => 'Saltworks numbers',
        'about' => 'Seven is the liver.',
        'boundTo' => 'role',
        'numbers' => [
            ['number' => '1', 'family' => 'straight', 'position' => 'lead'],
            ['number' => '2', 'family' => 'straight', 'position' => 'rear'],
            ['number' => '3', 'family' => 'hook', 'position' => 'lead'],
            ['number' => '7', 'family' => 'hook', 'position' => 'lead', 'target' => 'body', 'name' => 'liver hook'],
        ],
    ];

    public function testAChainEnteredInOneNumberingIsReadInAnother(): void
    {
        $this->signIn('head');
        self::assertSame(201, $this->numbering('saltworks-numbers', self::OURS, ['If-None-Match' => '*'])->status);
        $id = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['text' => '1 2 7 exit', 'numbering' => 'saltworks-numbers']),
        )->id();

        $this->signIn('coach');
        self::assertSame(['1 2 3b exit', '1 2 3b exit'], [$this->text($id), $this->listed()]);
        self::assertSame(204, $this->ask('PUT', '/api/me/numbering', ['numbering' => 'saltworks-numbers'])->status);
        self::assertSame('saltworks-numbers', $this->user()['numbering']);
        self::assertSame(['1 2 7 exit', '1 2 7 exit'], [$this->text($id), $this->listed()]);
        self::assertSame(
            1,
            $this->ask('GET', '/api/combinations?q=has+7')->body['total'],
            'Searches are read in it, too.',
        );
        $check = $this->ask('POST', '/api/check', [
            'text' => '1 2 3b exit',
            'numbering' => 'parity',
            'readIn' => 'saltworks-numbers',
        ]);
        self::assertSame(['1 2 7 exit', '1 2 3b exit'], [$check->body['text'], $check->body['notation']]);

        $this->ask('PUT', '/api/me/numbering', ['numbering' => null]);
        $this->signIn('head');
        $this->ask('PUT', '/api/gym/numbering', ['numbering' => 'saltworks-numbers']);
        $this->signIn('coach');
        self::assertSame(
            '1 2 7 exit',
            $this->text($id),
            'The numbering of the gym is that of whoever has chosen none.',
        );
    }

    public function testAChangedNumberingChangesNoChain(): void
    {
        $this->signIn('head');
        $this->numbering('ours', self::OURS, ['If-None-Match' => '*']);
        $id = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['text' => '1 2 7 exit', 'numbering' => 'ours']),
        )->id();
        $changed = self::OURS;
        $changed['numbers'][3]['number'] = 'B1';
        self::assertSame(412, $this->numbering('ours', $changed, ['If-Match' => '"9"'])->status);
        self::assertSame(409, $this->numbering('ours', $changed, ['If-None-Match' => '*'])->status);
        self::assertSame(
            409,
            $this->numbering('parity', $changed, ['If-None-Match' => '*'])->status,
            'Built-in ones stay.',
        );
        self::assertSame(2, $this->numbering('ours', $changed, ['If-Match' => '"1"'])->body['version']);

        $this->ask('PUT', '/api/me/numbering', ['numbering' => 'ours']);
        $this->signIn('head');
        $read = $this->ask('GET', "/api/combinations/$id")->body;
        self::assertSame(['1 2 B1 exit', '1 2 3b exit', 1], [$read['text'], $read['notation'], $read['version']]);
    }

    public function testAPreviewShowsClashesGapsAndHowTheLibraryReads(): void
    {
        $this->signIn('head');
        $this->ask('POST', '/api/combinations', self::combination());
        $this->ask('POST', '/api/combinations', self::combination(['name' => 'Plain', 'text' => '1 2']));
        $preview = $this->ask('POST', '/api/numberings/preview', [...self::OURS, 'comparedWith' => 'parity'])->body;
        self::assertSame([1, 2, []], [$preview['changed'], $preview['lookedAt'], $preview['problems']]);
        self::assertSame(
            [['1 2 3b exit', '1 2 7 exit'], ['1 2', '1 2']],
            array_map(
                null,
                array_column((array) $preview['samples'], 'before'),
                array_column((array) $preview['samples'], 'after'),
            ),
        );
        self::assertContains('lead uppercut', array_column((array) $preview['gaps'], 'strike'));
        self::assertSame(
            [['number' => '7', 'one' => 'lead hook to the body', 'other' => 'lead shovel hook']],
            $preview['differences'],
        );

        $clash = self::OURS;
        $clash['numbers'][3]['number'] = '3';
        $problems = (array) $this->ask('POST', '/api/numberings/preview', $clash)->body['problems'];
        self::assertSame([3], array_column($problems, 'row'));
        self::assertSame(422, $this->numbering('clash', $clash, ['If-None-Match' => '*'])->status);
    }

    public function testAListIsTranslatedLineByLine(): void
    {
        $this->signIn('coach');
        $body = $this->ask('POST', '/api/translate', [
            'text' => "1 2 7 exit # Cellar window\n\n1 2 zork\njab, left hook body",
            'from' => 'body-pairs',
            'to' => 'parity',
            'stance' => 'southpaw',
        ])->body;

        self::assertSame(
            ['1 2 3b exit # Cellar window', '', null, '1 4b'],
            array_column((array) $body['lines'], 'written'),
        );
        self::assertSame(['7', '8'], array_column((array) $body['differences'], 'number'));
        self::assertSame(422, $this->ask('POST', '/api/translate', ['text' => str_repeat("1\n", 400)])->status);
    }

    public function testAnInvitedCoachComesIn(): void
    {
        $this->signIn('head');
        $link = $this->ask('POST', '/api/invitations', ['role' => 'coach'])->body['token'];
        self::assertIsString($link);
        $this->signOut();
        self::assertSame(
            ['invite', 'coach'],
            array_values(
                array_intersect_key($this->ask('POST', '/api/invitations/look', ['token' => $link])->body, [
                    'kind' => 1,
                    'role' => 1,
                ]),
            ),
        );
        self::assertSame(
            422,
            $this->ask('POST', '/api/invitations/accept', [
                'token' => $link,
                'password' => 'short',
                'name' => 'New',
                'email' => 'new@gym.example',
            ])->status,
        );
        self::assertSame(
            422,
            $this->ask('POST', '/api/invitations/accept', ['token' => $link, 'password' => self::PASSWORD])->status,
        );
        self::assertSame(
            409,
            $this->ask('POST', '/api/invitations/accept', [
                'token' => $link,
                'password' => self::PASSWORD,
                'name' => 'New',
                'email' => 'coach@gym.example',
            ])->status,
            'The link is not used up by it.',
        );
        self::assertSame(
            204,
            $this->ask('POST', '/api/invitations/accept', [
                'token' => $link,
                'password' => self::PASSWORD,
                'name' => 'New',
                'email' => 'new@gym.example',
            ])->status,
        );
        $session = $this->ask('GET', '/api/session')->body['user'];
        self::assertIsArray($session, 'Whoever has just given a password is signed in.');
        self::assertSame('New', $session['name']);
        $this->signOut();
        self::assertSame(
            404,
            $this->ask('POST', '/api/invitations/accept', [
                'token' => $link,
                'password' => self::PASSWORD,
                'name' => 'More',
                'email' => 'more@gym.example',
            ])->status,
            'Once.',
        );
        $this->signIn('new');
        self::assertSame('coach', $this->user()['role']);
    }

    public function testInvitationLinkExpiresAfterAWeek(): void
    {
        $this->signIn('head');
        $link = $this->ask('POST', '/api/invitations', ['role' => 'coach'])->body['token'];
        self::assertIsString($link);
        self::service(Connection::class)->executeStatement('UPDATE invitation SET expires_at = ?', [
            '2020-01-01 00:00:00',
        ]);
        self::assertSame('link-used-up', $this->ask('POST', '/api/invitations/look', ['token' => $link])->type());
    }

    public function testAPasswordIsResetByALinkAndChangedByItsOwner(): void
    {
        $this->signIn('head');
        // Clears what setUp has left in the entity manager.
        self::service(EntityManagerInterface::class)->clear();
        $coaches = (array) $this->ask('GET', '/api/coaches')->body['coaches'];
        $id = array_column($coaches, 'id', 'email')['coach@gym.example'] ?? null;
        self::assertIsInt($id);
        self::assertNotNull(array_column($coaches, 'lastSignIn', 'email')['head@gym.example']);
        self::assertNull(array_column($coaches, 'lastSignIn', 'email')['coach@gym.example']);
        $link = $this->ask('POST', "/api/coaches/$id/reset")->body['token'];
        self::assertIsString($link);
        $this->signOut();
        self::assertSame(
            204,
            $this->ask('POST', '/api/invitations/accept', ['token' => $link, 'password' => 'quite-another-one'])
                ->status,
        );
        $this->signOut();
        self::assertSame(
            401,
            $this->ask('POST', '/api/session', ['email' => 'coach@gym.example', 'password' => self::PASSWORD])->status,
        );

        $this->signIn('other');
        self::assertSame(
            'wrong-password',
            $this->ask('PUT', '/api/me/password', ['current' => 'nonsense', 'new' => 'quite-another-one'])->type(),
        );
        self::assertSame(
            422,
            $this->ask('PUT', '/api/me/password', ['current' => self::PASSWORD, 'new' => 'short'])->status,
        );
        self::assertSame(
            204,
            $this->ask('PUT', '/api/me/password', ['current' => self::PASSWORD, 'new' => 'quite-another-one'])->status,
        );
        self::assertSame(200, $this->ask('GET', '/api/numberings')->status, 'Whoever changes it stays signed in.');
        $this->signOut();
        self::assertSame(
            200,
            $this->ask('POST', '/api/session', ['email' => 'other@gym.example', 'password' => 'quite-another-one'])
                ->status,
        );
    }

    public function testRolesChangeAndTheLastHeadCoachStays(): void
    {
        $this->signIn('head');
        $ids = array_column((array) $this->ask('GET', '/api/coaches')->body['coaches'], 'id', 'email');
        $change = fn (string $who, array $to): Answer => $this->ask(
            'PUT',
            '/api/coaches/'.(\is_int($ids[$who.'@gym.example']) ? $ids[$who.'@gym.example'] : 0),
            (string) json_encode($to),
        );
        self::assertSame('head-coach', $change('coach', ['role' => 'head-coach'])->body['role']);
        self::assertSame(200, $change('coach', ['role' => 'coach'])->status);
        self::assertSame(200, $change('second', ['role' => 'coach'])->status);
        self::assertSame('last-head-coach', $change('head', ['role' => 'coach'])->type());
        self::assertSame('last-head-coach', $change('head', ['role' => 'head-coach', 'active' => false])->type());

        self::assertFalse($change('other', ['role' => 'coach', 'active' => false])->body['active']);
        $this->signOut();
        self::assertSame(
            401,
            $this->ask('POST', '/api/session', ['email' => 'other@gym.example', 'password' => self::PASSWORD])->status,
        );
    }

    public function testDeactivatedCoachIsSignedOutAtOnce(): void
    {
        $this->signIn('coach');
        self::assertSame(200, $this->ask('GET', '/api/numberings')->status);
        self::service(Connection::class)->executeStatement(
            "UPDATE user SET active = 0 WHERE email = 'coach@gym.example'",
        );
        self::assertSame(401, $this->ask('GET', '/api/numberings')->status);
    }

    public function testEveryChangeIsRecorded(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $this->ask('PUT', "/api/combinations/$id", self::combination(['name' => 'Renamed']), ['If-Match' => '"1"']);
        $this->ask('POST', "/api/combinations/$id/archive", null, ['If-Match' => '"2"']);
        $this->numbering('ours', self::OURS, ['If-None-Match' => '*']);
        $this->ask('POST', '/api/invitations', ['role' => 'coach']);
        $record = $this->ask('GET', '/api/audit-log')->body;

        self::assertSame(5, $record['total'], 'Who signed in stands in a list of its own.');
        self::assertSame(
            [
                'made a link that invites somebody as a coach',
                'made the numbering “Saltworks numbers”',
                'archived “Renamed”',
                'changed “Renamed”',
                'added to the library: “Cellar window”',
            ],
            array_column((array) $record['entries'], 'says'),
        );
        self::assertSame(
            ["combinations/$id"],
            array_values(
                array_unique(
                    array_filter(
                        array_column(
                            (array) $this->ask('GET', '/api/audit-log?what=combination')->body['entries'],
                            'subject',
                        ),
                        is_string(...),
                    ),
                ),
            ),
        );
    }

    /**
     * @param array<string, mixed> $content
     * @param array<string, string> $headers
     */
    private function numbering(string $id, array $content, array $headers): Answer
    {
        return $this->ask('PUT', "/api/numberings/$id", $content, $headers);
    }

    private function text(int $id): mixed
    {
        return $this->ask('GET', "/api/combinations/$id")->body['text'];
    }

    private function listed(): mixed
    {
        return array_column((array) $this->ask('GET', '/api/combinations')->body['combinations'], 'text')[0] ?? null;
    }

    /** @return array<mixed> */
    private function user(): array
    {
        $user = $this->ask('GET', '/api/session')->body['user'];

        return \is_array($user) ? $user : self::fail('Nobody is signed in.');
    }
}
