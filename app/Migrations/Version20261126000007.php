<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126000007 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Sessions that run: their commands, their programmes and what was shown; walls; the voice of calls';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE gym ADD voice JSON DEFAULT NULL');
        // Times with "ms" are on the server's clock, in ms since 1970.
        $this->addSql('CREATE TABLE run (id INT AUTO_INCREMENT NOT NULL, start_key VARCHAR(64) NOT NULL, plan_id INT DEFAULT NULL, name VARCHAR(120) NOT NULL, content JSON NOT NULL, state JSON NOT NULL, revision INT DEFAULT 1 NOT NULL, programme INT DEFAULT 1 NOT NULL, length_ms INT NOT NULL, follow_key CHAR(32) NOT NULL, starter_id INT NOT NULL, started_ms BIGINT NOT NULL, ended_ms BIGINT DEFAULT NULL, UNIQUE INDEX by_start_key (start_key), UNIQUE INDEX by_follow_key (follow_key), INDEX by_end (ended_ms, started_ms), INDEX by_plan (plan_id), INDEX by_starter (starter_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE run_programme (run_id INT NOT NULL, version INT NOT NULL, document LONGTEXT NOT NULL, PRIMARY KEY (run_id, version)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE run_command (run_id INT NOT NULL, revision INT NOT NULL, command_key VARCHAR(64) NOT NULL, kind VARCHAR(12) NOT NULL, target VARCHAR(400) NOT NULL, amendment JSON DEFAULT NULL, given_ms BIGINT NOT NULL, user_id INT DEFAULT NULL, wall_id INT DEFAULT NULL, UNIQUE INDEX by_key (run_id, command_key), INDEX by_user (user_id), INDEX by_wall (wall_id), PRIMARY KEY (run_id, revision)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE run_shown (run_id INT NOT NULL, passage VARCHAR(64) NOT NULL, cue VARCHAR(80) NOT NULL, shown_ms BIGINT NOT NULL, wall_id INT DEFAULT NULL, INDEX by_time (run_id, shown_ms), INDEX by_wall (wall_id), PRIMARY KEY (run_id, passage, cue)) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin');
        $this->addSql('CREATE TABLE wall (id INT AUTO_INCREMENT NOT NULL, name VARCHAR(60) NOT NULL, wall_key CHAR(32) NOT NULL, has_keys TINYINT DEFAULT 1 NOT NULL, run_id INT DEFAULT NULL, editor_id INT NOT NULL, created_at DATETIME NOT NULL, seen_at DATETIME DEFAULT NULL, revoked_at DATETIME DEFAULT NULL, UNIQUE INDEX by_wall_key (wall_key), INDEX by_run (run_id), INDEX by_editor (editor_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        // What a wall may still report, also once it shows another session.
        $this->addSql('CREATE TABLE wall_run (wall_id INT NOT NULL, run_id INT NOT NULL, INDEX by_run (run_id), PRIMARY KEY (wall_id, run_id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE recorded_clip (said VARCHAR(200) NOT NULL, digest CHAR(32) NOT NULL, sound MEDIUMBLOB NOT NULL, user_id INT NOT NULL, recorded_at DATETIME NOT NULL, UNIQUE INDEX by_digest (digest), INDEX by_user (user_id), PRIMARY KEY (said)) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin');
        $this->addSql('ALTER TABLE run ADD CONSTRAINT run_plan FOREIGN KEY (plan_id) REFERENCES plan (id), ADD CONSTRAINT run_starter FOREIGN KEY (starter_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE run_programme ADD CONSTRAINT run_programme_run FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE CASCADE');
        $this->addSql('ALTER TABLE wall ADD CONSTRAINT wall_run FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE SET NULL, ADD CONSTRAINT wall_editor FOREIGN KEY (editor_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE wall_run ADD CONSTRAINT wall_run_wall FOREIGN KEY (wall_id) REFERENCES wall (id) ON DELETE CASCADE, ADD CONSTRAINT wall_run_run FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE CASCADE');
        $this->addSql('ALTER TABLE run_command ADD CONSTRAINT run_command_run FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE CASCADE, ADD CONSTRAINT run_command_user FOREIGN KEY (user_id) REFERENCES user (id), ADD CONSTRAINT run_command_wall FOREIGN KEY (wall_id) REFERENCES wall (id)');
        $this->addSql('ALTER TABLE run_shown ADD CONSTRAINT run_shown_run FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE CASCADE, ADD CONSTRAINT run_shown_wall FOREIGN KEY (wall_id) REFERENCES wall (id)');
        $this->addSql('ALTER TABLE recorded_clip ADD CONSTRAINT recorded_clip_user FOREIGN KEY (user_id) REFERENCES user (id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE run_shown');
        $this->addSql('DROP TABLE run_command');
        $this->addSql('DROP TABLE run_programme');
        $this->addSql('DROP TABLE wall_run');
        $this->addSql('DROP TABLE wall');
        $this->addSql('DROP TABLE run');
        $this->addSql('DROP TABLE recorded_clip');
        $this->addSql('ALTER TABLE gym DROP voice');
    }
}
