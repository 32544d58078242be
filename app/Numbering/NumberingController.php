<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Http\IfMatch;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\NumberingReview;
use Periplus\Core\Technique\Catalogue;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** The gym's numberings: listing, editing, and choosing one to read. */
final readonly class NumberingController
{
    public function __construct(
        private Catalogue $catalogue,
        private GymNumberings $numberings,
        private Accounts $accounts,
    ) {
    }

    /** Lists the numberings with their numbers. */
    #[Route('/api/numberings', methods: 'GET')]
    public function list(Request $request): Response
    {
        $numberings = [];
        foreach ($this->numberings->all() as $one) {
            $numberings[] = new ShownNumbering($one->numbering, $this->catalogue, $one->version);
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
            if ($problem->stops) {
                throw new Invalid(t('This numbering cannot be saved yet. {problem}', problem: $problem->message));
            }
        }
        $basedOn = $http->headers->has('If-None-Match') ? null : IfMatch::version($http);
        $numbering = Numbering::of($id, $content);
        $saved = $this->numberings->save($numbering, $basedOn, $user);

        return new JsonResponse(
            new ShownNumbering($numbering, $this->catalogue, $saved->version()),
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
}
