<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationDraft;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Search\SearchIndex;
use Periplus\App\Similarity\SimilarCombinations;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Numbering;
use Symfony\Component\Validator\Validator\ValidatorInterface;

use function Periplus\Core\Language\t;

/** Works out what combinations of other gyms would change in this library. */
final readonly class CombinationEffects
{
    public function __construct(
        private DraftReader $drafts,
        private CombinationTable $table,
        private SimilarCombinations $similar,
        private SearchIndex $themes,
        private LineRenderer $lines,
        private ValidatorInterface $validator,
    ) {
    }

    /**
     * Reads an offered combination as if a coach had typed it here.
     *
     * @throws Refused when it cannot be read here
     */
    public function draft(OfferedCombination $offered): CombinationDraft
    {
        $request = $offered->request();
        $violations = $this->validator->validate($request);
        if (\count($violations) > 0) {
            throw new Invalid((string) $violations->get(0)->getMessage());
        }

        return $this->drafts->read($request);
    }

    /** @return OfferedChange|null null when it was not taken over yet, or what it became is archived */
    public function change(?AnsweredOffer $taken, CombinationContent $offered): ?OfferedChange
    {
        $combination = $taken?->proposal()?->combination();
        $then = $taken?->content();

        return null === $combination || null === $then || !$combination->isInUse()
            ? null
            : new OfferedChange($combination, $then, $offered);
    }

    /**
     * What they have in common with the library is looked up for all together.
     *
     * @param array<string, Offer> $offers of combinations, by their keys
     * @param array<string, AnsweredOffer|null> $taken the version that was taken over last, by the same
     *
     * @return array<string, OfferEffect> by the same
     */
    public function workOut(array $offers, array $taken, Numbering $numbering): array
    {
        $effects = $drafts = $changes = $new = [];
        foreach ($offers as $key => $offer) {
            \assert($offer->thing instanceof OfferedCombination);
            try {
                $drafts[$key] = $this->draft($offer->thing);
            } catch (Refused $problem) {
                $effects[$key] = new OfferEffect($offer->thing->text, [$problem->getMessage()], false);
                continue;
            }
            $changes[$key] = $this->change($taken[$key] ?? null, $drafts[$key]->content);
            if (null === $changes[$key]) {
                $new[$key] = $drafts[$key];
            }
        }
        $fingerprints = array_map(
            static fn (CombinationDraft $draft): string => Fingerprint::of($draft->inStance->chain)->withEffort,
            $new,
        );
        $same = $this->table->withChains(array_values(array_unique($fingerprints)));
        $names = $this->table->named(array_values(array_map(
            static fn (CombinationDraft $draft): string => $draft->content->name,
            $new,
        )));
        $near = $this->similar->nearest(array_map(static fn (CombinationDraft $draft) => $draft->inStance, $new));
        $themes = $this->themes->themes();
        foreach ($drafts as $key => $draft) {
            $thing = $offers[$key]->thing;
            \assert($thing instanceof OfferedCombination);
            $change = $changes[$key];
            $inUse = array_values(array_filter(
                $same[$fingerprints[$key] ?? ''] ?? [],
                static fn (CombinationSummary $one): bool => null === $one->archivedAt,
            ))[0] ?? null;
            $said = match (true) {
                null !== $change => $this->saysOfChange($change, $offers[$key]->gym, $numbering),
                null !== $inUse => [
                    t('This chain is in the library already as “{name}”.', name: $inUse->content->name),
                ],
                default => $this->saysOfNew($draft->content, $names, $themes),
            };
            if (isset($near[$key]) && null === $inUse) {
                $said[] = t(
                    '{relation} “{name}” ({notation}).',
                    relation: ucfirst($near[$key]->relation->words()),
                    name: $near[$key]->row->name,
                    notation: $near[$key]->row->notation,
                );
            }
            $line = $this->lines->render($change->result ?? $draft->content, $numbering);
            $effects[$key] = new OfferEffect(
                implode(', ', $draft->content->themes),
                [...$said, ...self::saysOfReading($thing, $line->text, $line->verdict, $offers[$key]->gym)],
                null === $change ? null === $inUse : $change->changesSomething(),
                match (true) {
                    null !== $change => new LocalThing(
                        $change->combination->content()->name,
                        '/combinations/'.$change->combination->id(),
                        $change->combination->version(),
                    ),
                    null !== $inUse => new LocalThing($inUse->content->name, '/combinations/'.$inUse->id),
                    default => null,
                },
                $line,
            );
        }

        return $effects;
    }

    /** @return list<string> */
    private function saysOfChange(OfferedChange $change, string $gym, Numbering $numbering): array
    {
        if (!$change->changesSomething()) {
            return [t('What {gym} changed since you took it over is here already.', gym: $gym)];
        }
        $said = [
            t('{gym} changed {fields} since you took it over.', gym: $gym, fields: implode(', ', $change->theirs)),
        ];
        $now = $change->combination->content();
        if ($now->notation !== $change->result->notation) {
            $said[] = t(
                'Here it is {text} now.',
                text: $this->lines->text($now->notation, $now->stance, $numbering),
            );
        }
        $kept = array_diff($change->ours, $change->both());
        if ([] !== $kept) {
            $said[] = t('You changed {fields} yourselves; that stays.', fields: implode(', ', $kept));
        }
        if ([] !== $change->both()) {
            $said[] = t(
                'Both changed {fields}; that of {gym} would replace yours.',
                fields: implode(', ', $change->both()),
                gym: $gym,
            );
        }

        return $said;
    }

    /**
     * @param array<string, CombinationSummary> $names by name in lower case
     * @param array<int> $themes how often each is used, by theme
     *
     * @return list<string>
     */
    private function saysOfNew(CombinationContent $content, array $names, array $themes): array
    {
        $said = [];
        if (isset($names[mb_strtolower($content->name)])) {
            $said[] = t('Another combination here has the same name.');
        }
        $unknown = array_filter($content->themes, static fn (string $theme): bool => !isset($themes[$theme]));
        if ([] !== $unknown) {
            $said[] = t(
                'No combination here has the theme {themes} yet.',
                themes: '“'.implode('”, “', $unknown).'”',
            );
        }

        return $said;
    }

    /** @return list<string> */
    private static function saysOfReading(OfferedCombination $thing, string $text, Verdict $verdict, string $gym): array
    {
        $said = [];
        if ('' !== $thing->text && $thing->text !== $text) {
            $said[] = t('{gym} writes {text}.', gym: $gym, text: $thing->text);
        }
        if ($thing->verdict !== $verdict) {
            $said[] = t(
                'Under the house rules of {gym} it {there}, under yours it {here}.',
                gym: $gym,
                there: self::does($thing->verdict),
                here: self::does($verdict),
            );
        }

        return $said;
    }

    private static function does(Verdict $verdict): string
    {
        return match ($verdict) {
            Verdict::Flows => t('flows'),
            Verdict::Reload => t('needs a reload'),
            Verdict::Breaks => t('breaks'),
        };
    }
}
