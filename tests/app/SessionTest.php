<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

final class SessionTest extends ApiTestCase
{
    public function testSignsInAndOut(): void
    {
        self::assertNull($this->ask('GET', '/api/session')->body['user']);

        $this->signIn('head');
        $user = $this->ask('GET', '/api/session')->body['user'];
        self::assertIsArray($user);
        self::assertSame(
            ['Head Coach', 'head@gym.example', 'head-coach'],
            [$user['name'], $user['email'], $user['role']],
        );

        self::assertSame(204, $this->ask('POST', '/api/session/end')->status);
        self::assertNull($this->ask('GET', '/api/session')->body['user']);
        self::assertSame(401, $this->ask('GET', '/api/combinations')->status);
    }

    public function testAWrongPasswordSaysNoMoreThanThatItIsWrong(): void
    {
        $this->signOut();
        $wrong = $this->ask('POST', '/api/session', ['email' => 'head@gym.example', 'password' => 'no']);
        $nobody = $this->ask('POST', '/api/session', ['email' => 'nobody@gym.example', 'password' => 'no']);

        self::assertSame([401, 'sign-in-failed'], [$wrong->status, $wrong->type()]);
        self::assertSame($wrong->title(), $nobody->title());
    }

    public function testSignInIsThrottled(): void
    {
        $this->signOut();
        $name = 'guess'.bin2hex(random_bytes(4)).'@gym.example';
        $statuses = [];
        for ($try = 0; $try < 8; ++$try) {
            $statuses[] = $this->ask('POST', '/api/session', ['email' => $name, 'password' => 'no'])->status;
        }

        self::assertSame(401, $statuses[0]);
        self::assertSame(429, $statuses[7]);
    }

    public function testAWriteWithoutTheTokenIsRefused(): void
    {
        $this->signIn('coach');
        $this->forgetToken();

        $paths = [
            ['POST', '/api/combinations'],
            ['PUT', '/api/combinations/1'],
            ['POST', '/api/session/end'],
            ['POST', '/api/check'],
        ];
        foreach ($paths as [$method, $path]) {
            $answer = $this->ask($method, $path, self::combination(), ['X-CSRF-Token' => 'guessed']);
            self::assertSame([403, 'token-missing'], [$answer->status, $answer->type()], $path);
        }
        self::assertSame(0, $this->ask('GET', '/api/combinations')->body['total']);
    }

    public function testTheSessionFileHoldsNoPasswordHash(): void
    {
        $user = new \Periplus\App\Account\User('a@gym.example', 'A', \Periplus\App\Security\GymRole::Coach);
        $user->usePasswordHash('$2y$the-whole-hash');

        self::assertStringNotContainsString('the-whole-hash', serialize($user));
        self::assertInstanceOf(\Periplus\App\Account\User::class, unserialize(serialize($user)));
    }
}
