<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Http\IfMatch;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\NumberedStrike;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\NumberingReview;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** The gym's numberings: listing, editing by the head coach, and translating lists. */
final readonly class NumberingController
{
    private const MAX_SAMPLES = 10;
    private const MAX_CHAINS = 400;

    public function __construct(
        private Catalogue $catalogue,
        private GymNumberings $numberings,
        private StoredChains $chains,
        private Reader $reader,
        private Accounts $accounts,
    ) {
    }

    /** Lists the numberings with their numbers. */
    #[Route('/api/numberings', methods: 'GET')]
    public function list(Request $request): Response
    {
        $numberings = [];
        foreach ($this->numberings->all() as [$numbering, $version]) {
            $numberings[] = [...$this->numbering($numbering), 'version' => $version, 'isBuiltIn' => null === $version];
        }
        $response = new JsonResponse([
            'numberings' => $numberings,
            'ofGym' => $this->numberings->ofGym(),
            'followers' => $this->numberings->followers(),
            'readers' => (object) $this->numberings->readers(),
        ]);
        $response->setEtag(hash('xxh128', (string) $response->getContent()));
        $response->isNotModified($request);

        return $response;
    }

    /** Previews a numbering before it is saved: errors, strikes without a number, and how the library reads in it. */
    #[Route('/api/numberings/preview', methods: 'POST')]
    public function preview(#[MapRequestPayload(acceptFormat: 'json')] NumberingRequest $request): JsonResponse
    {
        $review = new NumberingReview($this->catalogue);
        $content = $request->content();
        $problems = $review->problems($content);
        $stops = [] !== array_filter($problems, static fn (array $problem): bool => $problem['stops']);
        if ($stops) {
            return new JsonResponse([
                'problems' => $problems,
                'gaps' => [],
                'differences' => [],
                'samples' => [],
                'changed' => 0,
                'lookedAt' => 0,
            ]);
        }
        $numbering = Numbering::of('edited', $content);
        $other = $this->numberings->named($request->comparedWith);

        return new JsonResponse([
            'problems' => $problems,
            'gaps' => $review->gaps($numbering),
            'differences' => $review->differences($numbering, $other),
            ...$this->samples($other, $numbering),
        ]);
    }

    /** Saves a new or changed numbering; built-in ones cannot be changed. */
    #[Route('/api/numberings/{id<[a-z0-9-]{1,40}>}', methods: 'PUT')]
    #[IsGranted(Permission::EditNumberings->value)]
    public function save(
        string $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] NumberingRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        if (isset(Numbering::builtIn()[$id])) {
            throw new Conflict('built-in', t('A built-in numbering cannot be changed. Save yours under another name.'));
        }
        $content = $request->content();
        foreach ((new NumberingReview($this->catalogue))->problems($content) as $problem) {
            if ($problem['stops']) {
                throw new Invalid(t('This numbering cannot be saved yet. {problem}', problem: $problem['message']));
            }
        }
        $basedOn = $http->headers->has('If-None-Match') ? null : IfMatch::version($http);
        $numbering = Numbering::of($id, $content);
        $saved = $this->numberings->save($numbering, $basedOn, $user);

        return new JsonResponse(
            [...$this->numbering($numbering), 'version' => $saved->version(), 'isBuiltIn' => false],
            null === $basedOn ? 201 : 200,
        );
    }

    /** Sets the numbering of everybody who has not chosen one. */
    #[Route('/api/gym/numbering', methods: 'PUT')]
    #[IsGranted(Permission::EditNumberings->value)]
    public function choose(
        #[MapRequestPayload(acceptFormat: 'json')] ChoiceRequest $request,
        #[CurrentUser] User $user,
    ): Response {
        $this->numberings->useForGym($this->numberings->named((string) $request->numbering), $user);

        return new Response(status: 204);
    }

    /** Sets the numbering that a coach reads; null for the gym's. */
    #[Route('/api/me/numbering', methods: 'PUT')]
    public function read(
        #[MapRequestPayload(acceptFormat: 'json')] ChoiceRequest $request,
        #[CurrentUser] User $user,
    ): Response {
        $numbering = null === $request->numbering ? null : $this->numberings->named($request->numbering)->id;
        $this->accounts->readIn($user, $numbering);

        return new Response(status: 204);
    }

    #[Route('/api/translate', methods: 'POST')]
    public function translate(#[MapRequestPayload(acceptFormat: 'json')] TranslateRequest $request): JsonResponse
    {
        $from = $this->numberings->named($request->from);
        $to = $this->numberings->named($request->to);
        $writer = new Writer($to);
        $lines = preg_split('/\R/u', $request->text);
        $lines = false === $lines ? [] : $lines;
        if (\count($lines) > TranslateRequest::MAX_LINES) {
            throw new Invalid(
                t('Translate at most {maxLines} lines at a time.', maxLines: TranslateRequest::MAX_LINES),
            );
        }
        $rows = [];
        foreach ($lines as $index => $line) {
            [$chain, $name] = array_map(trim(...), [...explode('#', $line, 2), '']);
            if ('' === $chain) {
                $rows[] = ['line' => $index + 1, 'text' => $line, 'written' => $line, 'problems' => []];
                continue;
            }
            $reading = $this->reader->read($chain, $from, $request->stance);
            $rows[] = [
                'line' => $index + 1,
                'text' => $line,
                'written' => null === $reading->chain
                        ? null
                        : $writer->write(new ChainInStance($reading->chain, $request->stance))
                            .('' === $name ? '' : ' # '.$name),
                'problems' => array_map(
                    static fn (ReadingProblem $problem): array => (array) $problem,
                    $reading->problems,
                ),
            ];
        }

        return new JsonResponse([
            'lines' => $rows,
            'differences' => (new NumberingReview($this->catalogue))->differences($from, $to),
        ]);
    }

    /**
     * Returns combinations of the library before and after, those that change first.
     *
     * @return array{
     *     samples: list<array{id: int, name: string, before: string, after: string}>,
     *     changed: int,
     *     lookedAt: int,
     * }
     */
    private function samples(Numbering $before, Numbering $after): array
    {
        $rows = $this->chains->first(self::MAX_CHAINS);
        [$changed, $same] = [[], []];
        foreach ($rows as $row) {
            $inStance = $this->reader->readStored($row['notation'], $row['stance']);
            if (null === $inStance) {
                continue;
            }
            $sample = [
                'id' => $row['id'],
                'name' => $row['name'],
                'before' => (new Writer($before))->write($inStance),
                'after' => (new Writer($after))->write($inStance),
            ];
            $sample['before'] === $sample['after'] ? ($same[] = $sample) : ($changed[] = $sample);
        }

        return [
            'samples' => \array_slice([...$changed, ...$same], 0, self::MAX_SAMPLES),
            'changed' => \count($changed),
            'lookedAt' => \count($rows),
        ];
    }

    /** @return array<string, mixed> */
    private function numbering(Numbering $numbering): array
    {
        return [
            'id' => $numbering->id,
            'name' => $numbering->name,
            'about' => $numbering->about,
            'boundTo' => $numbering->boundToHand ? 'hand' : 'role',
            'numbers' => array_values(
                array_map(
                    fn (NumberedStrike $entry): array => [
                        'number' => $entry->code,
                        'family' => $entry->family,
                        'position' => $entry->position->value,
                        'target' => $entry->target?->word(),
                        'name' => $entry->name,
                        'roles' => [
                            'orthodox' => $entry->role(Stance::Orthodox)->value,
                            'southpaw' => $entry->role(Stance::Southpaw)->value,
                        ],
                        'limb' => (
                            $this->catalogue->inFamily($entry->family, $entry->role(Stance::Orthodox))
                            ?? $this->catalogue->inFamily($entry->family, $entry->role(Stance::Southpaw))
                        )?->limb->value,
                    ],
                    $numbering->entries,
                ),
            ),
        ];
    }
}
