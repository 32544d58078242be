<?php

declare(strict_types=1);

namespace Periplus\App\Security;

/** The role of an account; the value is the Symfony role that is checked. */
enum GymRole: string
{
    case HeadCoach = 'ROLE_HEAD_COACH';
    case Coach = 'ROLE_COACH';

    public static function ofWord(string $word): self
    {
        foreach (self::cases() as $role) {
            if ($role->word() === $word) {
                return $role;
            }
        }

        throw new \LogicException('There is no role '.$word);
    }

    /** @return list<string> */
    public static function words(): array
    {
        return array_map(static fn (self $role): string => $role->word(), self::cases());
    }

    /** @return list<Permission> */
    public function permissions(): array
    {
        return match ($this) {
            self::HeadCoach => Permission::cases(),
            self::Coach => [],
        };
    }

    /** Returns the name used in the API. */
    public function word(): string
    {
        return match ($this) {
            self::HeadCoach => 'head-coach',
            self::Coach => 'coach',
        };
    }
}
