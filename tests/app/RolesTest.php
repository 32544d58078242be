<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use Symfony\Component\Routing\RouterInterface;

/** Checks for every route which role may use it. */
final class RolesTest extends ApiTestCase
{
    /** Status by role for each route: anonymous, coach (not the author), head coach. */
    private const TABLE = [
        'GET /api/ping' => [204, 204, 204],
        'POST /api/ping' => [204, 204, 204],
        'GET /health/live' => [204, 204, 204],
        'GET /health/ready' => [200, 200, 200],
        'GET /api/session' => [200, 200, 200],
        'POST /api/session' => [401, 401, 401],
        'POST /api/session/end' => [204, 204, 204],
        'POST /api/check' => [401, 200, 200],
        'POST /api/generate' => [401, 200, 200],
        'GET /api/house-rules' => [401, 200, 200],
        'POST /api/house-rules/{set}/rule-previews' => [401, 403, 201],
        'POST /api/house-rules/{set}/effects' => [401, 403, 200],
        'GET /api/model' => [401, 200, 200],
        'GET /api/rule-previews/{id}' => [401, 403, 404],
        'POST /api/rule-previews/{id}/advance' => [401, 403, 404],
        'POST /api/rule-previews/{id}/save' => [401, 403, 404],
        'GET /api/verdict-changes' => [401, 200, 200],
        'POST /api/verdict-changes/{id}/accept' => [401, 403, 404],
        'GET /api/numberings' => [401, 200, 200],
        'GET /api/vocabulary' => [401, 200, 200],
        'GET /api/combinations' => [401, 200, 200],
        'POST /api/combinations' => [401, 403, 409],
        'POST /api/combinations/bulk' => [401, 403, 422],
        'POST /api/combinations/merge' => [401, 403, 422],
        'GET /api/near-duplicates' => [401, 200, 200],
        'GET /api/themes' => [401, 200, 200],
        'POST /api/themes/rename' => [401, 403, 422],
        'GET /api/combinations/{id}' => [401, 200, 200],
        'PUT /api/combinations/{id}' => [401, 403, 200],
        'POST /api/combinations/{id}/archive' => [401, 403, 200],
        'POST /api/combinations/{id}/restore' => [401, 403, 200],
        'GET /api/combinations/{id}/versions' => [401, 200, 200],
        'POST /api/combinations/{id}/versions/{version}/bring-back' => [401, 403, 200],
        'GET /api/combinations/{id}/family' => [401, 200, 200],
        'GET /api/combinations/{id}/line.svg' => [401, 200, 200],
        'GET /api/combinations/{id}/card.pdf' => [401, 200, 200],
        'GET /api/cards.pdf' => [401, 200, 200],
        'GET /api/wall-sheet.pdf' => [401, 200, 200],
        'GET /api/family' => [401, 200, 200],
        'GET /api/export.{format}' => [401, 200, 200],
        'POST /api/imports' => [401, 403, 201],
        'GET /api/imports/{id}' => [401, 403, 404],
        'GET /api/imports/{id}/lines' => [401, 403, 404],
        'PUT /api/imports/{id}/lines/{entry}' => [401, 403, 404],
        'POST /api/imports/{id}/undo' => [401, 403, 404],
        'POST /api/imports/{id}/advance' => [401, 403, 404],
        'POST /api/imports/{id}/apply' => [401, 403, 404],
        'GET /api/proposals' => [401, 200, 200],
        'POST /api/proposals' => [401, 201, 201],
        'GET /api/proposals/{id}' => [401, 200, 200],
        // A coach may revise and withdraw their own proposals; this one is another coach's.
        'PUT /api/proposals/{id}' => [401, 403, 403],
        'POST /api/proposals/{id}/return' => [401, 403, 200],
        'POST /api/proposals/{id}/approve' => [401, 403, 200],
        'POST /api/proposals/{id}/withdraw' => [401, 403, 200],
        'GET /api/views' => [401, 200, 200],
        'POST /api/views' => [401, 204, 204],
        'DELETE /api/views/{id}' => [401, 404, 404],
        'POST /api/numberings/preview' => [401, 200, 200],
        'PUT /api/numberings/{id}' => [401, 403, 201],
        'PUT /api/gym/numbering' => [401, 403, 204],
        'PUT /api/me/numbering' => [401, 204, 204],
        'PUT /api/me/password' => [401, 204, 204],
        'POST /api/translate' => [401, 200, 200],
        'GET /api/coaches' => [401, 403, 200],
        'PUT /api/coaches/{id}' => [401, 403, 404],
        'POST /api/coaches/{id}/reset' => [401, 403, 404],
        'GET /api/invitations' => [401, 403, 200],
        'POST /api/invitations' => [401, 403, 201],
        'DELETE /api/invitations/{id}' => [401, 403, 404],
        // Everybody with a link may use it; this one does not exist.
        'POST /api/invitations/look' => [404, 404, 404],
        'POST /api/invitations/accept' => [404, 404, 404],
        'GET /api/audit-log' => [401, 403, 200],
        'GET /api/audit-log/{id}' => [401, 403, 404],
        'POST /api/audit-log/{id}/undo' => [401, 403, 404],
        'GET /api/gym' => [401, 200, 200],
        'PUT /api/gym' => [401, 403, 200],
        'PUT /api/gym/training' => [401, 403, 200],
        'POST /api/gym/setup' => [401, 403, 200],
        // Only the demo can be replaced from the page, and this gym is not the demo.
        'POST /api/gym/found' => [401, 403, 409],
        'GET /api/starter-library' => [401, 200, 200],
        'GET /api/status' => [401, 403, 200],
        'POST /api/backups' => [401, 403, 202],
        'GET /api/backups/{name}' => [401, 403, 404],
        'POST /api/backups/{name}/look' => [401, 403, 404],
        'POST /api/backups/copy/take' => [401, 403, 409],
        'POST /api/backups/copy/discard' => [401, 403, 202],
        // Only the client that requested a job has its key; this one does not exist.
        'GET /api/jobs/{key}' => [404, 404, 404],
        'GET /api/drills' => [401, 200, 200],
        'GET /api/advice' => [401, 200, 200],
        'PUT /api/advice/reminders' => [401, 403, 200],
        'PUT /api/advice/exercises' => [401, 403, 200],
        'PUT /api/advice/faults' => [401, 403, 200],
        'GET /api/passed-over-words' => [401, 200, 200],
        'PUT /api/passed-over-words' => [401, 403, 200],
        'GET /api/courses' => [401, 200, 200],
        'POST /api/courses' => [401, 403, 201],
        'PUT /api/courses/{id}' => [401, 403, 404],
        'POST /api/courses/{id}/archive' => [401, 403, 404],
        'POST /api/courses/{id}/restore' => [401, 403, 404],
        // Every coach may plan; this plan does not exist.
        'GET /api/plans' => [401, 200, 200],
        'POST /api/plans' => [401, 201, 201],
        'GET /api/plans/{id}' => [401, 404, 404],
        'PUT /api/plans/{id}' => [401, 404, 404],
        'POST /api/plans/{id}/archive' => [401, 404, 404],
        'POST /api/plans/{id}/restore' => [401, 404, 404],
        'GET /api/plans/{id}/versions' => [401, 404, 404],
        'POST /api/plans/{id}/versions/{version}/bring-back' => [401, 404, 404],
        'POST /api/plans/{id}/presence' => [401, 404, 404],
        'POST /api/plans/check' => [401, 200, 200],
        'POST /api/plans/fix' => [401, 200, 200],
        'POST /api/plans/compose' => [401, 404, 404],
        'POST /api/plans/sequence' => [401, 200, 200],
        'GET /api/plans/{id}/sheet.pdf' => [401, 404, 404],
        'GET /api/plans/{id}/door.pdf' => [401, 404, 404],
        'GET /api/plans/{id}/cues.vtt' => [401, 404, 404],
        'GET /api/plans/{id}/plan.json' => [401, 404, 404],
        'GET /api/calendar.ics' => [401, 200, 200],
        // Every coach may run sessions; this session and this wall do not exist.
        'GET /api/walls' => [401, 200, 200],
        'POST /api/walls' => [401, 201, 201],
        'PUT /api/walls/{id}' => [401, 404, 404],
        'POST /api/walls/{id}/revoke' => [401, 404, 404],
        'GET /api/runs' => [401, 200, 200],
        'POST /api/runs' => [401, 201, 201],
        'GET /api/runs/{id}' => [401, 404, 404],
        'POST /api/runs/{id}/commands' => [401, 404, 404],
        'POST /api/runs/{id}/walls' => [401, 404, 404],
        'POST /api/runs/{id}/remove' => [401, 403, 404],
        'GET /api/runs/{id}/record' => [401, 404, 404],
        // A screen is authenticated by its key, whoever is signed in; this one does not exist.
        'GET /api/screens/{key}' => [410, 410, 410],
        'GET /api/screens/{key}/idle' => [410, 410, 410],
        'GET /api/screens/{key}/programmes/{run}/{version}' => [410, 410, 410],
        'GET /api/screens/{key}/clips/{run}/{version}/{digest}' => [410, 410, 410],
        'POST /api/screens/{key}/commands' => [410, 410, 410],
        'POST /api/screens/{key}/shown' => [410, 410, 410],
        'GET /api/screens/{key}/listen' => [403, 403, 403],
        // Every coach may write the logbook; this entry and this measurement do not exist.
        'GET /api/logbook/entries' => [401, 200, 200],
        'POST /api/logbook/entries' => [401, 201, 201],
        'GET /api/logbook/entries/{id}' => [401, 404, 404],
        'GET /api/logbook/planned/{id}' => [401, 404, 404],
        'GET /api/today' => [401, 200, 200],
        'PUT /api/logbook/entries/{id}' => [401, 404, 404],
        'POST /api/logbook/entries/{id}/remove' => [401, 404, 404],
        'POST /api/logbook/entries/{id}/restore' => [401, 404, 404],
        'GET /api/logbook/logbook.json' => [401, 200, 200],
        'GET /api/logbook/logbook.csv' => [401, 200, 200],
        'POST /api/logbook/import' => [401, 403, 422],
        'GET /api/reports/drilled' => [401, 200, 200],
        'GET /api/reports/load' => [401, 200, 200],
        'GET /api/reports/links' => [401, 200, 200],
        'GET /api/reports/planned' => [401, 200, 200],
        'GET /api/reports/faults' => [401, 200, 200],
        'GET /api/reports/month' => [401, 200, 200],
        'GET /api/reports/month.pdf/{month}' => [401, 200, 200],
        'GET /api/reports/month.csv/{month}' => [401, 200, 200],
        'GET /api/courses/{id}/syllabus' => [401, 404, 404],
        'PUT /api/courses/{id}/syllabus' => [401, 403, 404],
        'GET /api/courses/{id}/syllabus.pdf' => [401, 404, 404],
        'GET /api/courses/{id}/due' => [401, 404, 404],
        'GET /api/courses/{id}/path' => [401, 404, 404],
        'POST /api/combinations/{id}/measure' => [401, 200, 200],
        'GET /api/combinations/{id}/measurements' => [401, 200, 200],
        'POST /api/combinations/{id}/measurements' => [401, 201, 201],
        'POST /api/measurements/{id}/remove' => [401, 404, 404],
        'POST /api/measurements/{id}/restore' => [401, 404, 404],
        'POST /api/onsets' => [401, 422, 422],
        'GET /api/onsets/sample.wav' => [401, 200, 200],
        'GET /api/cards' => [401, 200, 200],
        'POST /api/cards' => [401, 201, 201],
        'POST /api/cards/{id}/revoke' => [401, 404, 404],
        'GET /api/cards/{id}/sheet.pdf' => [401, 404, 404],
        // Everybody with the key may read the card; this one does not exist.
        'GET /api/athlete-cards/{key}' => [410, 410, 410],
        'GET /api/session-links' => [401, 200, 200],
        'POST /api/session-links' => [401, 201, 201],
        'POST /api/session-links/{id}/revoke' => [401, 404, 404],
        // Everybody with the key may do the session; this one does not exist.
        'GET /api/athlete-sessions/{key}' => [410, 410, 410],
        'GET /api/athlete-sessions/{key}/clips/{digest}' => [410, 410, 410],
        'POST /api/athlete-sessions/{key}/finished' => [410, 410, 410],
        'GET /api/athlete-sessions/{key}/manifest' => [410, 410, 410],
        'GET /api/athlete-sessions/{key}/recordings/{id}' => [410, 410, 410],
        'GET /api/athlete-cards/{key}/recordings/{id}' => [410, 410, 410],
        'GET /api/screens/{key}/recordings/{run}/{version}/{id}' => [410, 410, 410],
        'GET /api/recordings' => [401, 200, 200],
        'POST /api/recordings' => [401, 422, 422],
        'GET /api/recordings/{id}/file' => [401, 404, 404],
        'POST /api/recordings/{id}/delete' => [401, 404, 404],
        'GET /api/combinations/{id}/recordings' => [401, 200, 200],
        'PUT /api/backups/content' => [401, 403, 204],
        'GET /api/courses/{id}/syllabus.json' => [401, 404, 404],
        'POST /api/syllabus-files' => [401, 200, 200],
        'GET /api/offerings' => [401, 403, 200],
        'PUT /api/offerings' => [401, 403, 200],
        'POST /api/offer-links' => [401, 403, 201],
        'POST /api/offer-links/{id}/revoke' => [401, 403, 404],
        // Every installation with the key may read the offers; this one does not exist.
        'GET /api/shared-offers/{key}' => [410, 410, 410],
        'GET /api/combinations/{id}/sharing' => [401, 200, 200],
        'GET /api/offers' => [401, 200, 200],
        'GET /api/offers/{source}/{kind}/{item}' => [401, 404, 404],
        'POST /api/offers/propose' => [401, 404, 404],
        'POST /api/offers/accept' => [401, 403, 404],
        'POST /api/offers/decline' => [401, 403, 404],
        'POST /api/offers/reconsider' => [401, 403, 404],
        'POST /api/followed-gyms' => [401, 403, 422],
        'POST /api/followed-gyms/{id}/read' => [401, 404, 404],
        'DELETE /api/followed-gyms/{id}' => [401, 403, 404],
        'GET /api/voice' => [401, 200, 200],
        'PUT /api/voice' => [401, 403, 204],
        'GET /api/voice/sample' => [401, 200, 200],
        'POST /api/voice/clips' => [401, 422, 422],
        'POST /api/voice/clips/forget' => [401, 404, 404],
    ];

