<?php

declare(strict_types=1);

namespace Periplus\App\Print;

use Periplus\App\Http\PlainText;

// Defined before TCPDF is loaded: otherwise every document would start with a font that is not embedded.
\defined('K_TCPDF_EXTERNAL_CONFIG') || \define('K_TCPDF_EXTERNAL_CONFIG', true);
\defined('PDF_FONT_NAME_MAIN') || \define('PDF_FONT_NAME_MAIN', 'plexsans');
\defined('K_PATH_FONTS') || \define('K_PATH_FONTS', __DIR__.'/fonts/');

/** A4 paper without TCPDF's header, footer and link, in the embedded fonts. */
final class Sheet extends \TCPDF
{
    private const FONTS = __DIR__.'/fonts/';
    public const NUMBERS = 'barlowcondensed';
    public const WORDS = 'plexsans';
    /** A font of TCPDF, for letters that the two others lack. */
    private const OTHER = 'dejavusans';
    private const SHIPPED = __DIR__.'/../../vendor/tecnickcom/tcpdf/fonts/';

    public function __construct(string $orientation, string $title, float $margin)
    {
        parent::__construct($orientation, 'mm', 'A4', true, 'UTF-8');
        $this->tcpdflink = false;
        $this->setCreator('Periplus');
        $this->setTitle(PlainText::line($title));
        $this->setPrintHeader(false);
        $this->setPrintFooter(false);
        $this->setMargins($margin, $margin, $margin);
        $this->setAutoPageBreak(true, $margin);
        foreach ([self::NUMBERS, self::WORDS] as $font) {
            $this->AddFont($font, '', self::FONTS.$font.'.php');
        }
        $this->setFont(self::WORDS);
        $this->AddPage();
    }

    /**
     * TCPDF would print an error page of its own.
     *
     * @param string $msg
     */
    public function Error($msg): never
    {
        throw new \RuntimeException('The paper could not be made: '.$msg);
    }

    /** @param float $points of the letters */
    public function useFont(string $font, float $points, string $text): void
    {
        // The two fonts have Latin letters and the signs of the notation.
        if (
            1
            === preg_match(
                '/^[\x20-\x7E\x{A0}-\x{FF}\x{131}\x{152}\x{153}'
                .'\x{2013}\x{2014}\x{2018}-\x{201E}\x{2022}\x{2026}\n]*$/u',
                $text,
            )
        ) {
            $this->setFont($font, '', $points);

            return;
        }
        $this->AddFont(self::OTHER, '', self::SHIPPED.self::OTHER.'.php');
        $this->setFont(self::OTHER, '', 0.8 * $points);
    }
}
