<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

/** What gyms offer each other, and what becomes of it. */
final class OfferTest extends ApiTestCase
{
    private OtherInstallation $north;

    protected function setUp(): void
    {
        parent::setUp();
        $this->north = self::service(OtherInstallation::class);
        $this->signIn('head');
    }

    public function testALinkShowsWhatIsOfferedAsItIsNowAndNothingElse(): void
    {
        $id = $this->save(['name' => 'Cellar window', 'text' => '1 2 3b exit', 'themes' => ['liver']]);
        $this->save(['name' => 'Not offered', 'text' => '1 1 2', 'themes' => []]);
        $this->offer('combination', (string) $id);
        $link = $this->ask('POST', '/api/offer-links', ['name' => 'Harbour']);
        $path = $link->body['path'];
        self::assertIsString($path);
        $this->signOut();
        $offers = $this->ask('GET', $path);

        self::assertSame(['Cellar window'], self::names($offers->body['combinations']));
        self::assertStringNotContainsString('Head Coach', $offers->raw);
        self::assertStringNotContainsString('gym.example', $offers->raw);
        self::assertSame(304, $this->ask('GET', $path, null, ['If-None-Match' => (string) $offers->etag])->status);
        self::assertSame(401, $this->ask('GET', '/api/offerings')->status);

        $this->signIn('head');
        $this->ask(
            'PUT',
            "/api/combinations/$id",
            self::combination(['name' => 'Cellar door']),
            ['If-Match' => '"1"'],
        );
        $changed = $this->ask('GET', $path, null, ['If-None-Match' => (string) $offers->etag]);
        self::assertSame([200, ['Cellar door']], [$changed->status, self::names($changed->body['combinations'])]);
        $this->ask('POST', "/api/combinations/$id/archive", null, ['If-Match' => '"2"']);
        self::assertSame([], $this->ask('GET', $path)->body['combinations'], 'What is archived is not offered.');
        $offerings = self::rows($this->ask('GET', '/api/offerings')->body['offerings']);
        self::assertSame([null], array_column($offerings, 'name'), 'which the list says');

        $this->ask('POST', '/api/offer-links/'.$link->id().'/revoke');
        self::assertSame(410, $this->ask('GET', $path)->status);
    }

    public function testAThemeAndACourseBringTheirCombinationsAlsoLaterOnes(): void
    {
        $this->save(['name' => 'First', 'text' => '1 2', 'themes' => ['liver']]);
        $taught = $this->save(['name' => 'Taught', 'text' => '1 2 3', 'themes' => []]);
        $course = $this->ask('POST', '/api/courses', ['name' => 'Tuesday'])->id();
        $this->ask(
            'PUT',
            "/api/courses/$course/syllabus",
            ['weeks' => [['theme' => 'straight', 'note' => '', 'combinations' => [$taught]]]],
            ['If-Match' => '"1"'],
        );
        $this->offer('theme', 'liver');
        $this->offer('course', (string) $course);
        $this->offer('house-rules', 'boxing');
        $this->save(['name' => 'Second', 'text' => '1 2 3b', 'themes' => ['liver']]);
        $document = $this->document();

        self::assertEqualsCanonicalizing(['First', 'Second', 'Taught'], self::names($document['combinations']));
        self::assertCount(1, self::rows($document['courses']));
        self::assertSame(['boxing'], array_column(self::rows($document['houseRules']), 'item'));
    }

    #[TestWith(['combination', '999999'])]
    #[TestWith(['theme', 'nobody has it'])]
    #[TestWith(['numbering', 'parity'])]
    #[TestWith(['house-rules', 'fencing'])]
    #[TestWith(['course', '999999'])]
    public function testOnlyWhatIsThereCanBeOffered(string $kind, string $subject): void
    {
        $answer = $this->ask('PUT', '/api/offerings', ['kind' => $kind, 'subject' => $subject]);

        self::assertSame([422, 'There is nothing like this here that could be offered.'], [
            $answer->status,
            $answer->title(),
        ]);
    }

