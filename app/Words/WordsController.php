<?php

declare(strict_types=1);

namespace Periplus\App\Words;

use Periplus\App\Account\User;
use Periplus\App\Http\IfMatch;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Invalid;
use Periplus\Core\Notation\Glue;
use Periplus\Core\Notation\Vocabulary;
use Periplus\Core\Technique\Catalogue;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Reads and changes which words of a typed line are passed over. */
#[Route('/api/passed-over-words')]
final readonly class WordsController
{
    public function __construct(private GymWords $words, private Catalogue $catalogue)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(): JsonResponse
    {
        $row = $this->words->row();
        $glue = $row->glue();

        return new JsonResponse([
            'own' => $glue->own,
            'kept' => $glue->kept,
            'groups' => Glue::groups(),
            'version' => $row->version(),
        ]);
    }

    #[Route('', methods: 'PUT')]
    #[IsGranted(Permission::EditNumberings->value)]
    public function save(
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] WordsRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $glue = $request->glue();
        $vocabulary = new Vocabulary($this->catalogue);
        foreach ($glue->own as $index => $phrase) {
            $problem = Glue::problem($phrase, $vocabulary);
            if (null !== $problem) {
                throw Invalid::field("own[$index]", $problem);
            }
        }
        $this->words->store(IfMatch::version($http), $glue, $user);

        return $this->list();
    }
}
