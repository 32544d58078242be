<?php

declare(strict_types=1);

namespace Periplus\App\Language;

use Periplus\Core\Language\Languages;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Translation\PseudoLocalizationTranslator;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Chooses the language of a request from those that have a catalogue; English needs none. */
final readonly class LanguageListener
{
    /** English with accents: shows in tests which texts of a screen are in no catalogue. */
    private const PSEUDO = 'en_XA';

    /** @param list<string> $languages that have a catalogue, English first */
    public function __construct(
        private TranslatorInterface $translator,
        #[Autowire('%kernel.enabled_locales%')]
        private array $languages,
    ) {
    }

    // Before anything else can answer.
    #[AsEventListener(priority: 200)]
    public function choose(RequestEvent $event): void
    {
        $language = $event->getRequest()->getPreferredLanguage([...$this->languages, self::PSEUDO]) ?? 'en';
        Languages::choose(match ($language) {
            'en' => null,
            self::PSEUDO => new TranslatedLanguage(
                new PseudoLocalizationTranslator($this->translator, ['brackets' => false, 'expansion_factor' => 1.0]),
                'en',
            ),
            default => new TranslatedLanguage($this->translator, $language),
        });
    }
}
