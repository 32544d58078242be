<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What is stored in the old signs is written anew by gym:recheck, which every upgrade runs. */
final class Version20261126000005 extends AbstractMigration
{
    private const THRESHOLDS = ['staticHead' => 'static-head', 'oneHeight' => 'one-height', 'sameSide' => 'same-side-run', 'drives' => 'overcommitted', 'rangeJump' => 'range-jump', 'tempoLoss' => 'tempo-limit'];

    public function getDescription(): string
    {
        return 'Room for 260 strikes and 260 moves in stored sequences; tables and columns by the words of the glossary';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE combination CHANGE sequence sequence VARBINARY(384) NOT NULL, CHANGE stem stem VARBINARY(384) NOT NULL, CHANGE meets contacts VARCHAR(120) NOT NULL');
        $this->addSql('RENAME TABLE scheme TO numbering');
        $this->addSql('ALTER TABLE gym CHANGE scheme numbering VARCHAR(40) DEFAULT \'parity\' NOT NULL');
        $this->addSql('ALTER TABLE user CHANGE scheme numbering VARCHAR(40) DEFAULT NULL');
        $this->addSql("UPDATE record SET what = CONCAT('numbering', SUBSTRING(what, 7)) WHERE what LIKE 'scheme.%'");
        $this->addSql('RENAME TABLE record TO audit_log, combination_mark TO index_term, combination_trace TO deletion_neighbour, recheck TO rule_preview, recheck_result TO rule_preview_result');
        $this->addSql('ALTER TABLE index_term CHANGE mark term VARCHAR(41) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL');
        $this->addSql('ALTER TABLE deletion_neighbour CHANGE trace hash BINARY(8) NOT NULL');
        $this->addSql('ALTER TABLE rule_preview_result CHANGE recheck_id rule_preview_id INT NOT NULL');
        // Thresholds are kept by the id of their rule; what was one rule, and is two, keeps its severity in both.
        foreach (self::THRESHOLDS as $name => $rule) {
            $this->addSql('UPDATE house_rules SET content = REPLACE(content, ?, ?) WHERE content IS NOT NULL', ['"'.$name.'"', '"'.$rule.'"']);
        }
        $this->addSql("UPDATE house_rules SET content = JSON_SET(content, '$.severities.\"past-the-feet\"', JSON_UNQUOTE(JSON_EXTRACT(content, '$.severities.overcommitted'))) WHERE JSON_EXTRACT(content, '$.severities.overcommitted') IS NOT NULL");
        $this->addSql('DELETE FROM rule_preview');
        // What is under way is read under the new words: it is begun again.
        $this->addSql("DELETE FROM import_run WHERE state <> 'applied'");
    }

    public function down(Schema $schema): void
    {
        foreach (self::THRESHOLDS as $name => $rule) {
            $this->addSql('UPDATE house_rules SET content = REPLACE(content, ?, ?) WHERE content IS NOT NULL', ['"'.$rule.'":', '"'.$name.'":']);
        }
        $this->addSql('ALTER TABLE combination CHANGE sequence sequence VARBINARY(320) NOT NULL, CHANGE stem stem VARBINARY(320) NOT NULL, CHANGE contacts meets VARCHAR(120) NOT NULL');
        $this->addSql('RENAME TABLE numbering TO scheme');
        $this->addSql('ALTER TABLE gym CHANGE numbering scheme VARCHAR(40) DEFAULT \'parity\' NOT NULL');
        $this->addSql('ALTER TABLE user CHANGE numbering scheme VARCHAR(40) DEFAULT NULL');
        $this->addSql("UPDATE record SET what = CONCAT('scheme', SUBSTRING(what, 10)) WHERE what LIKE 'numbering.%'");
    }
}
