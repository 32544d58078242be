<?php

declare(strict_types=1);

namespace Periplus\Core\Language;

/** English, the language in which messages are written: they need no catalogue. */
final class English implements Language
{
    /** @var array<string, \MessageFormatter> by message */
    private array $formatters = [];

    public function translate(string $message, array $values): string
    {
        if (!str_contains($message, ', plural,') && !str_contains($message, ', select,')) {
            $replacements = [];
            foreach ($values as $name => $value) {
                $replacements['{'.$name.'}'] = (string) $value;
            }

            return strtr($message, $replacements);
        }
        $formatter = $this->formatters[$message] ??= new \MessageFormatter('en', $message);
        $text = $formatter->format($values);

        return false === $text ? throw new \LogicException($formatter->getErrorMessage().': '.$message) : $text;
    }
}
