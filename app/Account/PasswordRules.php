<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;

use function Periplus\Core\Language\t;

/**
 * Rejects passwords that are short, among the most common, or contain one's own name. Length matters most, and kinds of
 * characters are not required (NIST SP 800-63B, section 5.1.1.2).
 */
final readonly class PasswordRules
{
    public const MIN_LENGTH = 10;
    public const MAX_LENGTH = 200;
    private const WORST_PASSWORDS = __DIR__.'/worst-passwords.txt';
    /** Parts of a name shorter than this are allowed in a password. */
    private const MIN_PART_LENGTH = 4;

    /**
     * @param string $field the field of the password in the request
     *
     * @throws Refused with the sentence for that field
     */
    public static function require(string $password, string $field, string $name, string $email): void
    {
        $mistake = self::mistake($password, $name, $email);
        if (null !== $mistake) {
            throw Invalid::field($field, $mistake);
        }
    }

    private static function mistake(string $password, string $name, string $email): ?string
    {
        $length = mb_strlen($password);
        $plain = mb_strtolower($password);
        $letters = (string) preg_replace('/[^\p{L}\p{N}]+/u', '', $plain);
        $address = explode('@', mb_strtolower($email))[0];
        preg_match_all('/[\p{L}\p{N}]+/u', mb_strtolower($name).' '.$address, $own);
        $rest = str_replace(
            [
                $address,
                ...array_filter($own[0], static fn (string $part): bool => mb_strlen($part) >= self::MIN_PART_LENGTH),
            ],
            '',
            $plain,
        );

        return match (true) {
            $length < self::MIN_LENGTH => t(
                'A password has at least {minLength} characters.',
                minLength: self::MIN_LENGTH,
            ),
            $length > self::MAX_LENGTH => t(
                'A password has at most {maxLength} characters.',
                maxLength: self::MAX_LENGTH,
            ),
            mb_strlen($rest) < self::MIN_LENGTH - 4 && $rest !== $plain => t(
                'A password made of your own name or address is easy to guess. Choose another.',
            ),
            1 === preg_match('/^(.{1,4}?)\1+$/us', $letters),
            self::isRow($letters),
            \in_array($letters, self::worst(), true) => t(
                'This password is among the most common. Choose another, such as four unrelated words.',
            ),
            default => null,
        };
    }

    /** Tells whether it is a row of the keyboard, the alphabet or the digits. */
    private static function isRow(string $letters): bool
    {
        $rows = [
            'abcdefghijklmnopqrstuvwxyz',
            '01234567890123456789',
            'qwertyuiopasdfghjklzxcvbnm',
            'qwertzuiopasdfghjklyxcvbnm',
            'azertyuiopqsdfghjklmwxcvbn',
            '1qaz2wsx3edc4rfv5tgb6yhn',
            '1q2w3e4r5t6y7u8i9o0p',
        ];
        foreach ($rows as $row) {
            if ('' !== $letters && (str_contains($row, $letters) || str_contains(strrev($row), $letters))) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private static function worst(): array
    {
        $lines = file(self::WORST_PASSWORDS, \FILE_IGNORE_NEW_LINES | \FILE_SKIP_EMPTY_LINES);

        return false === $lines
            ? []
            : array_values(array_filter($lines, static fn (string $line): bool => !str_starts_with($line, '#')));
    }
}
