<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\SessionView;
use Periplus\App\Account\SignInAnswers;
use Periplus\App\Account\SignInLimiter;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Security\Core\Exception\BadCredentialsException;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

final class SignInTest extends ApiTestCase
{
    #[TestWith(['HEAD@gym.example'])]
    #[TestWith([' head@gym.example '])]
    public function testAnAddressIsTheSameHoweverItIsWritten(string $email): void
    {
        $this->signOut();
        self::assertSame(
            200,
            $this->ask('POST', '/api/session', ['email' => $email, 'password' => self::PASSWORD])->status,
        );
    }

    #[TestWith(['héad@gym.example'])]
    #[TestWith(['head@gym.example.'])]
    #[TestWith(['ｈead@gym.example'])]
    public function testAnAddressThatOnlyLooksAlikeIsAnother(string $email): void
    {
        $this->signOut();
        self::assertSame(
            401,
            $this->ask('POST', '/api/session', ['email' => $email, 'password' => self::PASSWORD])->status,
        );
    }

    /** Writing the address differently does not avoid the limit. */
    public function testTriesCountForTheAccountHoweverItIsWritten(): void
    {
        $this->signOut();
        $name = 'guess'.bin2hex(random_bytes(4)).'@gym.example';
        foreach ([$name, strtoupper($name), $name.' ', ' '.$name, ucfirst($name), $name] as $spelling) {
            self::assertSame(
                401,
                $this->ask('POST', '/api/session', ['email' => $spelling, 'password' => 'no'])->status,
            );
        }
        self::assertSame(429, $this->ask('POST', '/api/session', ['email' => $name, 'password' => 'no'])->status);
        $this->signIn('head');
    }

    /** Many names from one address are refused before a password is hashed, with one row in the audit log. */
    public function testFailuresOfOneAddressAreBoundedWhateverTheNames(): void
    {
        $address = ['REMOTE_ADDR' => '10.1.2.'.random_int(1, 254)];
        $limiter = self::service(SignInLimiter::class);
        $try = static function (string $name) use ($address): Request {
            $request = Request::create('/api/session', 'POST', server: $address);
            $request->attributes->set(
                SecurityRequestAttributes::LAST_USERNAME,
                $name.bin2hex(random_bytes(4)).'@gym.example',
            );

            return $request;
        };
        for ($number = 0; $number < 400; ++$number) {
            $request = $try('guess');
            self::assertTrue($limiter->consume($request)->isAccepted(), 'try '.$number);
            $limiter->failed($request);
        }

        self::assertFalse($limiter->consume($try('guess'))->isAccepted());
    }

    public function testTriesThatAreHeldBackLeaveOneRowInTheAuditLog(): void
    {
        $this->signOut();
        $name = 'guess'.bin2hex(random_bytes(4)).'@gym.example';
        for ($number = 0; $number < 12; ++$number) {
            $this->ask('POST', '/api/session', ['email' => $name, 'password' => 'no']);
        }
        $rows = self::service(Connection::class)->fetchOne(
            "SELECT COUNT(*) FROM audit_log WHERE what LIKE 'sign-in.%'",
        );

        self::assertSame(2, is_numeric($rows) ? (int) $rows : 0, 'one of failures, one of what was held back');
    }

    /** A password is hashed even without an account, so that the response time does not reveal who has one. */
    #[TestWith(['coach@gym.example', 0])]
    #[TestWith(['nobody@gym.example', 1])]
    #[TestWith(['blocked@gym.example', 1])]
    public function testTheSameWorkIsDoneForKnownAndUnknownNames(string $email, int $hashed): void
    {
        $connection = self::service(Connection::class);
        $connection->executeStatement(
            "UPDATE user SET email = 'blocked@gym.example', active = 0 WHERE email = 'other@gym.example'",
        );
        self::service(EntityManagerInterface::class)->clear();
        $hasher = $this->createMock(UserPasswordHasherInterface::class);
        $hasher
            ->expects(self::exactly($hashed))
            ->method('hashPassword')
            ->with(self::isInstanceOf(User::class), 'as long as it takes');
        $answers = new SignInAnswers(
            view: self::service(SessionView::class),
            accounts: self::service(Accounts::class),
            entities: self::service(EntityManagerInterface::class),
            hasher: $hasher,
            audit: self::service(AuditLog::class),
            limiter: self::service(SignInLimiter::class),
            clock: new MockClock(),
        );
        $request = Request::create('/api/session', 'POST', content: '{"password":"as long as it takes"}');
        $request->attributes->set(SecurityRequestAttributes::LAST_USERNAME, $email);

        self::assertSame(
            401,
            $answers->onAuthenticationFailure($request, new BadCredentialsException())->getStatusCode(),
        );
    }

