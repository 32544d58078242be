<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Rules\InferredRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Reading;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\Writer;

use function Periplus\Core\Language\t;

/** Reads a combination that is sent to be saved, in the numbering in which it was typed, into stored form. */
final readonly class DraftReader
{
    public function __construct(private Reader $reader, private GymNumberings $numberings)
    {
    }

    /** @throws Refused with every place that cannot be read */
    public function read(SaveRequest $request): CombinationDraft
    {
        $reading = $this->reader->read($request->text, $this->numberings->named($request->numbering), $request->stance);
        if (null === $reading->chain) {
            throw self::unreadable($reading);
        }
        $inStance = new ChainInStance($reading->chain, $request->stance);
        $themes = array_values(
            array_unique(array_map(static fn (string $theme): string => mb_strtolower(trim($theme)), $request->themes)),
        );

        return new CombinationDraft(
            new CombinationContent(
                name: $request->name,
                notation: (new Writer(Numbering::named('parity')))->write($inStance),
                stance: $request->stance,
                rules: $request->rules ?? InferredRules::infer($reading->chain),
                themes: $themes,
                level: $request->level ?? 1,
                note: $request->note,
                levelChosen: null === $request->level ? false : null,
            ),
            $inStance,
        );
    }

    /** Creates a draft from stored content. */
    public function fromContent(CombinationContent $content): CombinationDraft
    {
        return new CombinationDraft(
            $content,
            $this->reader->readStored($content->notation, $content->stance)
                ?? throw new \LogicException('A stored chain cannot be read: '.$content->notation),
        );
    }

    private static function unreadable(Reading $reading): Refused
    {
        $problems = array_map(static fn (ReadingProblem $problem): array => (array) $problem, $reading->problems);

        return new Invalid(
            t('The chain cannot be read yet, so it was not saved. {problem}', problem: $reading->problems[0]->message),
            ['problems' => $problems],
            type: 'unreadable-chain',
        );
    }
}