    public function testEveryRouteIsInTheTable(): void
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

    /** TCPDF triggers a deprecation notice at every use. */
    #[IgnoreDeprecations]
    public function testEveryRouteAsksForItsRole(): void
    {
        @mkdir(self::keeperFolder(), recursive: true);
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $this->signIn('coach');
        $proposal = $this->ask(
            'POST',
            '/api/proposals',
            [
                'kind' => 'change',
                'combination' => $id,
                'basedOn' => 1,
                'content' => self::combination(['text' => '1 2 3b 2 exit']),
            ],
        )->id();
        // Created once; the changes of each request are rolled back.
        $connection = self::service(Connection::class);
        $connection->executeStatement('SAVEPOINT fixtures');
        foreach (['nobody', 'other', 'head'] as $column => $name) {
            $this->signInAs($name);
            foreach (self::TABLE as $route => $statuses) {
                [$method, $path] = explode(' ', $route);
                $number = match (true) {
                    str_contains($path, 'rule-previews'),
                    str_contains($path, 'verdict-changes'),
                    str_contains($path, 'imports'),
                    str_contains($path, 'coaches'),
                    str_contains($path, 'views'),
                    str_contains($path, 'invitations'),
                    str_contains($path, 'courses'),
                    str_contains($path, 'plans'),
                    str_contains($path, 'walls'),
                    str_contains($path, 'runs'),
                    str_contains($path, 'logbook'),
                    str_starts_with($path, '/api/audit-log'),
                    str_starts_with($path, '/api/measurements'),
                    str_starts_with($path, '/api/cards'),
                    str_starts_with($path, '/api/recordings'),
                    str_starts_with($path, '/api/session-links'),
                    str_starts_with($path, '/api/offer-links'),
                    str_starts_with($path, '/api/followed-gyms') => '999999',
                    str_contains($path, 'proposals') => (string) $proposal,
                    str_contains($path, 'numberings') => 'ours',
                    default => (string) $id,
                };
                $address = strtr($path, [
                    '{id}' => $number,
                    '{set}' => 'boxing',
                    '{source}' => 'gym-north',
                    '{kind}' => 'combination',
                    '{item}' => '1',
                    '{version}' => '1',
                    '{format}' => 'json',
                    '{key}' => str_repeat('0', 32),
                    '{run}' => '1',
                    '{entry}' => '1',
                    '{month}' => '2026-11',
                    '{digest}' => str_repeat('0', 32),
                    '{name}' => 'nightly-20200101.tar',
                ]);
                $headers = 'PUT /api/numberings/{id}' === $route ? ['If-None-Match' => '*'] : ['If-Match' => '"1"'];
                $address .= str_ends_with($path, '/sample')
                    ? '?text=one'
                    : (str_ends_with($path, '/path')
                        ? '?to='.$id
                        : '');
                $answer = $this->ask($method, $address, self::body($method, $path, $id), $headers);
                self::assertSame(
                    $statuses[$column],
                    $answer->status,
                    \sprintf('%s as %s: %s', $route, $name, $answer->raw),
                );
                $connection->executeStatement('ROLLBACK TO SAVEPOINT fixtures');
                if (1 === preg_match('~^/api/(session|me|coaches|invitations)~', $path)) {
                    // The signed-in account may differ from what the database has after the rollback.
                    $this->signInAs($name);
                }
            }
        }
    }

