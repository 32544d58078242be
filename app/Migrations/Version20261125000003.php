<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125000003 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'One library for several coaches: search, likeness, proposals, numbering, imports, invitations, the record of changes';
    }

    public function up(Schema $schema): void
    {
        // Sequences, words and traces of what is stored already are filled in by gym:recheck, which bin/start runs after every change of the core.
        $this->addSql("ALTER TABLE combination ADD sequence VARBINARY(320) DEFAULT '' NOT NULL, ADD stem VARBINARY(320) DEFAULT '' NOT NULL, ADD strikes SMALLINT DEFAULT 0 NOT NULL, ADD meets VARCHAR(120) DEFAULT '' NOT NULL, ADD in_use VARCHAR(32) DEFAULT NULL, ADD drilled_at DATETIME DEFAULT NULL, DROP words");
        $this->addSql('UPDATE combination SET in_use = fingerprint_with_effort WHERE archived_at IS NULL');
        $this->addSql('ALTER TABLE combination ALTER sequence DROP DEFAULT, ALTER stem DROP DEFAULT, ALTER strikes DROP DEFAULT, ALTER meets DROP DEFAULT');
        $this->addSql('DROP INDEX by_fingerprint ON combination');
        $this->addSql('CREATE UNIQUE INDEX once ON combination (in_use)');
        $this->addSql('CREATE INDEX by_sequence ON combination (sequence)');
        $this->addSql('CREATE INDEX by_stem ON combination (stem)');
        $this->addSql('CREATE INDEX by_level ON combination (archived_at, level, id)');
        $this->addSql('CREATE INDEX by_length ON combination (archived_at, length_ms, id)');
        $this->addSql('CREATE INDEX by_updated ON combination (archived_at, updated_at, id)');
        $this->addSql('CREATE INDEX scan ON combination (archived_at, rules, verdict, level, stance, strikes, weapons, meets, author_id, drilled_at, sequence)');
        $this->addSql('CREATE TABLE combination_mark (mark VARCHAR(41) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL, combination_id INT NOT NULL, PRIMARY KEY (mark, combination_id), INDEX of_combination (combination_id, mark), CONSTRAINT mark_of FOREIGN KEY (combination_id) REFERENCES combination (id) ON DELETE CASCADE) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE combination_trace (trace BINARY(8) NOT NULL, combination_id INT NOT NULL, PRIMARY KEY (trace, combination_id), INDEX of_combination (combination_id), CONSTRAINT trace_of FOREIGN KEY (combination_id) REFERENCES combination (id) ON DELETE CASCADE)');
        $this->addSql('CREATE TABLE gym (id INT NOT NULL, name VARCHAR(80) NOT NULL, scheme VARCHAR(40) NOT NULL, revision BIGINT DEFAULT 0 NOT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql("INSERT INTO gym (id, name, scheme) VALUES (1, 'Our gym', 'parity')");
        $this->addSql('CREATE TABLE scheme (id VARCHAR(40) NOT NULL, version INT DEFAULT 1 NOT NULL, content JSON NOT NULL, editor_id INT NOT NULL, updated_at DATETIME NOT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('ALTER TABLE user ADD scheme VARCHAR(40) DEFAULT NULL, ADD active TINYINT DEFAULT 1 NOT NULL, ADD last_sign_in DATETIME DEFAULT NULL');
        $this->addSql('CREATE TABLE invitation (id INT AUTO_INCREMENT NOT NULL, token_hash CHAR(64) NOT NULL, kind VARCHAR(10) NOT NULL, role VARCHAR(20) NOT NULL, user_id INT DEFAULT NULL, maker_id INT NOT NULL, created_at DATETIME NOT NULL, expires_at DATETIME NOT NULL, used_at DATETIME DEFAULT NULL, UNIQUE INDEX by_token (token_hash), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE proposal (id INT AUTO_INCREMENT NOT NULL, version INT DEFAULT 1 NOT NULL, kind VARCHAR(10) NOT NULL, state VARCHAR(10) NOT NULL, combination_id INT DEFAULT NULL, based_on INT DEFAULT NULL, content JSON NOT NULL, author_id INT NOT NULL, created_at DATETIME NOT NULL, updated_at DATETIME NOT NULL, INDEX by_state (state, updated_at), INDEX of_combination (combination_id, state), INDEX by_author (author_id), CONSTRAINT proposal_for FOREIGN KEY (combination_id) REFERENCES combination (id), CONSTRAINT proposal_by FOREIGN KEY (author_id) REFERENCES user (id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE proposal_step (id INT AUTO_INCREMENT NOT NULL, proposal_id INT NOT NULL, step VARCHAR(12) NOT NULL, content JSON DEFAULT NULL, remark TEXT NOT NULL, user_id INT NOT NULL, created_at DATETIME NOT NULL, INDEX of_proposal (proposal_id, id), CONSTRAINT step_of FOREIGN KEY (proposal_id) REFERENCES proposal (id) ON DELETE CASCADE, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE saved_view (id INT AUTO_INCREMENT NOT NULL, name VARCHAR(60) NOT NULL, address VARCHAR(500) NOT NULL, owner_id INT NOT NULL, shared TINYINT NOT NULL, INDEX by_owner (owner_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE import_run (id INT AUTO_INCREMENT NOT NULL, state VARCHAR(10) NOT NULL, format VARCHAR(10) NOT NULL, options JSON NOT NULL, content MEDIUMTEXT NOT NULL, total INT NOT NULL, done INT NOT NULL, starter_id INT NOT NULL, started_at DATETIME NOT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE import_line (import_id INT NOT NULL, line INT NOT NULL, kind VARCHAR(12) NOT NULL, source TEXT NOT NULL, content JSON DEFAULT NULL, fingerprint VARCHAR(32) DEFAULT NULL, message TEXT NOT NULL, combination_id INT DEFAULT NULL, combination_version INT DEFAULT NULL, PRIMARY KEY (import_id, line), INDEX by_kind (import_id, kind, line), INDEX by_fingerprint (import_id, fingerprint), CONSTRAINT line_of FOREIGN KEY (import_id) REFERENCES import_run (id) ON DELETE CASCADE) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE record (id INT AUTO_INCREMENT NOT NULL, created_at DATETIME NOT NULL, user_id INT DEFAULT NULL, what VARCHAR(40) NOT NULL, says VARCHAR(400) NOT NULL, subject VARCHAR(60) DEFAULT NULL, INDEX by_subject (subject), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
    }

    public function down(Schema $schema): void
    {
        foreach (['record', 'import_line', 'import_run', 'saved_view', 'proposal_step', 'proposal', 'invitation', 'scheme', 'gym', 'combination_trace', 'combination_mark'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
        $this->addSql('ALTER TABLE user DROP scheme, DROP active, DROP last_sign_in');
        $this->addSql("ALTER TABLE combination DROP INDEX once, DROP INDEX by_sequence, DROP INDEX by_stem, DROP INDEX by_level, DROP INDEX by_length, DROP INDEX by_updated, DROP INDEX scan, DROP sequence, DROP stem, DROP strikes, DROP meets, DROP in_use, DROP drilled_at, ADD words TEXT NOT NULL DEFAULT ''");
        $this->addSql('CREATE INDEX by_fingerprint ON combination (fingerprint_with_effort)');
    }
}
