# Shared by bin/periplus backup and restore: the whole gym as one file, checked on the way back.
# The file is a tar of three: what it is, the database as SQL compressed, and the digests of both.

BACKUP_FORMAT=periplus-backup-1

dump() { mariadb-dump --no-defaults --socket="$RUN/db.sock" --user="$(id -un)" --single-transaction --skip-dump-date --hex-blob --default-character-set=utf8mb4 --databases periplus; }

# Whether a dump was written to its end, which it says in its last line.
whole() { gzip -dc "$1" 2>/dev/null | tail -n 1 | grep -q '^-- Dump completed'; }

backup() { # FILE
    local file=${1:-}
    [ -n "$file" ] || fail "Say where to: bin/periplus backup FILE."
    [ ! -e "$file" ] || fail "There is a file $file already. Choose another name."
    alive "$RUN/db.pid" || fail "The database does not run. Start it first: bin/start."
    WORK=$(mktemp -d "$(dirname "$file")/.periplus-backup.XXXXXX") || fail "There cannot be written to $(dirname "$file")."
    trap 'rm -rf "$WORK"' EXIT
    dump | gzip -6 >"$WORK/library.sql.gz" || fail "The database could not be read. Nothing was written."
    whole "$WORK/library.sql.gz" || fail "The database was not read to its end. Nothing was written."
    {
        echo "format $BACKUP_FORMAT"
        echo "made $(date -u +%Y-%m-%dT%H:%M:%SZ)"
        echo "combinations $(sql -e 'SELECT COUNT(*) FROM periplus.combination')"
        echo "coaches $(sql -e 'SELECT COUNT(*) FROM periplus.user')"
    } >"$WORK/about"
    (cd "$WORK" && sha256sum about library.sql.gz >digests)
    tar -C "$WORK" -cf "$WORK/whole" about library.sql.gz digests
    sync "$WORK/whole"
    # In place in one step: a backup that was cut off leaves no file that looks like one.
    mv "$WORK/whole" "$file"
    say "The gym is in $file: $(sed -n 's/^combinations //p' "$WORK/about") combinations, $(sed -n 's/^coaches //p' "$WORK/about") coaches."
}

restore() { # FILE
    local file=${1:-}
    [ -n "$file" ] || fail "Say from where: bin/periplus restore FILE."
    [ -r "$file" ] || fail "There is no file $file to be read."
    alive "$RUN/db.pid" || fail "The database does not run. Start it first: bin/start."
    WORK=$(mktemp -d "$STATE/restore.XXXXXX")
    trap 'rm -rf "$WORK"' EXIT
    tar -C "$WORK" -xf "$file" about library.sql.gz digests 2>/dev/null || fail "$file is no backup of Periplus, or it is cut off. The gym is as it was."
    grep -qx "format $BACKUP_FORMAT" "$WORK/about" || fail "$file is a backup of another version of Periplus. The gym is as it was."
    (cd "$WORK" && sha256sum --status -c digests) || fail "$file is damaged: its content is not what was written. The gym is as it was."
    whole "$WORK/library.sql.gz" || fail "$file does not hold the whole gym. The gym is as it was."
    # Into a database beside the one in use; tables change places only when all of it is there.
    sql -e "DROP DATABASE IF EXISTS periplus_incoming; CREATE DATABASE periplus_incoming"
    gzip -dc "$WORK/library.sql.gz" | sed -e '/^CREATE DATABASE /d' -e 's/^USE `periplus`;$/USE `periplus_incoming`;/' | sql periplus_incoming || fail "The backup could not be read into the database. The gym is as it was."
    swap_in
    say "The gym is back as it was on $(sed -n 's/^made //p' "$WORK/about"): $(sed -n 's/^combinations //p' "$WORK/about") combinations."
}

# Moves every table of the incoming database in place of the one in use, in one statement, which is done whole or not at
# all; what was in use is kept beside it until the next restore.
swap_in() {
    local table moves=''
    sql -e "DROP DATABASE IF EXISTS periplus_before; CREATE DATABASE periplus_before"
    for table in $(sql -e "SHOW TABLES IN periplus"); do moves+="periplus.\`$table\` TO periplus_before.\`$table\`, "; done
    for table in $(sql -e "SHOW TABLES IN periplus_incoming"); do moves+="periplus_incoming.\`$table\` TO periplus.\`$table\`, "; done
    sql -e "SET foreign_key_checks = 0; RENAME TABLE ${moves%, }"
    sql -e "DROP DATABASE periplus_incoming"
}