    private function signInAs(string $name): void
    {
        'nobody' === $name ? $this->signOut() : $this->signIn($name);
    }

    /** @return array<string, mixed>|null */
    private static function body(string $method, string $path, int $combination): ?array
    {
        return match (true) {
            'GET' === $method, 'DELETE' === $method => null,
            '/api/session' === $path => ['email' => 'nobody@gym.example', 'password' => 'no'],
            \in_array($path, ['/api/check', '/api/translate'], true) => ['text' => '1 2'],
            str_ends_with($path, '/lines/{entry}') => ['leaveOut' => true],
            '/api/combinations/bulk' === $path => ['combinations' => [], 'action' => 'archive'],
            '/api/combinations/merge' === $path => ['keep' => 1, 'keepVersion' => 1, 'drop' => 1, 'dropVersion' => 1],
            '/api/themes/rename' === $path => ['from' => 'liver', 'to' => ''],
            '/api/generate' === $path => ['count' => 1],
            '/api/imports' === $path => ['format' => 'text', 'content' => '1 2 3 # Three'],
            '/api/proposals' === $path => ['kind' => 'new', 'content' => self::combination(['text' => '1 1 1'])],
            '/api/proposals/{id}' === $path => ['content' => self::combination(['text' => '1 1 1'])],
            str_starts_with($path, '/api/proposals/{id}/') => ['remark' => 'Look again.', 'against' => 1],
            '/api/plans' === $path, '/api/plans/{id}' === $path => PlanTest::plan(),
            '/api/plans/check' === $path => ['content' => PlanTest::content()],
            '/api/plans/fix' === $path => ['content' => PlanTest::content(), 'warning' => 'no-warm-up'],
            '/api/plans/compose' === $path => ['course' => 999999],
            '/api/plans/sequence' === $path => ['combinations' => [['chain' => '1 2'], ['chain' => '1 2 3']]],
            '/api/walls' === $path, '/api/walls/{id}' === $path => ['name' => 'Floor'],
            '/api/runs' === $path => ['id' => 'start-0001', 'timer' => ['rounds' => 2]],
            '/api/runs/{id}/walls' === $path => ['walls' => [1]],
            '/api/runs/{id}/commands' === $path => ['id' => 'press-0001', 'kind' => 'pause', 'seen' => 1],
            '/api/screens/{key}/commands' === $path => [
                'run' => 1,
                'id' => 'press-0001',
                'kind' => 'pause',
                'seen' => 1,
            ],
            '/api/screens/{key}/shown' === $path => ['run' => 1, 'shown' => []],
            str_starts_with($path, '/api/logbook/entries') => [
                'id' => 'entry-0001',
                'day' => '2026-11-01',
                'note' => 'Open mat.',
            ],
            '/api/combinations/{id}/measure' === $path, '/api/combinations/{id}/measurements' === $path => [
                'id' => 'measure-0001',
                'taps' => [0, 300, 700],
            ],
            '/api/cards' === $path => ['name' => 'Take home', 'combinations' => [$combination]],
            '/api/offerings' === $path => ['kind' => 'house-rules', 'subject' => 'boxing'],
            '/api/offer-links' === $path => ['name' => 'Harbour'],
            '/api/followed-gyms' === $path => [
                'address' => 'http://127.0.0.1:9/api/shared-offers/'.str_repeat('0', 32),
            ],
            str_starts_with($path, '/api/offers/') => [
                'source' => 'gym-north',
                'kind' => 'combination',
                'item' => '1',
                'digest' => str_repeat('0', 32),
            ],
            '/api/session-links' === $path => [
                'name' => 'At home',
                'endsOn' => (new \DateTimeImmutable('tomorrow'))->format('Y-m-d'),
                'combinations' => [$combination],
            ],
            '/api/syllabus-files' === $path => ['format' => 'periplus-syllabus', 'weeks' => []],
            '/api/backups/content' === $path => ['recordings' => true],
            '/api/voice' === $path => ['voice' => 'female'],
            '/api/voice/clips' === $path => ['text' => 'one', 'wav' => 'AAAA'],
            '/api/voice/clips/forget' === $path => ['text' => 'one'],
            '/api/courses' === $path, '/api/courses/{id}' === $path => ['name' => 'Tuesday'],
            '/api/gym' === $path => ['name' => 'Our gym', 'timeZone' => 'Europe/Lisbon'],
            '/api/gym/training' === $path => ['rules' => 'boxing', 'media' => ['bag'], 'groups' => ['open']],
            '/api/gym/setup' === $path => ['step' => 'gym', 'outcome' => 'skipped'],
            '/api/gym/found' === $path => ['name' => 'Harbour boxing'],
            str_starts_with($path, '/api/backups') => null,
            '/api/advice/reminders' === $path => ['reminders' => null],
            '/api/advice/exercises' === $path => ['exercises' => null],
            '/api/courses/{id}/syllabus' === $path => ['weeks' => []],
            '/api/advice/faults' === $path => ['faults' => null],
            '/api/passed-over-words' === $path => ['own' => [], 'kept' => []],
            '/api/views' === $path => ['name' => 'Mine', 'address' => 'q=liver'],
            '/api/numberings/preview' === $path, '/api/numberings/{id}' === $path => [
                'name' => 'Ours',
                'numbers' => [['number' => '1', 'family' => 'straight', 'position' => 'lead']],
            ],
            '/api/gym/numbering' === $path, '/api/me/numbering' === $path => ['numbering' => 'six'],
            '/api/me/password' === $path => ['current' => self::PASSWORD, 'new' => 'another-long-word'],
            '/api/coaches/{id}' === $path, '/api/invitations' === $path => ['role' => 'coach'],
            '/api/invitations/look' === $path => ['token' => 'made-up'],
            '/api/invitations/accept' === $path => [
                'token' => 'made-up',
                'password' => 'another-long-word',
                'name' => 'New',
                'email' => 'new@gym.example',
            ],
            str_contains($path, '/effects') => ['keys' => ['body.flows']],
            str_contains($path, '{set}') => HouseRulesTest::change(),
            str_contains($path, '{id}/'), '/api/session/end' === $path, '/api/ping' === $path => null,
            default => self::combination(),
        };
    }
}
