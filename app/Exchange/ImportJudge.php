<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\CombinationDraft;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\SaveRequest;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Similarity\SimilarCombinations;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Validator\ValidatorInterface;

use function Periplus\Core\Language\t;

/** Decides what each entry of a file would do to the library. */
final readonly class ImportJudge
{
    public function __construct(
        private ImportLines $lines,
        private DraftReader $drafts,
        private CombinationTable $table,
        private SimilarCombinations $similar,
        private Check $check,
        private GymHouseRules $rules,
        private ValidatorInterface $validator,
    ) {
    }

    /**
     * All matching combinations are fetched together.
     *
     * @param array<int, ImportEntry> $entries by their number
     *
     * @return array<int, Judgement> by the same
     */
    public function judge(int $import, array $entries): array
    {
        [$judged, $drafts, $fingerprints] = [[], [], []];
        foreach ($entries as $line => $entry) {
            $judged[$line] = new Judgement(LineKind::Unreadable, $entry->problem);
            if ($entry->isRemark) {
                $judged[$line] = new Judgement(LineKind::Remark, '');
                continue;
            }
            if (null === $entry->fields) {
                continue;
            }
            try {
                $drafts[$line] = $this->draft($entry->fields);
                $fingerprints[$line] = Fingerprint::of($drafts[$line]->inStance->chain)->withEffort;
            } catch (Refused $problem) {
                $judged[$line] = new Judgement(LineKind::Unreadable, $problem->getMessage());
            }
        }
        $lower = array_map(
            static fn (CombinationDraft $draft): string => mb_strtolower($draft->content->name),
            $drafts,
        );
        $known = array_values(array_unique($fingerprints));
        $chains = $this->table->withChains($known);
        $names = $this->table->named(array_values(array_map(
            static fn (CombinationDraft $draft): string => $draft->content->name,
            $drafts,
        )));
        $earlier = $this->lines->withChains($import, $known);
        $namesakes = $this->lines->named($import, array_values($lower));
        [$near, $hints] = [[], []];
        foreach ($drafts as $line => $draft) {
            $fingerprint = $fingerprints[$line];
            $archived = true === ($entries[$line]->fields['archived'] ?? false);
            $judged[$line] = $this->would(
                $draft,
                $entries[$line]->stated,
                $archived,
                $earlier[$fingerprint] ?? null,
                array_values(
                    array_filter(
                        $chains[$fingerprint] ?? [],
                        static fn (CombinationSummary $summary): bool => null === $summary->archivedAt
                            || mb_strtolower($summary->content->name) === $lower[$line],
                    ),
                )[0] ?? null,
                $names[$lower[$line]] ?? null,
            )->about($draft->content, $archived, $fingerprint);
            if ($judged[$line]->kind->comesIn()) {
                $earlier[$fingerprint] ??= $line;
                $namesake = $namesakes[$lower[$line]] ?? $line;
                $namesakes[$lower[$line]] = min($namesake, $line);
                if ($namesake < $line) {
                    $hints[$line] = t('Entry {namesake} has the same name.', namesake: $namesake);
                }
            }
            if (LineKind::New === $judged[$line]->kind) {
                $near[$line] = $draft->inStance;
            }
        }
        foreach ($this->similar->nearest($near) as $line => $nearest) {
            $judged[$line] = $judged[$line]->saying(
                t(
                    '{relation} “{name}” ({notation}).',
                    relation: ucfirst($nearest->relation->words()),
                    name: $nearest->row->name,
                    notation: $nearest->row->notation,
                ),
            );
        }
        foreach ($hints as $line => $hint) {
            $judged[$line] = $judged[$line]->saying(trim($hint.' '.$judged[$line]->message));
        }

        return $judged;
    }

    /**
     * @param list<string> $stated
     * @param int|null $earlier the entry of this file with the same chain
     * @param CombinationSummary|null $same what has the chain in the library: in use, or archived under the same name
     * @param CombinationSummary|null $named what is in use under the name
     */
    private function would(
        CombinationDraft $draft,
        array $stated,
        bool $archived,
        ?int $earlier,
        ?CombinationSummary $same,
        ?CombinationSummary $named,
    ): Judgement {
        if (null !== $earlier) {
            return new Judgement(
                LineKind::Duplicate,
                t('The same chain is entry {earlier} of this file.', earlier: $earlier),
            );
        }
        if (null !== $same) {
            $theirs = $same->content;
            $isSame = mb_strtolower($theirs->name) === mb_strtolower($draft->content->name);
            $would = $theirs->with($draft->content, $stated);

            return match (true) {
                $isSame && $theirs->equals($would) => new Judgement(
                    LineKind::Same,
                    t('It is in the library unchanged.'),
                    combination: $same->id,
                ),
                $isSame && null === $same->archivedAt => new Judgement(
                    LineKind::Changed,
                    t(
                        'Changes {differencesFrom} of “{theirs}”.',
                        differencesFrom: implode(', ', $would->differencesFrom($theirs)),
                        theirs: $theirs->name,
                    ),
                    $would,
                    combination: $same->id,
                    version: $same->version,
                ),
                default => new Judgement(
                    LineKind::Duplicate,
                    t('This chain is in the library already as “{theirs}”.', theirs: $theirs->name),
                    combination: $same->id,
                ),
            };
        }
        if (null !== $named && !$archived) {
            return new Judgement(
                LineKind::Changed,
                t(
                    'Changes the chain of “{content}”, which is {notation} now.',
                    content: $named->content->name,
                    notation: $named->content->notation,
                ),
                $named->content->with($draft->content, $stated),
                combination: $named->id,
                version: $named->version,
            );
        }

        return new Judgement(LineKind::New);
    }

    /**
     * @param array{
     *     name: string,
     *     chain: string,
     *     numbering: string,
     *     stance: string,
     *     rules: string,
     *     themes: list<string>,
     *     level: int|null,
     *     note: string,
     *     archived: bool,
     * } $fields
     */
    private function draft(array $fields): CombinationDraft
    {
        $stance =
            Stance::tryFrom(mb_strtolower($fields['stance'])) ??
            throw new Invalid(
                t('“{stance}” is not a stance. Use orthodox or southpaw.', stance: mb_substr($fields['stance'], 0, 30)),
            );
        $request = new SaveRequest(
            name: '' === trim($fields['name']) ? mb_substr(trim($fields['chain']), 0, 120) : $fields['name'],
            text: $fields['chain'],
            numbering: $fields['numbering'],
            stance: $stance,
            rules: '' === $fields['rules'] ? null : mb_strtolower($fields['rules']),
            themes: $fields['themes'],
            level: $fields['level'],
            note: $fields['note'],
        );
        $violations = $this->validator->validate($request);
        if (\count($violations) > 0) {
            throw new Invalid((string) $violations->get(0)->getMessage());
        }
        $draft = $this->drafts->read($request);
        $result = $this->check->run($draft->inStance, new CheckOptions($this->rules->named($draft->content->rules)));

        return new CombinationDraft($draft->content->settled(CheckSummary::of($result)), $draft->inStance);
    }
}