    public function testAnOfferSaysWhatItChangesHereAndIsTakenOver(): void
    {
        $this->save(['name' => 'Ladder', 'text' => '1 2 3', 'themes' => []]);
        $this->follow([
            'combinations' => [
                self::offered([
                    'name' => 'Ladder',
                    'chain' => '1 2 3b',
                    'text' => 'one two hook',
                    'themes' => ['pier'],
                ]),
            ],
        ]);
        $offer = $this->offers()[0];
        $changes = implode(' ', self::strings($offer['changes']));

        self::assertSame('Northern Gym', $offer['gym']);
        self::assertStringContainsString('Another combination here has the same name.', $changes);
        self::assertStringContainsString('No combination here has the theme “pier” yet.', $changes);
        self::assertStringContainsString('The same, except for targets, as “Ladder” (1 2 3).', $changes);
        self::assertStringContainsString('Northern Gym writes one two hook.', $changes);
        self::assertSame(200, $this->answer('accept', $offer)->status);

        $found = self::rows($this->ask('GET', '/api/combinations')->body['combinations']);
        $id = array_column($found, 'id', 'notation')['1 2 3b'] ?? null;
        self::assertIsInt($id);
        $sharing = $this->ask('GET', "/api/combinations/$id/sharing")->body;
        self::assertIsArray($sharing['origin']);
        self::assertSame(['Northern Gym', 'Head Coach'], [$sharing['origin']['gym'], $sharing['origin']['who']]);
        self::assertSame([], $this->offers());
        self::assertSame(['accepted'], array_column(array_column($this->offers(answered: true), 'answer'), 'answer'));
        $twice = $this->answer('accept', $offer);
        self::assertSame([409, 'answered-already'], [$twice->status, $twice->type()]);
    }

    public function testTheVerdictUnderOurHouseRulesIsComputedHere(): void
    {
        $this->follow([
            'combinations' => [self::offered(['chain' => '1 2 3 14h', 'rules' => 'kickboxing', 'verdict' => 'flows'])],
        ]);
        $offer = $this->offers()[0];
        $ours = $this->ask('POST', '/api/check', ['text' => '1 2 3 14h', 'rules' => 'kickboxing'])->body['verdict'];

        self::assertSame(['reload', $ours], [$offer['verdict'], $ours]);
        self::assertContains(
            'Under the house rules of Northern Gym it flows, under yours it needs a reload.',
            self::strings($offer['changes']),
        );
    }

    public function testWhatIsHereAlreadyIsNamedAndNotStoredTwice(): void
    {
        $id = $this->save(['name' => 'Ladder', 'text' => '1 2 3']);
        $this->follow(['combinations' => [self::offered(['name' => 'Steps', 'chain' => '1 2 3'])]]);
        $offer = $this->offers()[0];

        self::assertFalse($offer['canBeAccepted']);
        self::assertSame(['name' => 'Ladder', 'page' => '/combinations/'.$id, 'version' => null], $offer['here']);
        self::assertSame(409, $this->answer('accept', $offer)->status);
        self::assertSame(1, $this->ask('GET', '/api/combinations')->body['total']);
        self::assertCount(1, $this->offers(), 'It still waits for an answer.');
    }

