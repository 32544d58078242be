<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\App\Account\User;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Security\Permission;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\Summary;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Shows which combinations have another verdict since an update of the check, until the head coach accepts it. */
#[Route('/api/verdict-changes')]
final readonly class VerdictChangesController
{
    private const MAX_LISTED = 200;

    public function __construct(
        private RulePreviews $previews,
        private LineRenderer $lines,
        private GymNumberings $numberings,
        private Reader $reader,
        private Check $check,
    ) {
    }

    #[Route('', methods: 'GET')]
    public function list(#[CurrentUser] User $user): JsonResponse
    {
        $numbering = $this->numberings->forUser($user);
        $updates = [];
        foreach ($this->previews->updates() as $update) {
            $changed = $this->previews->changed($update);
            // They come by name; what needs a look first comes first.
            usort(
                $changed,
                static fn (ChangedVerdict $one, ChangedVerdict $other): int => $other->to->rank() <=> $one->to->rank(),
            );
            $updates[] = [
                'id' => $update->id(),
                'rules' => $update->rules()->id,
                'total' => $update->total(),
                'changes' => VerdictCount::all($changed),
                'changed' => array_map(
                    fn (ChangedVerdict $one): ShownVerdict => $this->shown($one, $update->rules(), $numbering),
                    \array_slice($changed, 0, self::MAX_LISTED),
                ),
            ];
        }

        return new JsonResponse(['updates' => $updates]);
    }

    #[Route('/{id<\d{1,9}>}/accept', methods: 'POST')]
    #[IsGranted(Permission::EditHouseRules->value)]
    public function accept(int $id, #[CurrentUser] User $user): Response
    {
        $this->previews->accept($id, $user->id());

        return new Response(null, 204);
    }

    private function shown(ChangedVerdict $changed, HouseRules $rules, Numbering $numbering): ShownVerdict
    {
        return new ShownVerdict(
            $changed,
            $this->lines->text($changed->notation, $changed->stance, $numbering),
            $this->why($changed, $rules),
        );
    }

    /** Returns what the check says of the chain now: its worst link, or its summary where every link flows. */
    private function why(ChangedVerdict $changed, HouseRules $rules): string
    {
        $chain = $this->reader->readStored($changed->notation, $changed->stance);
        if (null === $chain) {
            return '';
        }
        $result = $this->check->run($chain, new CheckOptions($rules));
        $waits = array_filter(
            $result->timing->links,
            static fn (Link $link): bool => Verdict::Flows !== $link->verdict,
        );
        usort($waits, static fn (Link $one, Link $other): int => $other->wait <=> $one->wait);

        return [] === $waits ? (new Summary($result))->write() : $result->timing->reason($waits[0]);
    }
}
