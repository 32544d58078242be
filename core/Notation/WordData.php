<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;

/**
 * What core/data/words.json says: the nouns and phrases that coaches use besides the names in the catalogue.
 *
 * @internal to {@see Vocabulary}
 */
final class WordData
{
    /** @var array<string, string> noun to family */
    public array $families = [];
    /** @var array<string, Role> nouns that one limb alone throws */
    public array $roles = [];
    /** @var array<string, Role|Side> nouns that name their side */
    public array $sides = [];
    /** @var array<string, string> nouns that name their target, with the word for it */
    public array $targets = [];
    /** @var array<string, true> nouns before which "straight" is no strike of its own */
    public array $straight = [];
    /** @var array<string, string> phrase to move, or to a move without its side */
    public array $moves = [];

    public static function read(): self
    {
        /** @var array{
         *     strikes: list<array{noun: string, family: string, role?: string, side?: string, target?: string,
         *         straight?: true}>,
         *     moves: list<array{move: string, words: list<string>}>,
         * } $data */
        $data = Data::read('words');
        $words = new self();
        foreach ($data['strikes'] as $row) {
            $noun = $row['noun'];
            $words->families[$noun] = $row['family'];
            if (isset($row['role'])) {
                $words->roles[$noun] = Role::from($row['role']);
            }
            if (isset($row['side'])) {
                $words->sides[$noun] = Role::tryFrom($row['side']) ?? Side::from($row['side']);
            }
            if (isset($row['target'])) {
                $words->targets[$noun] = $row['target'];
            }
            if (isset($row['straight'])) {
                $words->straight[$noun] = true;
            }
        }
        foreach ($data['moves'] as $row) {
            foreach ($row['words'] as $phrase) {
                $words->moves[$phrase] = $row['move'];
            }
        }

        return $words;
    }
}