    public function testOfALaterVersionOnlyWhatTheOtherGymChangedIsProposed(): void
    {
        $this->follow(['combinations' => [self::offered(['chain' => '1 2 3', 'note' => 'Theirs.'])]]);
        $this->answer('accept', $this->offers()[0]);
        $id = self::rows($this->ask('GET', '/api/combinations')->body['combinations'])[0]['id'];
        self::assertIsInt($id);
        $this->ask(
            'PUT',
            "/api/combinations/$id",
            ['name' => 'Pier', 'text' => '1 2 3', 'rules' => 'boxing', 'themes' => ['ours'], 'note' => 'Theirs.'],
            ['If-Match' => '"1"'],
        );
        $this->change(['combinations' => [
            self::offered(['item' => '7', 'name' => 'Another', 'chain' => '1 1 2']),
            self::offered(['chain' => '1 2 3 2', 'note' => 'Theirs.']),
        ]]);
        $later = $this->offers()[0];
        $changes = self::strings($later['changes']);

        self::assertTrue($later['isLaterVersion']);
        self::assertSame('1 2 3 2', $later['text']);
        self::assertContains('Northern Gym changed chain since you took it over.', $changes);
        self::assertContains('Here it is 1 2 3 now.', $changes);
        self::assertContains('You changed themes yourselves; that stays.', $changes);
        self::assertIsArray($later['here']);
        self::assertSame(2, $later['here']['version']);
        // Somebody else saves while the head coach looks.
        $this->ask(
            'PUT',
            "/api/combinations/$id",
            ['name' => 'Pier', 'text' => '1 2 3', 'rules' => 'boxing', 'themes' => ['ours'], 'note' => 'Ours.'],
            ['If-Match' => '"2"'],
        );
        self::assertSame(412, $this->answer('accept', [...$later, 'against' => 2])->status);
        $newest = $this->ask('GET', "/api/combinations/$id")->body;
        self::assertSame(['1 2 3', 'Ours.', 3], [$newest['notation'], $newest['note'], $newest['version']]);

        self::assertSame(200, $this->answer('accept', [...$later, 'against' => 3])->status);
        $merged = $this->ask('GET', "/api/combinations/$id")->body;
        self::assertSame(['1 2 3 2', 'Ours.', ['ours']], [$merged['notation'], $merged['note'], $merged['themes']]);
    }

    public function testAnOfferBecomesAProposalThatIsChangedBeforeItIsApproved(): void
    {
        $this->follow(['combinations' => [self::offered(['chain' => '1 2 3'])]]);
        $offer = $this->offers()[0];
        $this->signIn('coach');
        self::assertSame(403, $this->answer('accept', $offer)->status);
        $proposal = $this->answer('propose', $offer)->body['proposal'];
        self::assertIsInt($proposal);
        $this->signIn('head');
        $read = $this->ask('GET', "/api/proposals/$proposal");
        self::assertSame('Offered by Northern Gym.', self::rows($read->body['steps'])[0]['remark']);
        $this->ask(
            'POST',
            "/api/proposals/$proposal/approve",
            ['content' => self::combination(['name' => 'Ours now', 'text' => '1 2 3'])],
            ['If-Match' => (string) $read->etag],
        );
        $answered = $this->offers(answered: true)[0]['answer'];
        self::assertIsArray($answered);
        self::assertSame(['accepted', 'Coach Coach', $proposal], [
            $answered['answer'],
            $answered['who'],
            $answered['proposal'],
        ]);

        $this->change(['combinations' => [self::offered(['chain' => '1 2 3', 'note' => 'New.'])]]);
        $this->answer('accept', [...$this->offers()[0], 'against' => 1]);
        $now = self::rows($this->ask('GET', '/api/combinations')->body['combinations'])[0];
        self::assertSame(['Ours now', 'New.'], [$now['name'], $now['note']], 'The name that was given here stays.');
    }

    public function testWhatWasDeclinedCanBeDecidedAgainAndALaterVersionComesAsNew(): void
    {
        $this->follow(['combinations' => [self::offered()]]);
        $offer = $this->offers()[0];
        $this->answer('decline', $offer);
        self::assertSame([], $this->offers());
        self::assertSame(200, $this->answer('reconsider', $offer)->status);
        self::assertCount(1, $this->offers());
        $this->answer('decline', $offer);
        $this->change(['combinations' => [self::offered(['note' => 'Better now.'])]]);

        self::assertSame([false], array_column($this->offers(), 'isLaterVersion'));
        $stale = $this->answer('accept', $offer);
        self::assertSame([412, 'changed-meanwhile'], [$stale->status, $stale->type()]);
    }

