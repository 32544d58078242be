# Shared by bin/periplus backup and restore: the whole gym as one file, checked on the way back.
# The file is a tar of three: what it is, the database as SQL compressed, and the digests of both.

BACKUP_FORMAT=periplus-backup-2
# Filled anew on the way back, or good for nobody but who is signed in now.
NOT_KEPT=(index_term deletion_neighbour session rule_preview rule_preview_result)

# One row a line, so that rows can be counted, all from one moment.
dump() { mariadb-dump --no-defaults --socket="$DB_SOCKET" --user="$(id -un)" --single-transaction --skip-dump-date --hex-blob --skip-extended-insert --no-autocommit --default-character-set=utf8mb4 "${NOT_KEPT[@]/#/--ignore-table-data=periplus.}" --databases periplus; }

rows_in() { awk '/^INSERT INTO `/ { split($0, part, "`"); rows[part[2]]++ } END { for (table in rows) print "rows", table, rows[table] }' | sort; } # a dump at its input: "rows TABLE COUNT" lines

# Whether a dump was written to its end, which it says in its last line.
whole() { gzip -dc "$1" 2>/dev/null | tail -n 1 | grep -q '^-- Dump completed'; }

# What to say where writing fails.
not_written() { # FOLDER WHAT ELSE IT MAY BE
    if disk_is_full "$1"; then fail "The disk is full. Nothing was written to $1; make room, or choose another folder."; fi
    fail "$2 Nothing was written."
}

backup() { # FILE
    local file=${1:-} folder
    [ -n "$file" ] || fail "Say where to: bin/periplus backup FILE."
    [ ! -e "$file" ] || fail "There is a file $file already. Choose another name."
    runs $MARIADB || fail "The database does not run. Start it first: bin/start."
    folder=$(dirname "$file")
    # What an interrupted run left behind.
    find "$folder" -maxdepth 1 -name '.periplus-backup.*' -user "$(id -un)" -mmin +60 -exec rm -rf {} + 2>/dev/null || true
    (
        WORK=
        trap '[ -z "$WORK" ] || rm -rf "$WORK"' EXIT
        trap 'exit 130' INT TERM HUP
        WORK=$(mktemp -d "$folder/.periplus-backup.XXXXXX" 2>/dev/null) || not_written "$folder" "There cannot be written to $folder."
        dump | gzip -6 >"$WORK/library.sql.gz" || not_written "$folder" "The database could not be read."
        whole "$WORK/library.sql.gz" || not_written "$folder" "The database was not read to its end."
        {
            echo "format $BACKUP_FORMAT"
            echo "made $(date -u +%Y-%m-%dT%H:%M:%SZ)"
            echo "schema $(applied_migrations periplus | tail -n 1)"
            echo "core $(core_digest)"
            gzip -dc "$WORK/library.sql.gz" | rows_in
        } >"$WORK/about" || not_written "$folder" "What the backup holds could not be counted."
        (cd "$WORK" && sha256sum about library.sql.gz >digests) || not_written "$folder" "The backup could not be written."
        tar -C "$WORK" -cf "$WORK/whole" about library.sql.gz digests || not_written "$folder" "The backup could not be written."
        sync "$WORK/whole" || not_written "$folder" "The backup could not be written."
        # In place in one step: a backup that was cut off leaves no file that looks like one.
        mv -n "$WORK/whole" "$file"
        say "The gym is in $file: $(counted combination "$WORK/about") combinations, $(counted user "$WORK/about") coaches."
    )
}

counted() { local count; count=$(sed -n "s/^rows $1 //p" "$2"); echo "${count:-0}"; } # TABLE FILE

restore() { # FILE
    local file=${1:-} about
    [ -n "$file" ] || fail "Say from where: bin/periplus restore FILE."
    [ -r "$file" ] || fail "There is no file $file to be read."
    runs $MARIADB || fail "The database does not run. Start it first: bin/start."
    rm -rf "$STATE"/restore.*
    WORK=$(mktemp -d "$STATE/restore.XXXXXX") || not_written "$STATE" "There cannot be written to $STATE."
    about=$WORK/about
    trap 'rm -rf "$WORK"; sql -e "DROP DATABASE IF EXISTS periplus_incoming; DROP DATABASE IF EXISTS periplus_next" 2>/dev/null || true' EXIT
    trap 'exit 130' INT TERM HUP
    as_it_was() { if disk_is_full "$STATE"; then set -- "The disk is full."; fi; fail "$1 The gym is as it was."; }
    tar -C "$WORK" -xf "$file" about library.sql.gz digests 2>/dev/null || as_it_was "$file is no backup of Periplus, or it is cut off."
    grep -Eqx 'format periplus-backup-[12]' "$about" || as_it_was "$file is a backup of a newer version of Periplus."
    (cd "$WORK" && sha256sum --status -c digests) || as_it_was "$file is damaged: its content is not what was written."
    whole "$WORK/library.sql.gz" || as_it_was "$file does not hold the whole gym."
    # Into a database beside the one in use, brought up to date there, and only then in its place.
    sql -e "DROP DATABASE IF EXISTS periplus_incoming; CREATE DATABASE periplus_incoming"
    gzip -dc "$WORK/library.sql.gz" | sed -e '/^CREATE DATABASE /d' -e 's/^USE `periplus`;$/USE `periplus_incoming`;/' | sql periplus_incoming || as_it_was "The backup could not be read into the database."
    if is_newer periplus_incoming; then as_it_was "$file is a backup of a newer version of Periplus."; fi
    [ -n "$(applied_migrations periplus_incoming)" ] && [ "$(sql -e "SELECT COUNT(*) FROM periplus_incoming.user")" -gt 0 ] || as_it_was "$file is the backup of an empty gym: nobody could sign in."
    said=$(grep '^rows ' "$about" || true)
    while read -r _ table count; do
        [ "$(sql -e "SELECT COUNT(*) FROM periplus_incoming.\`$table\`")" = "$count" ] || as_it_was "$file says that it holds $count rows of $table, and others came in."
    done < <(printf %s "${said:+$said$'\n'}")
    # Backups of the first form counted these two alone, a moment after the rest; fewer than said is a loss.
    for pair in combinations:combination coaches:user; do
        count=$(sed -n "s/^${pair%%:*} //p" "$about")
        [ -z "$count" ] || [ "$(sql -e "SELECT COUNT(*) FROM periplus_incoming.${pair##*:}")" -ge $((count - 5)) ] || as_it_was "$file says that it holds $count ${pair%%:*}, and fewer came in."
    done
    step "Bringing the tables up to date" bring_over periplus_incoming
    step "Checking the library anew" recompute periplus_next
    swap_in
    say "The gym is back as it was on $(sed -n 's/^made //p' "$about"): $(sql -e 'SELECT COUNT(*) FROM periplus.combination') combinations. What was in use is kept as the database periplus_before until the next restore or upgrade. Everyone signs in again."
}
