<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Symfony\Component\Routing\RouterInterface;

/** Who may do what, walked over the whole table of routes. */
final class RolesTest extends ApiTestCase
{
    /** Status by role for each route: nobody, coach (not the author), head coach. */
    private const TABLE = [
        'GET /api/ping' => [204, 204, 204],
        'POST /api/ping' => [204, 204, 204],
        'GET /api/session' => [200, 200, 200],
        'POST /api/session' => [401, 401, 401],
        'POST /api/session/end' => [204, 204, 204],
        'POST /api/check' => [401, 200, 200],
        'POST /api/mends' => [401, 200, 200],
        'POST /api/next' => [401, 200, 200],
        'POST /api/generate' => [401, 200, 200],
        'GET /api/house-rules' => [401, 200, 200],
        'POST /api/house-rules/{set}/rechecks' => [401, 403, 201],
        'GET /api/rechecks/{id}' => [401, 403, 404],
        'POST /api/rechecks/{id}/advance' => [401, 403, 404],
        'POST /api/rechecks/{id}/save' => [401, 403, 404],
        'GET /api/schemes' => [401, 200, 200],
        'GET /api/combinations' => [401, 200, 200],
        'POST /api/combinations' => [401, 409, 409],
        'GET /api/combinations/{id}' => [401, 200, 200],
        'PUT /api/combinations/{id}' => [401, 200, 200],
        'POST /api/combinations/{id}/archive' => [401, 403, 200],
        'POST /api/combinations/{id}/restore' => [401, 403, 200],
        'GET /api/combinations/{id}/versions' => [401, 200, 200],
    ];

    public function testTheTableNamesEveryRoute(): void
    {
        $described = array_map(static fn (array $route): string => implode(' ', $route), Contract::routes());
        $served = [];
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $route) {
            foreach ($route->getMethods() as $method) {
                $served[] = $method.' '.$route->getPath();
            }
        }

        self::assertEqualsCanonicalizing(array_keys(self::TABLE), $described, 'docs/openapi.yaml and the table');
        self::assertEqualsCanonicalizing(array_keys(self::TABLE), $served, 'the router and the table');
    }

    public function testEveryRouteAsksForItsRole(): void
    {
        foreach (self::TABLE as $route => $statuses) {
            foreach (['nobody', 'other', 'head'] as $column => $name) {
                self::ensureKernelShutdown();
                $this->setUpAgain();
                $this->signIn('coach');
                $id = $this->ask('POST', '/api/combinations', self::combination())->id();
                'nobody' === $name ? $this->signOut() : $this->signIn($name);
                [$method, $path] = explode(' ', $route);
                $body = match (true) {
                    'GET' === $method => null,
                    '/api/session' === $path => ['email' => 'nobody@gym.example', 'password' => 'no'],
                    str_contains($path, '{id}/') => null,
                    \in_array($path, ['/api/check', '/api/mends', '/api/next'], true) => ['text' => '1 2'],
                    '/api/generate' === $path => ['count' => 1],
                    str_contains($path, '{set}') => HouseRulesTest::change(),
                    '/api/session/end' === $path, '/api/ping' === $path => null,
                    default => self::combination(),
                };
                $answer = $this->ask($method, strtr($path, ['{id}' => str_contains($path, 'rechecks') ? '999999' : (string) $id, '{set}' => 'boxing']), $body, ['If-Match' => '"1"']);
                self::assertSame($statuses[$column], $answer->status, \sprintf('%s as %s: %s', $route, $name, $answer->raw));
            }
        }
    }

    private function setUpAgain(): void
    {
        \DAMA\DoctrineTestBundle\Doctrine\DBAL\StaticDriver::rollBack();
        \DAMA\DoctrineTestBundle\Doctrine\DBAL\StaticDriver::beginTransaction();
        $this->setUp();
    }
}
