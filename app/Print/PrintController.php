<?php

declare(strict_types=1);

namespace Periplus\App\Print;

use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Search\CompleteSearch;
use Periplus\App\Search\SearchRequest;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Notation\Numbering;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

use function Periplus\Core\Language\t;

/** Returns pictures and paper, in the coach's numbering. */
final readonly class PrintController
{
    /** Minimum width of a picture, in drawing units. */
    private const MIN_WIDTH = 760.0;

    public function __construct(
        private CombinationTable $table,
        private LineRenderer $lines,
        private GymNumberings $numberings,
    ) {
    }

    #[Route('/api/combinations/{id<\d{1,9}>}/line.svg', methods: 'GET')]
    public function line(int $id, #[CurrentUser] User $user): Response
    {
        $row = $this->get($id);
        $drawn = $this->lines->render($row->content, $this->numberings->forUser($user), LineSize::Full);

        return FileResponse::create(
            (new LineSvg($drawn->line, self::MIN_WIDTH, $row->content->stance))->write(
                $row->content->name.': '.$drawn->text,
            ),
            'image/svg+xml',
            $row->content->name.'.svg',
        );
    }

    #[Route('/api/combinations/{id<\d{1,9}>}/card.pdf', methods: 'GET')]
    #[HeavyWork]
    public function card(int $id, #[CurrentUser] User $user, Paper $paper): Response
    {
        $row = $this->get($id);

        return FileResponse::create(
            $paper->card($row, $this->numberings->forUser($user)),
            'application/pdf',
            $row->content->name.'.pdf',
        );
    }

    /** Returns cards for the result of a search, in its order. */
    #[Route('/api/cards.pdf', methods: 'GET')]
    #[HeavyWork]
    public function cards(
        CompleteSearch $searches,
        Paper $paper,
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] SearchRequest $list = new SearchRequest(),
    ): Response {
        $numbering = $this->numberings->forUser($user);

        return FileResponse::create(
            $paper->cards($this->found($searches, $list, $numbering), $numbering),
            'application/pdf',
            'cards.pdf',
        );
    }

    /** Returns a wall sheet for the result of a search, in its order. */
    #[Route('/api/wall-sheet.pdf', methods: 'GET')]
    #[HeavyWork]
    public function wallSheet(
        CompleteSearch $searches,
        Paper $paper,
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] SearchRequest $list = new SearchRequest(),
        #[MapQueryParameter] string $title = '',
    ): Response {
        $numbering = $this->numberings->forUser($user);

        return FileResponse::create($paper->wallSheet($this->found($searches, $list, $numbering), match (true) {
            '' !== trim($title) => mb_substr(trim($title), 0, 60),
            '' !== trim($list->q) => trim($list->q),
            default => t('Combinations'),
        }, $numbering), 'application/pdf', 'wall-sheet.pdf');
    }

    /** @return non-empty-list<CombinationSummary> as many as paper holds */
    private function found(CompleteSearch $searches, SearchRequest $list, Numbering $numbering): array
    {
        $ids = $searches->all($list, $numbering);
        if (\count($ids) > Paper::MAX_COMBINATIONS) {
            throw new Invalid(
                t(
                    'At most {maxCombinations} combinations can be printed, and this search finds {count}. Narrow it '
                        .'down.',
                    maxCombinations: Paper::MAX_COMBINATIONS,
                    count: \count($ids),
                ),
                type: 'too-many',
            );
        }
        $rows = $this->table->summaries($ids);

        return [] === $rows ? throw new NotFound(t('Nothing fits this search, so there is nothing to print.')) : $rows;
    }

    private function get(int $id): CombinationSummary
    {
        return $this->table->summaries([$id])[0]
            ?? throw new NotFound(t('There is no such combination. It may have been typed wrongly.'));
    }
}