    public function testAnOfferedCourseBecomesOneWithWhatIsInTheLibrary(): void
    {
        $weeks = [
            [
                'theme' => 'straight',
                'note' => 'Slow.',
                'combinations' => [
                    ['name' => 'Pier', 'chain' => '1 2 3', 'stance' => 'orthodox'],
                    ['name' => 'Missing', 'chain' => '1 1 2', 'stance' => 'orthodox'],
                ],
            ],
        ];
        $offered = static fn (array $weeks): array => [
            'item' => '7',
            'course' => ['name' => 'Northern Tuesday', 'rules' => 'boxing', 'minutes' => 75],
            'syllabus' => ['format' => 'periplus-syllabus', 'version' => 1, 'name' => 'Tuesday', 'weeks' => $weeks],
        ];
        $document = ['combinations' => [self::offered(['chain' => '1 2 3'])], 'courses' => [$offered($weeks)]];
        $this->follow($document);
        $this->answer('accept', $this->offers()[0]);
        $offer = $this->offers()[0];
        self::assertSame(['course', '1 week, 2 combinations'], [$offer['kind'], $offer['about']]);
        self::assertStringContainsString('Missing: 1 1 2', implode(' ', self::strings($offer['changes'])));
        self::assertSame(200, $this->answer('accept', $offer)->status);

        $made = self::rows($this->ask('GET', '/api/courses')->body['courses'])[0];
        self::assertSame(['Northern Tuesday', 75, null], [$made['name'], $made['minutes'], $made['weekday']]);
        self::assertSame([['Pier']], $this->taught($made['id']));

        $this->change([...$document, 'courses' => [$offered([...$weeks, $weeks[0]])]]);
        $later = $this->offers()[0];
        self::assertContains('Replaces what “Northern Tuesday” teaches now.', self::strings($later['changes']));
        self::assertIsArray($later['here']);
        self::assertSame(200, $this->answer('accept', [...$later, 'against' => $later['here']['version']])->status);
        self::assertSame([['Pier'], ['Pier']], $this->taught($made['id']));
    }

    public function testANumberingIsAddedWithWhatItsNumbersMeanElsewhere(): void
    {
        $numbering = [
            'name' => 'Northern',
            'boundTo' => 'role',
            'about' => '',
            'numbers' => [
                ['number' => '1', 'family' => 'straight', 'position' => 'lead', 'target' => null, 'name' => null],
                ['number' => '2', 'family' => 'hook', 'position' => 'lead', 'target' => null, 'name' => null],
            ],
        ];
        $this->follow(['numberings' => [['item' => 'northern', 'numbering' => $numbering]]]);
        $offer = $this->offers()[0];
        self::assertStringContainsString(
            '1 of its numbers means another strike',
            implode(' ', self::strings($offer['changes'])),
        );
        self::assertSame(200, $this->answer('accept', $offer)->status);
        $numberings = $this->ask('GET', '/api/numberings')->body;
        self::assertContains('northern', array_column(self::rows($numberings['numberings']), 'id'));
        self::assertSame('parity', $numberings['ofGym'], 'Nobody reads in it yet.');
    }

    public function testHouseRulesAreSavedOnTheirPageAndThenTakenOver(): void
    {
        $this->offer('house-rules', 'boxing');
        $rules = self::rows($this->document()['houseRules'])[0];
        self::assertIsArray($rules['rules']);
        self::assertIsArray($rules['rules']['schools']);
        $rules['rules']['schools']['leadHook'] = 'front-foot';
        $this->follow(['houseRules' => [$rules]]);
        $offer = $this->offers()[0];

        self::assertContains('Northern Gym answers one of them otherwise than you.', self::strings($offer['changes']));
        $tooEarly = $this->answer('accept', $offer);
        self::assertSame([409, 'not-the-same'], [$tooEarly->status, $tooEarly->type()]);
        self::assertIsArray($offer['rules']);
        $preview = $this->ask('POST', '/api/house-rules/boxing/rule-previews', array_intersect_key(
            $offer['rules'],
            array_flip(['schools', 'severities', 'thresholds']),
        ))->id();
        $this->ask('POST', "/api/rule-previews/$preview/advance");
        $this->ask('POST', "/api/rule-previews/$preview/save");
        self::assertSame(200, $this->answer('accept', $offer)->status);
    }

