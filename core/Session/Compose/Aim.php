<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Generate\Theme;
use Periplus\Core\Technique\Limb;

use function Periplus\Core\Language\t;

/** The subject of a generated session: a theme, a weapon, or what is due. */
final readonly class Aim
{
    /**
     * @param string $name of the week, where it follows a syllabus
     * @param list<int> $combinations of that week
     */
    private function __construct(
        public AimKind $kind,
        public ?Theme $theme = null,
        public ?Limb $weapon = null,
        private string $name = '',
        public array $combinations = [],
    ) {
    }

    /**
     * Follows a week of a syllabus.
     *
     * @param string $name of the week, such as "week 3, the liver"
     * @param list<int> $combinations by id
     */
    public static function ofWeek(string $name, array $combinations): self
    {
        return new self(AimKind::Syllabus, name: $name, combinations: $combinations);
    }

    /** @throws \DomainException when there is no such theme or weapon */
    public static function of(string $kind, ?string $value): self
    {
        return match (AimKind::tryFrom($kind)) {
            AimKind::Due => new self(AimKind::Due),
            AimKind::Syllabus => throw new \DomainException(
                t('A session that follows the syllabus needs a course with one that is running.'),
            ),
            AimKind::Theme => new self(
                AimKind::Theme,
                theme: Theme::tryFrom((string) $value)
                    ?? throw self::unknown('theme', array_column(Theme::cases(), 'value')),
            ),
            AimKind::Weapon => new self(
                AimKind::Weapon,
                weapon: Limb::tryFrom((string) $value)
                    ?? throw self::unknown('weapon', array_column(Limb::cases(), 'value')),
            ),
            null => throw self::unknown('aim', array_column(AimKind::cases(), 'value')),
        };
    }

    public function isMetBy(Candidate $candidate): bool
    {
        return match ($this->kind) {
            AimKind::Due => true,
            AimKind::Syllabus => \in_array($candidate->id, $this->combinations, true),
            AimKind::Theme => null !== $this->theme
                && ($this->theme->holds($candidate->inStance->chain)
                    || \in_array($this->theme->title(), $candidate->themes, true)),
            AimKind::Weapon => []
                !== array_filter(
                    $candidate->inStance->chain->strikes(),
                    fn (StrikeItem $item): bool => $item->strike->limb === $this->weapon && $item->delivered(),
                ),
        };
    }

    /** Returns the words for a sentence or a title. */
    public function title(): string
    {
        return match ($this->kind) {
            AimKind::Due => t('what is due'),
            AimKind::Syllabus => $this->name,
            AimKind::Theme => $this->theme?->title() ?? '',
            AimKind::Weapon => null === $this->weapon ? '' : $this->weapon->value.'s',
        };
    }

    /** @param list<string> $known */
    private static function unknown(string $what, array $known): \DomainException
    {
        return new \DomainException(t('The {what} is one of {known}.', what: $what, known: implode(', ', $known)));
    }
}
