<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261129000011 extends AbstractMigration
{
    /** Columns that name an account without a foreign key so far, and whether they may be empty. */
    private const ACCOUNTS = [
        ['audit_log', 'user_id', true],
        ['import_run', 'starter_id', false],
        ['invitation', 'maker_id', true],
        ['invitation', 'user_id', true],
        ['numbering', 'editor_id', false],
        ['proposal_step', 'user_id', false],
        ['saved_view', 'owner_id', false],
    ];

    public function getDescription(): string
    {
        return 'Every table has an entity: accounts are named by foreign keys, a programme keeps where it waits, unused columns go';
    }

    public function up(Schema $schema): void
    {
        // No account was ever removed by the application; what names none all the same would stop the keys.
        foreach (self::ACCOUNTS as [$table, $column, $mayBeEmpty]) {
            $this->addSql($mayBeEmpty
                ? "UPDATE $table SET $column = NULL WHERE $column NOT IN (SELECT id FROM user)"
                : "DELETE FROM $table WHERE $column NOT IN (SELECT id FROM user)");
        }
        $this->addSql('ALTER TABLE audit_log ADD CONSTRAINT FK_F6E1C0F5A76ED395 FOREIGN KEY (user_id) REFERENCES user (id), ADD INDEX IDX_F6E1C0F5A76ED395 (user_id)');
        $this->addSql('ALTER TABLE import_run ADD CONSTRAINT FK_C41B0440AD5A66CC FOREIGN KEY (starter_id) REFERENCES user (id), ADD INDEX IDX_C41B0440AD5A66CC (starter_id), DROP content');
        $this->addSql('ALTER TABLE invitation ADD CONSTRAINT FK_F11D61A2A76ED395 FOREIGN KEY (user_id) REFERENCES user (id), ADD CONSTRAINT FK_F11D61A268DA5EC3 FOREIGN KEY (maker_id) REFERENCES user (id), DROP used_at');
        $this->addSql('ALTER TABLE numbering ADD CONSTRAINT FK_C60F804F6995AC4C FOREIGN KEY (editor_id) REFERENCES user (id), ADD INDEX IDX_C60F804F6995AC4C (editor_id)');
        $this->addSql('ALTER TABLE proposal_step ADD CONSTRAINT FK_63D8EB47A76ED395 FOREIGN KEY (user_id) REFERENCES user (id), ADD INDEX IDX_63D8EB47A76ED395 (user_id)');
        $this->addSql('ALTER TABLE saved_view ADD CONSTRAINT FK_F0C2599B7E3C61F9 FOREIGN KEY (owner_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE advice CHANGE content content JSON DEFAULT NULL, CHANGE editor_id editor_id INT DEFAULT NULL, CHANGE updated_at updated_at DATETIME DEFAULT NULL');
        $this->addSql("INSERT IGNORE INTO advice (id) VALUES ('reminders'), ('exercises')");
        $this->addSql('ALTER TABLE run_programme ADD waits JSON DEFAULT NULL');
        $this->addSql("UPDATE run_programme SET waits = COALESCE(JSON_EXTRACT(document, '$.waits'), '[]')");
        $this->addSql('ALTER TABLE run_programme CHANGE waits waits JSON NOT NULL');
        // As the framework makes it.
        $this->addSql('ALTER TABLE session CHANGE sess_data sess_data LONGBLOB NOT NULL, RENAME INDEX by_lifetime TO sess_lifetime_idx');
        $this->addSql('ALTER TABLE house_rules RENAME INDEX IDX_FA5C0CEC6995AC4C TO IDX_52793EC46995AC4C');
        $this->addSql('ALTER TABLE rule_preview RENAME INDEX IDX_70F2B3B1B2F7A1E3 TO IDX_49111684AD5A66CC');
        $this->addSql('ALTER TABLE wall_run RENAME INDEX by_run TO IDX_F1DB37FA84E3FEC4');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE wall_run RENAME INDEX IDX_F1DB37FA84E3FEC4 TO by_run');
        $this->addSql('ALTER TABLE rule_preview RENAME INDEX IDX_49111684AD5A66CC TO IDX_70F2B3B1B2F7A1E3');
        $this->addSql('ALTER TABLE house_rules RENAME INDEX IDX_52793EC46995AC4C TO IDX_FA5C0CEC6995AC4C');
        $this->addSql('ALTER TABLE session CHANGE sess_data sess_data BLOB NOT NULL, RENAME INDEX sess_lifetime_idx TO by_lifetime');
        $this->addSql('ALTER TABLE run_programme DROP waits');
        $this->addSql('DELETE FROM advice WHERE editor_id IS NULL');
        $this->addSql("UPDATE advice SET content = 'null' WHERE content IS NULL");
        $this->addSql('ALTER TABLE advice CHANGE content content JSON NOT NULL, CHANGE editor_id editor_id INT NOT NULL, CHANGE updated_at updated_at DATETIME NOT NULL');
        $this->addSql('ALTER TABLE saved_view DROP FOREIGN KEY FK_F0C2599B7E3C61F9');
        $this->addSql('ALTER TABLE proposal_step DROP FOREIGN KEY FK_63D8EB47A76ED395, DROP INDEX IDX_63D8EB47A76ED395');
        $this->addSql('ALTER TABLE numbering DROP FOREIGN KEY FK_C60F804F6995AC4C, DROP INDEX IDX_C60F804F6995AC4C');
        $this->addSql('ALTER TABLE invitation DROP FOREIGN KEY FK_F11D61A2A76ED395, DROP FOREIGN KEY FK_F11D61A268DA5EC3, ADD used_at DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE import_run DROP FOREIGN KEY FK_C41B0440AD5A66CC, DROP INDEX IDX_C41B0440AD5A66CC, ADD content MEDIUMTEXT NOT NULL');
        $this->addSql('ALTER TABLE audit_log DROP FOREIGN KEY FK_F6E1C0F5A76ED395, DROP INDEX IDX_F6E1C0F5A76ED395');
    }
}
