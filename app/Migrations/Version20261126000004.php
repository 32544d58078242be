<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126000004 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Sessions, links that can be withdrawn, addresses compared exactly, levels that follow the check';
    }

    public function up(Schema $schema): void
    {
        // The table of Symfony's PdoSessionHandler.
        $this->addSql('CREATE TABLE session (sess_id VARBINARY(128) NOT NULL, sess_data BLOB NOT NULL, sess_lifetime INT UNSIGNED NOT NULL, sess_time INT UNSIGNED NOT NULL, INDEX by_lifetime (sess_lifetime), PRIMARY KEY (sess_id)) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin');
        // Addresses were unique without regard to case, accents and blanks at the end, so that none clash here.
        $this->addSql('UPDATE user SET email = LOWER(TRIM(email))');
        $this->addSql('ALTER TABLE user CHANGE email email VARCHAR(180) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL, ADD sessions_ended INT DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE invitation ADD meant_for VARCHAR(80) DEFAULT '' NOT NULL, ADD ended_at DATETIME DEFAULT NULL, ADD ending VARCHAR(12) DEFAULT NULL, ADD INDEX by_user (user_id), ADD INDEX by_maker (maker_id)");
        $this->addSql("UPDATE invitation SET ended_at = used_at, ending = 'used' WHERE used_at IS NOT NULL");
        $this->addSql("ALTER TABLE gym ADD checked_by CHAR(32) DEFAULT '' NOT NULL");
        // Whether a coach chose the level was not kept: gym:recheck decides it by whether the check says another.
        $this->addSql('ALTER TABLE combination ADD level_chosen TINYINT DEFAULT NULL');
        $this->addSql('ALTER TABLE recheck_result ADD level SMALLINT DEFAULT 1 NOT NULL');
        // A pass of before knows no levels.
        $this->addSql('DELETE FROM recheck');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE recheck_result DROP level');
        $this->addSql('ALTER TABLE combination DROP level_chosen');
        $this->addSql('ALTER TABLE gym DROP checked_by');
        $this->addSql('ALTER TABLE invitation DROP meant_for, DROP ended_at, DROP ending, DROP INDEX by_user, DROP INDEX by_maker');
        $this->addSql('ALTER TABLE user CHANGE email email VARCHAR(180) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL, DROP sessions_ended');
        $this->addSql('DROP TABLE session');
    }
}
