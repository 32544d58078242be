<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Periplus\App\Security\GymRole;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Calls the API through the kernel, against a real MariaDB. Every answer is checked against docs/openapi.yaml. */
abstract class ApiTestCase extends WebTestCase
{
    protected const PASSWORD = 'a-long-enough-word';

    private KernelBrowser $browser;
    private string $token = '';

    protected function setUp(): void
    {
        $this->browser = self::createClient();
        $this->browser->disableReboot();
        // Reset between requests, as in a new process: a refused write closes the entity manager.
        self::getContainer()->get('doctrine');
        $users = self::service(EntityManagerInterface::class);
        $hasher = self::service(UserPasswordHasherInterface::class);
        $roles = [
            'head' => GymRole::HeadCoach,
            'coach' => GymRole::Coach,
            'other' => GymRole::Coach,
            'second' => GymRole::HeadCoach,
        ];
        foreach ($roles as $name => $role) {
            $user = new User($name.'@gym.example', ucfirst($name).' Coach', $role);
            $user->usePasswordHash($hasher->hashPassword($user, self::PASSWORD));
            $users->persist($user);
        }
        $users->flush();
    }

    /** The folder through which bin/keeper tells what it did; it makes that itself. */
    protected static function keeperFolder(): string
    {
        $cache = self::getContainer()->getParameter('kernel.cache_dir');
        $state = getenv('PERIPLUS_STATE');

        return (false === $state ? (\is_string($cache) ? $cache : '').'/state' : $state).'/told';
    }

    protected function signIn(string $name): void
    {
        $this->signOut();
        $answer = $this->ask('POST', '/api/session', ['email' => $name.'@gym.example', 'password' => self::PASSWORD]);
        self::assertSame(200, $answer->status, $answer->title());
        $this->freshToken();
    }

    protected function signOut(): void
    {
        $this->browser->getCookieJar()->clear();
        $this->freshToken();
    }

    /**
     * @param array<string, mixed>|string|null $body
     * @param array<string, string> $headers
     */
    protected function ask(string $method, string $path, array|string|null $body = null, array $headers = []): Answer
    {
        $server = ['HTTP_ACCEPT' => 'application/json', 'HTTP_X_CSRF_TOKEN' => $this->token];
        if (null !== $body) {
            $server['CONTENT_TYPE'] = 'application/json';
        }
        foreach ($headers as $name => $value) {
            $server[('Content-Type' === $name ? '' : 'HTTP_').strtr(strtoupper($name), '-', '_')] = $value;
        }
        $content = \is_array($body) ? json_encode((object) $body, \JSON_THROW_ON_ERROR) : $body;
        $this->browser->request($method, $path, server: $server, content: $content);
        $answer = Answer::of($this->browser->getResponse(), $this->browser->getInternalResponse()->getContent());
        Contract::check($method, $path, $answer);

        return $answer;
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    protected static function combination(array $with = []): array
    {
        return [
            'name' => 'Cellar window',
            'text' => '1 2 3b exit',
            'rules' => 'boxing',
            'themes' => ['liver'],
            'note' => 'Under the elbow.',
            ...$with,
        ];
    }

    /** As the head coach. */
    protected function setTimeZone(string $zone): Answer
    {
        $version = $this->ask('GET', '/api/gym')->body['version'];

        return $this->ask(
            'PUT',
            '/api/gym',
            ['name' => 'Our gym', 'timeZone' => $zone],
            ['If-Match' => \sprintf('"%s"', \is_int($version) ? $version : 0)],
        );
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected static function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }

    /** Returns a header of the last answer. */
    protected function header(string $name): string
    {
        return (string) $this->browser->getResponse()->headers->get($name);
    }

    /** Fetches the CSRF token of the current session. */
    protected function freshToken(): void
    {
        $token = $this->ask('GET', '/api/session')->body['csrfToken'] ?? null;
        self::assertIsString($token);
        $this->token = $token;
    }

    protected function forgetToken(): void
    {
        $this->token = '';
    }
}
