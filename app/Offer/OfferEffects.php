<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Course\Courses;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Syllabus\FileWeek;
use Periplus\App\Syllabus\SyllabusFiles;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\NumberingReview;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/** Works out what offers would change in this gym. */
final readonly class OfferEffects
{
    private const MAX_NAMED = 3;

    public function __construct(
        private CombinationEffects $combinations,
        private SyllabusFiles $syllabi,
        private Courses $courses,
        private GymNumberings $numberings,
        private GymHouseRules $rules,
        private Catalogue $catalogue,
    ) {
    }

    /**
     * @param list<Offer> $offers
     * @param array<string, AnsweredOffer|null> $taken the version that was taken over last, by the keys of the offers
     *
     * @return array<string, OfferEffect> by the keys of the offers
     */
    public function workOut(array $offers, array $taken, Numbering $numbering): array
    {
        $effects = $combinations = [];
        foreach ($offers as $offer) {
            $key = $offer->key();
            $thing = $offer->thing;
            if ($thing instanceof OfferedCombination) {
                $combinations[$key] = $offer;
                continue;
            }
            $effects[$key] = match (true) {
                $thing instanceof OfferedCourse => $this->course($thing, $taken[$key] ?? null, $numbering),
                $thing instanceof OfferedNumbering => $this->numbering($thing, $taken[$key] ?? null),
                $thing instanceof OfferedHouseRules => $this->houseRules($thing, $offer->gym),
                default => throw new \LogicException('Offers are of four kinds.'),
            };
        }

        return [...$effects, ...$this->combinations->workOut($combinations, $taken, $numbering)];
    }

    private function course(OfferedCourse $thing, ?AnsweredOffer $taken, Numbering $numbering): OfferEffect
    {
        $weeks = $thing->syllabus->weeks;
        $count = array_sum(array_map(static fn (FileWeek $week): int => \count($week->combinations), $weeks));
        $about = t(
            '{weeks, plural, one {# week} other {# weeks}}, '
                .'{count, plural, one {# combination} other {# combinations}}',
            weeks: \count($weeks),
            count: $count,
        );
        $missing = $this->syllabi->read($thing->syllabus, $numbering)->missing;
        $said = [];
        if ([] !== $missing) {
            $said[] = t(
                '{count, plural, one {One of its combinations is} other {# of its combinations are}} not in your '
                    .'library and would be left out, such as {names}. Accept them first.',
                count: \count($missing),
                names: implode('; ', \array_slice($missing, 0, self::MAX_NAMED)),
            );
        }
        $course = null === $taken?->subject() ? null : $this->courses->find((int) $taken->subject());
        $said[] = null === $course
            ? t('Becomes a new course, without a day and time.')
            : t('Replaces what “{course}” teaches now.', course: $course->name());

        return new OfferEffect(
            $about,
            $said,
            here: null === $course ? null : new LocalThing(
                $course->name(),
                '/courses/'.$course->id().'/syllabus',
                $course->version(),
            ),
        );
    }

    private function numbering(OfferedNumbering $thing, ?AnsweredOffer $taken): OfferEffect
    {
        $content = $thing->numbering->content();
        $about = t('{count, plural, one {# number} other {# numbers}}', count: \count($content['numbers']));
        foreach ((new NumberingReview($this->catalogue))->problems($content) as $problem) {
            if ($problem->stops) {
                return new OfferEffect($about, [$problem->message], false);
            }
        }
        $all = $this->numberings->all();
        foreach ($all as $one) {
            if ($one->numbering->content() === Numbering::of($thing->item, $content)->content()) {
                return new OfferEffect(
                    $about,
                    [t('You have the same numbering.')],
                    false,
                    new LocalThing($one->numbering->name, '/numbering/'.$one->numbering->id),
                );
            }
        }
        $own = $all[(string) $taken?->subject()] ?? null;
        $ours = $all[$this->numberings->ofGym()]->numbering;
        $meanings = self::meanings($ours);
        $differ = array_filter(
            self::meanings(Numbering::of($thing->item, $content)),
            static fn (string $meaning, int|string $number): bool => ($meanings[$number] ?? $meaning) !== $meaning,
            \ARRAY_FILTER_USE_BOTH,
        );
        $said = [
            [] === $differ
                ? t('No number means anything else than in your numbering “{ours}”.', ours: $ours->name)
                : t(
                    '{count, plural, one {# of its numbers means} other {# of its numbers mean}} another strike than '
                        .'in your numbering “{ours}”: {numbers}.',
                    count: \count($differ),
                    ours: $ours->name,
                    numbers: implode(', ', array_keys($differ)),
                ),
            null === $own
                ? t('It is added to yours; every coach reads in the numbering they chose.')
                : t('Replaces your numbering “{name}”.', name: $own->numbering->name),
        ];

        return new OfferEffect(
            $about,
            $said,
            here: null === $own ? null : new LocalThing(
                $own->numbering->name,
                '/numbering/'.$own->numbering->id,
                $own->version,
            ),
        );
    }

    /** @return array<array-key, string> the strike of each number */
    private static function meanings(Numbering $numbering): array
    {
        return array_map(
            static fn (array $number): string => \sprintf(
                '%s %s %s',
                $number['position'],
                $number['family'],
                $number['target'] ?? '',
            ),
            array_column($numbering->content()['numbers'], null, 'number'),
        );
    }

    private function houseRules(OfferedHouseRules $thing, string $gym): OfferEffect
    {
        $ours = $this->rules->named($thing->item);
        $theirs = $thing->rules->over($ours);
        $differences = self::differences($ours, $theirs);

        return new OfferEffect(
            t('schools, severities, limits and numbers'),
            [
                0 === $differences
                    ? t('Yours are the same.')
                    : t(
                        '{gym} answers {differences, plural, one {one of them} other {# of them}} otherwise than you.',
                        gym: $gym,
                        differences: $differences,
                    ),
                ...(0 === $differences ? [] : [
                    t('The house rules page shows what that does to your library, before anything is saved.'),
                ]),
            ],
            0 === $differences,
            new LocalThing($ours->name, '/house-rules?set='.$thing->item),
            rules: $theirs,
        );
    }

    private static function differences(HouseRules $ours, HouseRules $theirs): int
    {
        [$one, $other] = [$ours->jsonSerialize(), $theirs->jsonSerialize()];
        $count = 0;
        foreach (['schools', 'severities', 'thresholds', 'calibration'] as $part) {
            [$here, $there] = [$one[$part] ?? [], $other[$part] ?? []];
            foreach (array_keys($here + $there) as $key) {
                // 200 and 200.0 are the same limit.
                $count += ($here[$key] ?? null) === ($there[$key] ?? null) ? 0 : 1;
            }
        }

        return $count;
    }
}
