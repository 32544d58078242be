<?php

declare(strict_types=1);

namespace Periplus\App\Language;

use Periplus\Core\Language\Language;
use Symfony\Contracts\Translation\TranslatorInterface;

/** A language that has a catalogue in app/translations. */
final readonly class TranslatedLanguage implements Language
{
    public function __construct(private TranslatorInterface $translator, private string $locale)
    {
    }

    public function translate(string $message, array $values): string
    {
        return $this->translator->trans($message, $values, 'messages', $this->locale);
    }
}
