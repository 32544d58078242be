<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\TestWith;

/** Links for new accounts and passwords work once, and end with the rights of those they depend on. */
final class LinksTest extends ApiTestCase
{
    public function testOpenLinksAreListedWithoutTheirWordAndCanBeWithdrawn(): void
    {
        $this->signIn('head');
        $token = $this->invite(['role' => 'coach', 'meantFor' => "Maren\u{2028}from the club"]);
        $links = $this->links();
        self::assertSame(
            [['invite', 'coach', 'Maren from the club', 'Head Coach']],
            array_map(
                static fn (array $link): array => [$link['kind'], $link['role'], $link['meantFor'], $link['madeBy']],
                $links,
            ),
        );
        self::assertStringNotContainsString($token, (string) json_encode($links));

        self::assertSame(204, $this->ask('DELETE', '/api/invitations/'.self::number($links[0]['id']))->status);
        self::assertSame([], $this->links());
        self::assertFalse($this->opens($token));
        self::assertSame(
            404,
            $this->ask('DELETE', '/api/invitations/'.self::number($links[0]['id']))->status,
            'It is withdrawn already.',
        );
    }

    public function testAnotherLinkForAnAccountEndsTheOneBefore(): void
    {
        $this->signIn('head');
        $first = $this->reset('coach');
        $second = $this->reset('coach');

        self::assertFalse($this->opens($first));
        self::assertTrue($this->opens($second));
        self::assertCount(1, $this->links());
    }

    public function testAChangedPasswordEndsTheLinksOfTheAccount(): void
    {
        $this->signIn('head');
        $link = $this->reset('coach');
        $this->signIn('coach');
        self::assertSame(
            204,
            $this->ask('PUT', '/api/me/password', ['current' => self::PASSWORD, 'new' => 'quite-another-one'])->status,
        );

        self::assertFalse($this->opens($link));
    }

    /** @param array<string, mixed> $change */
    #[TestWith([['role' => 'coach']])]
    #[TestWith([['active' => false]])]
    public function testLinksEndWithTheRightsOfTheirMaker(array $change): void
    {
        $this->signIn('second');
        $links = [$this->invite(['role' => 'head-coach']), $this->reset('coach')];
        $this->signIn('head');
        self::assertSame(200, $this->change('second', $change)->status);

        self::assertSame([false, false], array_map($this->opens(...), $links));
        self::assertSame(200, $this->change('second', ['role' => 'head-coach', 'active' => true])->status);
        self::assertSame(
            [false, false],
            array_map($this->opens(...), $links),
            'They do not come back with the rights.',
        );
    }

    /** @param array<string, mixed> $change */
    #[TestWith(['second', ['role' => 'coach']])]
    #[TestWith(['coach', ['active' => false]])]
    public function testLinksEndWhenTheAccountTheyAreForIsDemotedOrBlocked(string $who, array $change): void
    {
        $this->signIn('head');
        $link = $this->reset($who);
        self::assertSame(200, $this->change($who, $change)->status);

        self::assertFalse($this->opens($link));
        if (isset($change['active'])) {
            self::assertSame('blocked', $this->ask('POST', '/api/coaches/'.$this->id($who).'/reset')->type());
        }
    }

    public function testMakersWhoLostTheirRightsInTheDatabaseMakeNoGoodLinks(): void
    {
        $this->signIn('second');
        $link = $this->invite(['role' => 'coach']);
        self::service(Connection::class)->executeStatement(
            "UPDATE user SET active = 0 WHERE email = 'second@gym.example'",
        );

        self::assertFalse($this->opens($link));
    }

    public function testAnAddressIsTakenHoweverItIsWritten(): void
    {
        $this->signIn('head');
        $link = $this->invite(['role' => 'coach']);
        $this->signOut();
        $answer = $this->ask('POST', '/api/invitations/accept', [
            'token' => $link,
            'password' => self::PASSWORD,
            'name' => 'New',
            'email' => ' COACH@gym.example ',
        ]);

        self::assertSame([409, 'email-taken'], [$answer->status, $answer->type()]);
        self::assertTrue($this->opens($link), 'The link is not used up by it.');
    }

    public function testOpenLinksAreLimited(): void
    {
        $this->signIn('head');
        for ($made = 0; $made < 50; ++$made) {
            $this->invite(['role' => 'coach']);
        }
        self::assertSame('too-many-open', $this->ask('POST', '/api/invitations', ['role' => 'coach'])->type());
    }

    /** @param array<string, mixed> $body */
    private function invite(array $body): string
    {
        $token = $this->ask('POST', '/api/invitations', $body)->body['token'] ?? null;

        return \is_string($token) ? $token : self::fail('No link was made.');
    }

    private function reset(string $who): string
    {
        $token = $this->ask('POST', '/api/coaches/'.$this->id($who).'/reset')->body['token'] ?? null;

        return \is_string($token) ? $token : self::fail('No link was made.');
    }

    /** @return list<array<string, mixed>> */
    private function links(): array
    {
        /** @var list<array<string, mixed>> $links */
        $links = $this->ask('GET', '/api/invitations')->body['invitations'];

        return $links;
    }

    private function opens(string $token): bool
    {
        return 200 === $this->ask('POST', '/api/invitations/look', ['token' => $token])->status;
    }

    /** @param array<string, mixed> $change */
    private function change(string $who, array $change): Answer
    {
        return $this->ask('PUT', '/api/coaches/'.$this->id($who), $change);
    }

    private function id(string $who): int
    {
        $id = self::service(Connection::class)->fetchOne('SELECT id FROM user WHERE email = ?', [$who.'@gym.example']);

        return is_numeric($id) ? (int) $id : self::fail('There is no '.$who);
    }

    private static function number(mixed $id): int
    {
        return \is_int($id) ? $id : self::fail('An id is a number.');
    }
}
