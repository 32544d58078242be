<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;

/** Login sessions follow changes of the account: role, block and password. */
final class AccountsTest extends ApiTestCase
{
    public function testAChangeOfRoleHoldsFromTheNextRequestOn(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $this->signIn('other');
        self::assertSame(403, $this->ask('POST', "/api/combinations/$id/archive", null, ['If-Match' => '"1"'])->status);

        $this->sql("UPDATE user SET role = 'ROLE_HEAD_COACH' WHERE email = 'other@gym.example'");
        // An account with a new role has to sign in again.
        $this->signIn('other');
        self::assertSame(200, $this->ask('POST', "/api/combinations/$id/archive", null, ['If-Match' => '"1"'])->status);

        $this->sql("UPDATE user SET role = 'ROLE_COACH' WHERE email = 'other@gym.example'");
        $answer = $this->ask('POST', "/api/combinations/$id/restore", null, ['If-Match' => '"2"']);
        self::assertContains($answer->status, [401, 403], 'A role that was taken away is gone at once.');
    }

    public function testAChangeOfPasswordEndsTheSession(): void
    {
        $this->signIn('coach');
        self::assertSame(200, $this->ask('GET', '/api/combinations')->status);
        $this->sql("UPDATE user SET password = '\$2y\$04\$another.hash.than.before' WHERE email = 'coach@gym.example'");

        self::assertSame(401, $this->ask('GET', '/api/combinations')->status);
        self::assertNull($this->ask('GET', '/api/session')->body['user']);
    }

    public function testARemovedAccountIsSignedOut(): void
    {
        $this->signIn('coach');
        self::assertSame(200, $this->ask('GET', '/api/numberings')->status);
        $this->sql('DELETE FROM audit_log');
        $this->sql("DELETE FROM user WHERE email = 'coach@gym.example'");

        self::assertSame(401, $this->ask('GET', '/api/numberings')->status);
    }

    public function testASessionLivesOverManyRequests(): void
    {
        $this->signIn('coach');
        for ($request = 0; $request < 6; ++$request) {
            self::assertSame(200, $this->ask('GET', '/api/combinations')->status);
        }
    }

    public function testTwoAccountsCannotShareAnAddress(): void
    {
        $this->expectException(\Doctrine\DBAL\Exception\UniqueConstraintViolationException::class);
        $this->sql(
            "INSERT INTO user (email, name, role, password) VALUES ('coach@gym.example', 'Twice', 'ROLE_COACH', 'x')",
        );
    }

    private function sql(string $statement): void
    {
        self::service(Connection::class)->executeStatement($statement);
    }
}