    public function testWhatCannotBeReadAnyMoreKeepsWhatWasReadAndSaysSo(): void
    {
        $id = $this->follow(['combinations' => [self::offered()]]);
        $this->ask('POST', "/api/followed-gyms/$id/read");
        self::assertSame([200, 304], $this->north->answered, 'What is the same is not sent again.');
        $this->north->document = null;
        $this->ask('POST', "/api/followed-gyms/$id/read");
        $page = $this->ask('GET', '/api/offers')->body;

        self::assertSame(
            ['The other gym cannot be reached right now. Try again later.'],
            array_column(self::rows($page['sources']), 'problem'),
        );
        self::assertCount(1, self::rows($page['offers']));
        self::assertSame(204, $this->ask('DELETE', "/api/followed-gyms/$id")->status);
        self::assertSame([], $this->ask('GET', '/api/offers')->body['sources']);
    }

    /** @param array<mixed>|null $document */
    #[TestWith([null, 200, 'cannot be reached'])]
    #[TestWith([['format' => 'periplus-offers'], 410, 'revoked'])]
    #[TestWith([['format' => 'periplus-offers'], 302, 'no offers under this address'])]
    #[TestWith([['format' => 'something-else', 'gym' => 'North'], 200, 'These are not the offers of a gym.'])]
    #[TestWith([['format' => 'periplus-offers', 'version' => 2, 'gym' => 'North'], 200, 'a newer version'])]
    #[TestWith([['format' => 'periplus-offers', 'gym' => ['North']], 200, 'not the offers of a gym'])]
    #[TestWith([['gym' => 'North', 'combinations' => [['item' => '1']]], 200, 'not the offers'])]
    #[TestWith([['gym' => 'North', 'houseRules' => [['item' => 'boxing', 'rules' => []]]], 200, 'not the offers'])]
    public function testALinkThatIsNoneIsRefusedInPlainWords(?array $document, int $status, string $sentence): void
    {
        $this->north->document = $document;
        $this->north->status = $status;
        $answer = $this->ask('POST', '/api/followed-gyms', ['address' => OtherInstallation::LINK]);

        self::assertSame(422, $answer->status, $answer->raw);
        self::assertStringContainsString($sentence, $answer->title());
    }

    #[TestWith(['http://127.0.0.1/admin'])]
    #[TestWith(['file:///etc/passwd'])]
    #[TestWith(['https://north.example/api/shared-offers/0123456789abcdef0123456789abcdef?x=1'])]
    #[TestWith(['https://user@north.example/api/shared-offers/0123456789abcdef0123456789abcdef'])]
    public function testOnlyAnAddressOfOffersIsAskedFor(string $address): void
    {
        $this->north->document = [];
        self::assertSame(422, $this->ask('POST', '/api/followed-gyms', ['address' => $address])->status);
        self::assertSame([], $this->north->answered);
    }

    public function testACombinationThatCannotBeReadHereSaysWhy(): void
    {
        $this->follow(['combinations' => [self::offered(['chain' => '1 2 wobble'])]]);
        $offer = $this->offers()[0];

        self::assertFalse($offer['canBeAccepted']);
        self::assertStringContainsString('wobble', implode(' ', self::strings($offer['changes'])));
    }

