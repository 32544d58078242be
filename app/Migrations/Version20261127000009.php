<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127000009 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The logbook: entries, what was drilled in them, links that fell apart, sums of each week; measurements; cards of athletes';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE INDEX by_drilled ON combination (archived_at, drilled_at, id)');
        // Where the programme stood before a command and after it; nobody asked before.
        $this->addSql('ALTER TABLE run_command ADD left_ms BIGINT DEFAULT NULL, ADD came_ms BIGINT DEFAULT NULL');
        $this->addSql('CREATE TABLE log_entry (id INT AUTO_INCREMENT NOT NULL, entry_key VARCHAR(64) NOT NULL, version INT DEFAULT 1 NOT NULL, run_id INT DEFAULT NULL, course_id INT DEFAULT NULL, name VARCHAR(120) NOT NULL, day DATE NOT NULL, length_ms INT NOT NULL, work_ms INT NOT NULL, coach_id INT DEFAULT NULL, coach VARCHAR(120) NOT NULL, orthodox SMALLINT DEFAULT NULL, southpaw SMALLINT DEFAULT NULL, levels JSON NOT NULL, effort SMALLINT DEFAULT NULL, note TEXT NOT NULL, figures JSON NOT NULL, is_checked TINYINT DEFAULT 0 NOT NULL, editor_id INT NOT NULL, created_at DATETIME NOT NULL, updated_at DATETIME NOT NULL, removed_at DATETIME DEFAULT NULL, UNIQUE INDEX by_entry_key (entry_key), UNIQUE INDEX by_run (run_id), INDEX by_day (removed_at, day, id), INDEX by_course (course_id, removed_at, day), INDEX by_coach (coach_id), INDEX by_editor (editor_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE log_drilled (entry_id INT NOT NULL, position SMALLINT NOT NULL, combination_id INT DEFAULT NULL, name VARCHAR(120) NOT NULL, notation VARCHAR(4000) DEFAULT NULL, stance VARCHAR(10) NOT NULL, thrown VARCHAR(4000) DEFAULT NULL, medium VARCHAR(10) NOT NULL, level SMALLINT DEFAULT NULL, ms INT NOT NULL, other_ms INT NOT NULL, repetitions DOUBLE NOT NULL, strikes DOUBLE NOT NULL, PRIMARY KEY (entry_id, position)) DEFAULT CHARACTER SET utf8mb4');
        // One row for each combination of an entry: what reports read. It follows from log_drilled, and is written with it.
        $this->addSql('CREATE TABLE log_combination (entry_id INT NOT NULL, combination_id INT NOT NULL, day DATE NOT NULL, course_id INT DEFAULT NULL, ms INT NOT NULL, southpaw_ms INT NOT NULL, fell SMALLINT NOT NULL, counts TINYINT DEFAULT 1 NOT NULL, INDEX by_combination (combination_id, counts, day), INDEX report (counts, combination_id, day, course_id, ms, southpaw_ms, fell), INDEX by_course (course_id, counts, combination_id, day, ms, southpaw_ms, fell), PRIMARY KEY (entry_id, combination_id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE log_fallen_link (entry_id INT NOT NULL, position SMALLINT NOT NULL, combination_id INT DEFAULT NULL, notation VARCHAR(4000) NOT NULL, stance VARCHAR(10) NOT NULL, link SMALLINT NOT NULL, day DATE NOT NULL, course_id INT DEFAULT NULL, counts TINYINT DEFAULT 1 NOT NULL, INDEX by_combination (counts, combination_id, day), INDEX by_course (course_id, counts, day), PRIMARY KEY (entry_id, position)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE log_week (week DATE NOT NULL, course_id INT NOT NULL, sessions INT NOT NULL, work_ms BIGINT NOT NULL, figures JSON NOT NULL, PRIMARY KEY (week, course_id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE measurement (id INT AUTO_INCREMENT NOT NULL, measurement_key VARCHAR(64) NOT NULL, combination_id INT NOT NULL, notation VARCHAR(4000) NOT NULL, stance VARCHAR(10) NOT NULL, method VARCHAR(10) NOT NULL, taps JSON NOT NULL, pace DOUBLE NOT NULL, links JSON NOT NULL, coach_id INT NOT NULL, created_at DATETIME NOT NULL, removed_at DATETIME DEFAULT NULL, UNIQUE INDEX by_measurement_key (measurement_key), INDEX by_combination (combination_id, removed_at), INDEX by_coach (coach_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE athlete_card (id INT AUTO_INCREMENT NOT NULL, card_key CHAR(32) NOT NULL, name VARCHAR(120) NOT NULL, content JSON NOT NULL, creator_id INT NOT NULL, created_at DATETIME NOT NULL, revoked_at DATETIME DEFAULT NULL, UNIQUE INDEX by_card_key (card_key), INDEX by_creator (creator_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('ALTER TABLE log_entry ADD CONSTRAINT log_entry_run FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE SET NULL, ADD CONSTRAINT log_entry_course FOREIGN KEY (course_id) REFERENCES course (id), ADD CONSTRAINT log_entry_coach FOREIGN KEY (coach_id) REFERENCES user (id), ADD CONSTRAINT log_entry_editor FOREIGN KEY (editor_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE log_drilled ADD CONSTRAINT log_drilled_entry FOREIGN KEY (entry_id) REFERENCES log_entry (id) ON DELETE CASCADE');
        $this->addSql('ALTER TABLE log_combination ADD CONSTRAINT log_combination_entry FOREIGN KEY (entry_id) REFERENCES log_entry (id) ON DELETE CASCADE');
        $this->addSql('ALTER TABLE log_fallen_link ADD CONSTRAINT log_fallen_link_entry FOREIGN KEY (entry_id) REFERENCES log_entry (id) ON DELETE CASCADE');
        $this->addSql('ALTER TABLE measurement ADD CONSTRAINT measurement_combination FOREIGN KEY (combination_id) REFERENCES combination (id), ADD CONSTRAINT measurement_coach FOREIGN KEY (coach_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE athlete_card ADD CONSTRAINT athlete_card_creator FOREIGN KEY (creator_id) REFERENCES user (id)');
    }

    public function down(Schema $schema): void
    {
        foreach (['athlete_card', 'measurement', 'log_week', 'log_fallen_link', 'log_combination', 'log_drilled', 'log_entry'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
        $this->addSql('ALTER TABLE run_command DROP left_ms, DROP came_ms');
        $this->addSql('DROP INDEX by_drilled ON combination');
    }
}
