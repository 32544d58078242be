<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * Reviews a numbering while it is edited: errors, conflicting numbers, strikes without a number (which are written in
 * words), and what other numberings mean by the same number.
 *
 * @phpstan-import-type Content from Numbering
 */
final readonly class NumberingReview
{
    /** Maximum number of entries of a numbering. */
    public const MAX_NUMBERS = 120;
    /** Up to two letters followed by one to three digits: what the lexer accepts as a number. */
    public const NUMBER = '/^[A-Z]{0,2}[0-9]{1,3}$/';

    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @param Content $content
     *
     * @return list<NumberingProblem>
     */
    public function problems(array $content): array
    {
        $problems = [];
        $say = static function (int $row, string $message, bool $stops = true) use (&$problems): void {
            $problems[] = new NumberingProblem($row, $message, $stops);
        };
        $positions = 'hand' === $content['boundTo'] ? ['left', 'right'] : ['lead', 'rear'];
        [$codes, $strikes] = [[], []];
        foreach ($content['numbers'] as $row => $number) {
            $code = strtoupper(trim($number['number']));
            if (1 !== preg_match(self::NUMBER, $code)) {
                $say(
                    $row,
                    '' === $code
                        ? t('This strike has no number yet.')
                        : t(
                            '"{code}" cannot be read as a number: one to three digits, with one or two letters '
                                .'before them if you like.',
                            code: mb_substr($code, 0, 20),
                        ),
                );
                continue;
            }
            if (isset($codes[$code])) {
                $say($row, t('{code} is used twice: also in row {codes}.', code: $code, codes: $codes[$code] + 1));
            }
            $codes[$code] ??= $row;
            if (!$this->catalogue->hasFamily($number['family'])) {
                $say($row, t('There is no strike called {family}.', family: mb_substr($number['family'], 0, 40)));
                continue;
            }
            if (!\in_array($number['position'], $positions, true)) {
                $say(
                    $row,
                    t(
                        '{code} means a {position} strike, but this numbering is bound to the {boundTo}: choose '
                            .'{positions}.',
                        code: $code,
                        position: mb_substr($number['position'], 0, 10),
                        boundTo: $content['boundTo'],
                        positions: implode(' or ', $positions),
                    ),
                );
                continue;
            }
            $thrown = $this->thrown($number['family'], $number['position']);
            if ([] === $thrown) {
                $say(
                    $row,
                    t('There is no {position} {family}.', position: $number['position'], family: $number['family']),
                );
                continue;
            }
            if (
                null !== $number['target']
                && !\in_array(
                    $number['target'],
                    array_map(static fn (Target $target): string => $target->word(), $thrown[0]->targets),
                    true,
                )
            ) {
                $say(
                    $row,
                    t(
                        'The {position} {family} does not go to the {target}.',
                        position: $number['position'],
                        family: $number['family'],
                        target: mb_substr($number['target'], 0, 10),
                    ),
                );
                continue;
            }
            $key = $number['family'].' '.$number['position'].' '.($number['target'] ?? '');
            if (isset($strikes[$key])) {
                $say(
                    $row,
                    t(
                        '{code} means the same as {strikes}; it can be read, but is never written.',
                        code: $code,
                        strikes: $strikes[$key],
                    ),
                    false,
                );
            }
            $strikes[$key] ??= $code;
        }
        if ([] === $codes) {
            $say(0, t('A numbering has at least one number.'));
        }

        return $problems;
    }

    /** @return list<NumberingGap> what has no number in at least one stance and is written in words */
    public function gaps(Numbering $numbering): array
    {
        $gaps = [];
        foreach ($this->catalogue->strikes as $strike) {
            $missing = array_filter(
                Stance::cases(),
                static fn (Stance $stance): bool => null
                    === $numbering->numberOf($strike->family, $strike->role, $strike->defaultTarget(), $stance),
            );
            if ([] !== $missing) {
                $gaps[] = new NumberingGap($strike->name, $strike->defaultTarget()->word());
            }
        }

        return $gaps;
    }

    /** @return list<NumberingDifference> of numbers that both have, in the orthodox stance */
    public function differences(Numbering $one, Numbering $other): array
    {
        $differences = [];
        foreach ($one->entries as $code => $entry) {
            $theirs = $other->entry((string) $code);
            $here = $this->means($entry);
            $there = null === $theirs ? null : $this->means($theirs);
            if (null !== $there && $here !== $there) {
                $differences[] = new NumberingDifference((string) $code, $here, $there);
            }
        }

        return $differences;
    }

    /** Returns in words what a number means in the orthodox stance. */
    public function means(NumberedStrike $entry): string
    {
        $strike = $this->catalogue->inFamily($entry->family, $entry->role(Stance::Orthodox));
        if (null === $strike) {
            return $entry->position->value.' '.$entry->family;
        }
        $target = $entry->target ?? $strike->defaultTarget();

        return $strike->name.
            ($target === $strike->defaultTarget() ? '' : t(' to the {target}', target: $target->word()));
    }

    /** @return list<Strike> what can be thrown from there, in either stance */
    private function thrown(string $family, string $position): array
    {
        $side = Side::tryFrom($position);
        $roles =
            null === $side
                ? [Role::from($position)]
                : array_map(static fn (Stance $stance): Role => $stance->roleOf($side), Stance::cases());

        return array_values(
            array_filter(array_map(fn (Role $role): ?Strike => $this->catalogue->inFamily($family, $role), $roles)),
        );
    }
}