    public function testTheLongestChainThatCanBeSavedCanBeOfferedAndTaught(): void
    {
        $id = $this->save(['name' => 'Long', 'text' => implode(' ', array_fill(0, 63, 'slip-lead')).' 1']);
        $course = $this->ask('POST', '/api/courses', ['name' => 'Patience'])->id();
        $this->ask(
            'PUT',
            "/api/courses/$course/syllabus",
            ['weeks' => [['theme' => '', 'note' => '', 'combinations' => [$id]]]],
            ['If-Match' => '"1"'],
        );
        $this->offer('course', (string) $course);
        $document = $this->document();
        $this->ask('POST', "/api/combinations/$id/archive", null, ['If-Match' => '"1"']);
        $this->follow($document);
        $offer = $this->offers()[0];

        self::assertSame('Long', $offer['name']);
        self::assertSame(200, $this->answer('accept', $offer)->status);
    }

    /** @param array<string, mixed> $with */
    private function save(array $with): int
    {
        return $this->ask('POST', '/api/combinations', self::combination($with))->id();
    }

    private function offer(string $kind, string $subject): void
    {
        $answer = $this->ask('PUT', '/api/offerings', ['kind' => $kind, 'subject' => $subject]);
        self::assertSame(200, $answer->status, $answer->raw);
    }

    /** @return array<string, mixed> what this gym offers */
    private function document(): array
    {
        $path = $this->ask('POST', '/api/offer-links', ['name' => 'Test'])->body['path'];
        self::assertIsString($path);

        return $this->ask('GET', $path)->body;
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed> a combination as the other gym offers it
     */
    private static function offered(array $with = []): array
    {
        return [
            'item' => '41',
            'name' => 'Pier',
            'chain' => '1 2 3',
            'stance' => 'orthodox',
            'rules' => 'boxing',
            'themes' => [],
            'level' => null,
            'note' => '',
            'text' => '',
            'verdict' => 'flows',
            ...$with,
        ];
    }

    /** @param array<string, mixed> $offers */
    private function change(array $offers): void
    {
        $this->north->document = ['format' => 'periplus-offers', 'version' => 1, 'gym' => 'Northern Gym', ...$offers];
        $source = self::rows($this->ask('GET', '/api/offers')->body['sources'])[0] ?? null;
        if (\is_int($source['link'] ?? null)) {
            $this->ask('POST', '/api/followed-gyms/'.$source['link'].'/read');
        }
    }

    /** @param array<string, mixed> $offers */
    private function follow(array $offers): int
    {
        $this->change($offers);
        $answer = $this->ask('POST', '/api/followed-gyms', ['address' => OtherInstallation::LINK]);
        self::assertSame(201, $answer->status, $answer->raw);

        return $answer->id();
    }

    /** @return list<array<string, mixed>> */
    private function offers(bool $answered = false): array
    {
        return self::rows($this->ask('GET', '/api/offers?answered='.($answered ? 'true' : 'false'))->body['offers']);
    }

    /** @param array<string, mixed> $offer */
    private function answer(string $how, array $offer): Answer
    {
        return $this->ask('POST', '/api/offers/'.$how, array_intersect_key(
            $offer,
            array_flip(['source', 'kind', 'item', 'digest', 'against']),
        ));
    }

    /** @return list<list<string>> the names of what a course teaches, week by week */
    private function taught(mixed $course): array
    {
        self::assertIsInt($course);
        $weeks = self::rows($this->ask('GET', "/api/courses/$course/syllabus.json")->body['weeks']);

        return array_map(static fn (array $week): array => self::names($week['combinations']), $weeks);
    }

    /** @return list<string> */
    private static function names(mixed $rows): array
    {
        return self::strings(array_column(self::rows($rows), 'name'));
    }

    /** @return list<string> */
    private static function strings(mixed $values): array
    {
        self::assertIsArray($values);

        return array_map(static fn (mixed $value): string => \is_string($value) ? $value : '', array_values($values));
    }

    /** @return list<array<string, mixed>> */
    private static function rows(mixed $rows): array
    {
        self::assertIsArray($rows);

        /** @var list<array<string, mixed>> $rows */
        return $rows;
    }
}
