<?php

declare(strict_types=1);

namespace Periplus\App\Print;

use Periplus\Core\Drawing\Palette;
use Periplus\Core\FromAbove\DrawnBlow;
use Periplus\Core\FromAbove\DrawnPart;
use Periplus\Core\FromAbove\Edges;
use Periplus\Core\FromAbove\FromAbove;
use Periplus\Core\FromAbove\ViewFromAbove;
use Periplus\Core\Technique\Role;

use function Periplus\Core\Language\t;

/** Writes a moment seen from above as an SVG file, as web/src/from-above does on the screen. */
final class FromAboveSvg
{
    private string $svg = '';

    public function __construct(private readonly FromAbove $drawing, private readonly string $font = 'sans-serif')
    {
    }

    /**
     * @param int $shown place of the moment in the view
     * @param Edges $edges the floor that is shown
     */
    public function write(ViewFromAbove $view, int $shown, Edges $edges): string
    {
        $moment = $view->moments[$shown];
        $them = $view->opponents[$moment->them];
        $this->svg = '';
        $this->path($them->reach, fill: 'breaks-light');
        if (null !== $moment->way && $shown > 0) {
            $this->feet($view->moments[$shown - 1]->us, null);
        }
        $this->athlete($them->parts, false);
        $this->svg .= \sprintf(
            '<ellipse cx="%s" cy="%s" rx="5" ry="3.6" fill="%s"/>',
            $them->liverX,
            $them->liverY,
            Palette::colour('sun'),
        );
        if (null !== $moment->way) {
            $this->path($moment->way, stroke: 'ink', width: 2.2);
        }
        $this->athlete($moment->us, true);
        if (null !== $moment->blow) {
            $this->blow($moment->blow);
        }

        return \sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$s" height="%2$s" viewBox="%3$s %4$s %1$s %2$s">'
                .'<title>%5$s</title>%6$s</svg>',
            $edges->width(),
            $edges->height(),
            $edges->left,
            $edges->top,
            htmlspecialchars($moment->sentence, \ENT_QUOTES | \ENT_XML1),
            $this->svg,
        );
    }

    /** @param list<DrawnPart> $parts */
    private function athlete(array $parts, bool $isOurs): void
    {
        $this->feet($parts, $isOurs);
        foreach ($parts as $part) {
            $this->svg .= match ($part->part) {
                'hips' => \sprintf(
                    '<rect transform="%s" x="%s" y="-4" width="%s" height="8" rx="4" fill="%s"/>',
                    self::placed($part),
                    -$this->drawing->hips / 2,
                    $this->drawing->hips,
                    Palette::colour('line-strong'),
                ),
                'shoulders' => \sprintf(
                    '<ellipse transform="%s" cx="0" cy="0" rx="%s" ry="8.5" fill="none" stroke="%s"/>',
                    self::placed($part),
                    $this->drawing->shoulders / 2,
                    Palette::colour($isOurs ? 'ink' : 'ink-soft'),
                ),
                'hand' => $this->hand($part, $isOurs),
                'head' => \sprintf(
                    '<circle cx="%s" cy="%s" r="%s" fill="%s"/>',
                    $part->x,
                    $part->y,
                    $this->drawing->head,
                    Palette::colour($isOurs ? 'ink' : 'ink-soft'),
                ),
                default => '',
            };
        }
    }

    private function hand(DrawnPart $part, bool $isOurs): string
    {
        $isRear = Role::Rear === $part->role;
        [$fill, $stroke] = $isOurs
            ? [$isRear ? 'rear' : 'lead-light', $isRear ? 'rear' : 'lead']
            : [$isRear ? 'breaks' : 'card', $isRear ? 'breaks' : 'ink-soft'];

        return \sprintf(
            '<circle cx="%s" cy="%s" r="5" fill="%s" stroke="%s" stroke-width="1.4"/>',
            $part->x,
            $part->y,
            Palette::colour($fill),
            Palette::colour($stroke),
        );
    }

    /**
     * @param list<DrawnPart> $parts
     * @param bool|null $isOurs null for where our feet were
     */
    private function feet(array $parts, ?bool $isOurs): void
    {
        foreach ($parts as $part) {
            if ('foot' !== $part->part) {
                continue;
            }
            $isRear = Role::Rear === $part->role;
            $scale = $this->drawing->soleScale;
            $this->svg .= \sprintf(
                '<path d="%s" transform="%s rotate(-90) scale(%s %s)" fill="%s" stroke="%s" stroke-width="1.6"%s/>',
                $this->drawing->sole,
                self::placed($part),
                $scale,
                $part->isLeft ? $scale : -$scale,
                match ($isOurs) {
                    true => Palette::colour($isRear ? 'rear' : 'lead-light'),
                    false => Palette::colour('sand'),
                    null => 'none',
                },
                Palette::colour(true === $isOurs ? ($isRear ? 'rear' : 'lead') : 'ink-soft'),
                null === $isOurs ? ' stroke-dasharray="2 2"' : '',
            );
        }
    }

    private function blow(DrawnBlow $blow): void
    {
        $this->path($blow->d, stroke: $blow->role->value, width: 3, dash: $blow->isFeint ? '3 2.5' : '');
        $isRear = Role::Rear === $blow->role;
        $this->svg .= \sprintf(
            '<circle cx="%s" cy="%s" r="%s" fill="%s" stroke="%s" stroke-width="2"/>',
            $blow->x,
            $blow->y,
            $blow->isLeg ? 6.5 : 5,
            Palette::colour($isRear ? 'rear' : 'lead-light'),
            Palette::colour($blow->role->value),
        );
        if ($blow->isLiver || $blow->isSpleen) {
            // The liver is on the opponent's right, to the left of the picture.
            $isLeft = $blow->isLiver;
            $this->svg .= \sprintf(
                '<text x="%s" y="%s" font-family="%s" font-size="13" fill="%s" text-anchor="%s">%s</text>',
                $blow->x + ($isLeft ? -9 : 9),
                $blow->y - 2,
                htmlspecialchars($this->font, \ENT_QUOTES | \ENT_XML1),
                Palette::colour($blow->isLiver ? 'flows' : 'breaks'),
                $isLeft ? 'end' : 'start',
                htmlspecialchars($blow->isLiver ? t('liver') : t('no liver'), \ENT_QUOTES | \ENT_XML1),
            );
        }
    }

    private static function placed(DrawnPart $part): string
    {
        return \sprintf('translate(%s %s) rotate(%s)', $part->x, $part->y, $part->turn);
    }

    private function path(
        string $d,
        ?string $stroke = null,
        ?string $fill = null,
        float $width = 1.0,
        string $dash = '',
    ): void {
        $this->svg .= \sprintf(
            '<path d="%s" fill="%s" stroke="%s" stroke-width="%s"%s/>',
            $d,
            null === $fill ? 'none' : Palette::colour($fill),
            null === $stroke ? 'none' : Palette::colour($stroke),
            $width,
            '' === $dash ? '' : ' stroke-dasharray="'.$dash.'"',
        );
    }
}
