<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Account\User;
use Periplus\App\Store\Invalid;

use function Periplus\Core\Language\t;

/** Changes several combinations together or none: if one was changed meanwhile, nothing is changed. */
final readonly class Bulk
{
    public function __construct(
        private Library $library,
        private Combinations $combinations,
        private DraftReader $drafts,
    ) {
    }

    /** @return list<Combination> as they are then */
    public function do(BulkRequest $request, User $user): array
    {
        $theme = mb_strtolower(trim($request->theme));
        if ('' === $theme && \in_array($request->action, ['tag', 'untag'], true)) {
            throw Invalid::field('theme', t('Name the theme.'));
        }

        return $this->library->write(
            fn (): array => array_map(
                fn (array $one): Combination => match ($request->action) {
                    'archive' => $this->library->archive($one['id'], $one['version'], $user),
                    'restore' => $this->library->restore($one['id'], $one['version'], $user),
                    'tag' => $this->retheme($one['id'], $one['version'], null, $theme, $user),
                    default => $this->retheme($one['id'], $one['version'], $theme, null, $user),
                },
                $request->all(),
            ),
        );
    }

    /** Merges two combinations: the remaining one gets the themes and the note of the other, which is archived. */
    public function merge(MergeRequest $request, User $user): Combination
    {
        return $this->library->write(function () use ($request, $user): Combination {
            $dropped = $this->library->archive($request->drop, $request->dropVersion, $user)->content();
            $kept = $this->combinations->get($request->keep)->content();
            $note =
                '' === $dropped->note || str_contains($kept->note, $dropped->note)
                    ? $kept->note
                    : trim($kept->note."\n".$dropped->note);
            $content = new CombinationContent(
                name: $kept->name,
                notation: $kept->notation,
                stance: $kept->stance,
                rules: $kept->rules,
                themes: self::themes([...$kept->themes, ...$dropped->themes]),
                level: $kept->level,
                note: mb_substr($note, 0, 2000),
                levelChosen: $kept->levelChosen,
            );

            return $this->library->update(
                $request->keep,
                $request->keepVersion,
                $this->drafts->fromContent($content),
                $user,
            );
        });
    }

    /**
     * Renames a theme in every combination that has it; a combination that has the new theme already keeps it once.
     *
     * @param list<int> $ids of those that have it
     *
     * @return int how many
     */
    public function renameTheme(array $ids, string $from, string $to, User $user): int
    {
        $this->library->write(
            fn () => array_map(
                fn (int $id): Combination => $this->retheme(
                    $id,
                    $this->combinations->get($id)->version(),
                    $from,
                    $to,
                    $user,
                ),
                $ids,
            ),
        );

        return \count($ids);
    }

    private function retheme(int $id, int $version, ?string $from, ?string $to, User $user): Combination
    {
        $content = $this->combinations->get($id)->content();
        $themes = array_values(
            array_filter(
                array_map(static fn (string $theme): ?string => $theme === $from ? $to : $theme, $content->themes),
                is_string(...),
            ),
        );
        $themes = self::themes(null === $from && null !== $to ? [...$themes, $to] : $themes);

        return $this->library->update(
            $id,
            $version,
            $this->drafts->fromContent(
                new CombinationContent(
                    name: $content->name,
                    notation: $content->notation,
                    stance: $content->stance,
                    rules: $content->rules,
                    themes: $themes,
                    level: $content->level,
                    note: $content->note,
                    levelChosen: $content->levelChosen,
                ),
            ),
            $user,
        );
    }

    /**
     * @param list<string> $themes
     *
     * @return list<string> none twice, as many as a combination has at most
     */
    private static function themes(array $themes): array
    {
        return \array_slice(array_values(array_unique($themes)), 0, SaveRequest::MAX_THEMES);
    }
}