    #[TestWith(['text/plain', '{"email":"head@gym.example","password":"no"}', 415])]
    #[TestWith(['application/json', '{"email":["head@gym.example"],"password":"no"}', 400])]
    #[TestWith(['application/json', '{"email":"head@gym.example"}', 400])]
    #[TestWith(['application/json', '[]', 400])]
    public function testInvalidSignInBodyReturnsASentence(string $type, string $body, int $status): void
    {
        $this->signOut();
        $answer = $this->ask('POST', '/api/session', $body, ['Content-Type' => $type]);

        self::assertSame($status, $answer->status, $answer->raw);
        self::assertNotSame('', $answer->title());
    }

    public function testSigningInAndFailingToAreInTheRecord(): void
    {
        $this->signOut();
        $this->ask('POST', '/api/session', ['email' => 'coach@gym.example', 'password' => 'no']);
        foreach (['first', 'second', 'third'] as $nobody) {
            $this->ask('POST', '/api/session', [
                'email' => $nobody.bin2hex(random_bytes(3)).'@gym.example',
                'password' => 'no',
            ]);
        }
        $this->signIn('head');
        $entries = (array) $this->ask('GET', '/api/audit-log?what=sign-in')->body['entries'];

        self::assertSame(
            [
                ['Head Coach', 'signed in'],
                [null, 'Somebody failed to sign in under a name that is not known here'],
                ['Coach Coach', 'failed to sign in: the password was wrong'],
            ],
            array_map(null, array_column($entries, 'who'), array_column($entries, 'says')),
            'Names that nobody has are not kept, and are written down once a minute.',
        );
    }

    #[TestWith(['short', 'A password has at least 10 characters.'])]
    #[TestWith(['password123', 'This password is among the most common.'])]
    #[TestWith(['Pass-Word 1234', 'This password is among the most common.'])]
    #[TestWith(['1234567890', 'This password is among the most common.'])]
    #[TestWith(['qwertyuiop', 'This password is among the most common.'])]
    #[TestWith(['0987654321', 'This password is among the most common.'])]
    #[TestWith(['abababababab', 'This password is among the most common.'])]
    #[TestWith(['aaaaaaaaaaaa', 'This password is among the most common.'])]
    #[TestWith(['coachcoach1', 'A password made of your own name'])]
    #[TestWith(['coach@gym.example', null])]
    #[TestWith(['four words of nothing', null])]
    #[TestWith(['correct coach battery', null])]
    public function testAPasswordIsLongAndNotAmongTheWorst(string $new, ?string $says): void
    {
        $this->signIn('coach');
        $answer = $this->ask('PUT', '/api/me/password', ['current' => self::PASSWORD, 'new' => $new]);

        self::assertSame(null === $says ? 204 : 422, $answer->status, $answer->raw);
        self::assertStringContainsString((string) $says, $answer->title());
    }

    public function testAnEmptyChangeOfAnAccountChangesNothing(): void
    {
        $this->signIn('head');
        $id = self::service(Connection::class)->fetchOne("SELECT id FROM user WHERE email = 'second@gym.example'");
        self::assertIsInt($id);
        foreach ([[], ['active' => true], ['role' => 'head-coach'], ['role' => null, 'active' => null]] as $change) {
            $now = $this->ask('PUT', '/api/coaches/'.$id, $change)->body;
            self::assertSame(['head-coach', true], [$now['role'], $now['active']]);
        }
        self::assertSame(
            0,
            $this->ask('GET', '/api/audit-log?what=coach')->body['total'],
            'Nothing is recorded of it.',
        );
    }

    public function testSessionsEndWithABlockAndWithANewPasswordAndStayEnded(): void
    {
        $this->signIn('coach');
        self::assertSame(200, $this->ask('GET', '/api/combinations')->status);
        $connection = self::service(Connection::class);
        $connection->executeStatement(
            "UPDATE user SET active = 0, sessions_ended = sessions_ended + 1 WHERE email = 'coach@gym.example'",
        );
        $connection->executeStatement("UPDATE user SET active = 1 WHERE email = 'coach@gym.example'");

        self::assertSame(401, $this->ask('GET', '/api/combinations')->status);
    }
}
