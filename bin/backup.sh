# Shared by bin/periplus and bin/keeper: the whole gym as one file, checked on the way back.
# The file is a tar of three: what it is, the database as SQL compressed, and the digests of both. Where the head coach has
# chosen so, the recordings follow, each under a name that begins with the digest of its content.

BACKUP_FORMAT=periplus-backup-3
RECORDING='recordings/[0-9a-f]{64}-[0-9a-f]{8}'
# More than a gym may have of them, in bytes.
MAX_RECORDINGS_BYTES=2100000000
# Filled again on the way back, or of use only to whoever is signed in now.
# Recordings are kept as files.
NOT_KEPT=(index_term deletion_neighbour session rule_preview rule_preview_result recording_part)
# A dump larger than this, or this many times larger than its compressed form, is not one of ours.
MAX_DUMP_BYTES=8000000000
MAX_COMPRESSION=200
# A backup may hold these lines about itself, and no others.
ABOUT_LINE='^(format periplus-backup-[123]|recordings [0-9]{1,6}|made [0-9TZ:-]{10,20}|schema Version[0-9]{14}|core [0-9a-f]{32}|rows [a-z_]{1,60} [0-9]{1,12}|(combinations|coaches) [0-9]{1,12})$'

# One row a line, so that rows can be counted, all from one moment.
dump() { with_database mariadb-dump --single-transaction --skip-dump-date --hex-blob --skip-extended-insert --no-autocommit --default-character-set=utf8mb4 "${NOT_KEPT[@]/#/--ignore-table-data=$GYM_DB.}" "$GYM_DB"; }

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
    # A link that leads nowhere is in the way, too: what is written must be at the name that was given.
    [ ! -e "$file" ] && [ ! -L "$file" ] || fail "There is a file $file already. Choose another name."
    sql -e "SELECT 1" >/dev/null 2>&1 || fail "The database does not run. Start it first: bin/start."
    folder=$(dirname "$file")
    # What an interrupted run left behind.
    find "$folder" -maxdepth 1 -name '.periplus-backup.*' -user "$(id -un)" -mmin +60 -exec rm -rf {} + 2>/dev/null || true
    (
        WORK=
        trap '[ -z "$WORK" ] || rm -rf "$WORK"' EXIT
        trap 'exit 130' INT TERM HUP
        # The name first: whatever interrupts the next line, the traps know what to remove.
        WORK=$(mktemp -du "$folder/.periplus-backup.XXXXXX")
        mkdir -m 700 "$WORK" 2>/dev/null || not_written "$folder" "There cannot be written to $folder."
        find "$STATE/tmp" -maxdepth 1 -name 'backup.*' -mmin +60 -exec rm -rf {} + 2>/dev/null || true
        recordings=$(link_recordings) || not_written "$STATE" "The recordings could not be read."
        trap '[ -z "$WORK" ] || rm -rf "$WORK" "${recordings%/recordings}"' EXIT
        dump | gzip -6 >"$WORK/library.sql.gz" || not_written "$folder" "The database could not be read."
        whole "$WORK/library.sql.gz" || not_written "$folder" "The database was not read to its end."
        {
            echo "format $BACKUP_FORMAT"
            echo "made $(date -u +%Y-%m-%dT%H:%M:%SZ)"
            echo "schema $(applied_migrations "$GYM_DB" | tail -n 1)"
            echo "core $(core_digest)"
            echo "recordings $(ls "$recordings" | wc -l)"
            gzip -dc "$WORK/library.sql.gz" | rows_in
        } >"$WORK/about" || not_written "$folder" "What the backup holds could not be counted."
        (cd "$WORK" && sha256sum about library.sql.gz >digests) || not_written "$folder" "The backup could not be written."
        (cd "${recordings%/recordings}" && find recordings -type f | sort) >"$WORK/names"
        tar -C "$WORK" -cf "$WORK/whole" about library.sql.gz digests -C "${recordings%/recordings}" --verbatim-files-from -T "$WORK/names" || not_written "$folder" "The backup could not be written."
        sync "$WORK/whole" || not_written "$folder" "The backup could not be written."
        # In place in one step, and only where nothing is: a backup that was cut off leaves no file that looks like one.
        mv -nT "$WORK/whole" "$file"
        [ ! -e "$WORK/whole" ] || not_written "$folder" "There is a file $file already."
        say "The gym is in $file: $(counted combination "$WORK/about") combinations, $(counted user "$WORK/about") coaches, $(wc -l <"$WORK/names") recordings."
    )
}

# Links what belongs into a backup to a folder of its own, where nothing is deleted meanwhile, and prints its name.
link_recordings() {
    local folder name
    mkdir -p "$RECORDINGS" "$STATE/tmp"
    folder=$(mktemp -d "$STATE/tmp/backup.XXXXXX")
    mkdir "$folder/recordings"
    if [ "$(sql -e "SELECT backs_up_recordings FROM $GYM_DB.gym WHERE id = 1" 2>/dev/null)" = 1 ]; then
        while read -r name; do
            ln "$RECORDINGS/$name" "$folder/recordings/$name" 2>/dev/null || true # its file is missing
        done < <(sql -e "SELECT file_name FROM $GYM_DB.recording")
    fi
    echo "$folder/recordings"
}

counted() { local count; count=$(sed -n "s/^rows $1 \([0-9]*\)$/\1/p" "$2"); echo "${count:-0}"; } # TABLE FILE

as_it_was() { # SENTENCE
    if disk_is_full "$STATE"; then set -- "The disk is full."; fi
    fail "$1 The gym is as it was."
}

# Unpacks a backup into WORK and makes sure that it is one, without running anything in it.
unpack() { # FILE
    local file=$1 about=$WORK/about size packed members count
    [ -f "$file" ] && [ -r "$file" ] || fail "There is no file $file that can be read."
    # Three plain files and recordings, by type and name; no links, devices or further members.
    members=$(tar -tvf "$file" 2>/dev/null | awk '{ print substr($1, 1, 1), $NF }' | sort) || true
    [ "$(grep -vxE -- "- $RECORDING" <<<"$members" | paste -sd,)" = "- about,- digests,- library.sql.gz" ] || as_it_was "$file is no backup of Periplus, or it is cut off."
    tar -C "$WORK" --no-same-owner --no-same-permissions -xf "$file" about library.sql.gz digests 2>/dev/null || as_it_was "$file is no backup of Periplus, or it is cut off."
    [ "$(stat -c %s "$about")" -le 65536 ] && [ "$(stat -c %s "$WORK/digests")" -le 4096 ] || as_it_was "$file is no backup of Periplus."
    grep -aqEx 'format periplus-backup-[123]' "$about" || as_it_was "$file is a backup of a newer version of Periplus."
    ! grep -aqvE "$ABOUT_LINE" "$about" || as_it_was "$file says things about itself that no backup says."
    [ "$(awk '{ print $2 }' "$WORK/digests" | sort | paste -sd,)" = "about,library.sql.gz" ] && (cd "$WORK" && sha256sum --status -c digests) || as_it_was "$file is damaged: its content is not what was written."
    packed=$(stat -c %s "$WORK/library.sql.gz")
    size=$((packed * MAX_COMPRESSION + 1000000))
    [ "$size" -le "$MAX_DUMP_BYTES" ] || size=$MAX_DUMP_BYTES
    [ "$({ gzip -dc "$WORK/library.sql.gz" 2>/dev/null || true; } | head -c $((size + 1)) | wc -c)" -le "$size" ] || as_it_was "$file is far larger unpacked than a backup is."
    whole "$WORK/library.sql.gz" || as_it_was "$file does not hold the whole gym."
    grep -oxE -- "- $RECORDING" <<<"$members" | cut -c3- >"$WORK/names" || true
    count=$(sed -n 's/^recordings \([0-9]*\)$/\1/p' "$about" | head -n 1)
    [ "$(sort -u "$WORK/names" | wc -l)" = "$((10#${count:-0}))" ] && [ "$(wc -l <"$WORK/names")" = "$((10#${count:-0}))" ] || as_it_was "$file says that it holds ${count:-0} recordings, and others are in it."
    unpack_recordings "$file"
}

unpack_recordings() { # FILE
    local name
    [ -s "$WORK/names" ] || return 0
    [ "$(tar -tvf "$1" | awk '$NF ~ /^recordings\// { sum += $3 } END { printf "%.0f", sum }')" -le "$MAX_RECORDINGS_BYTES" ] || as_it_was "$1 holds more recordings than a gym may have."
    tar -C "$WORK" --no-same-owner --no-same-permissions --touch -xf "$1" --verbatim-files-from -T "$WORK/names" 2>/dev/null || as_it_was "The recordings in $1 could not be read."
    while read -r name; do
        [[ ${name#recordings/} == "$(sha256sum <"$WORK/$name" | cut -c1-64)"-* ]] || as_it_was "$1 is damaged: a recording is not what was written."
    done <"$WORK/names"
}

# Moves the unpacked recordings into the gym's folder. None that is there is deleted: the gym plays them until it is replaced.
keep_recordings() {
    [ -s "$WORK/names" ] || return 0
    mkdir -p "$RECORDINGS"
    chown --reference="$RECORDINGS" "$WORK"/recordings/*
    chmod 600 "$WORK"/recordings/*
    mv -n "$WORK"/recordings/* "$RECORDINGS"
}

# Runs the statements of a dump in periplus_incoming as an account that has rights there alone, by a client that takes no
# commands and sends no files.
load_dump() { # DUMP
    local password pattern=${GYM_DB//_/\\_}; password=$(od -An -N24 -tx1 /dev/urandom | tr -d ' \n')
    local options; options=$(mariadb --help 2>/dev/null)
    [[ $options == *--sandbox* ]] || fail "The mariadb client of this machine is too old to restore safely. Update it: apt-get install mariadb-client."
    sql <<SQL
DROP USER IF EXISTS 'periplus_restore'@'localhost';
CREATE USER 'periplus_restore'@'localhost' IDENTIFIED BY '$password';
GRANT SELECT, INSERT, CREATE, DROP, ALTER, INDEX, REFERENCES, LOCK TABLES ON \`$pattern\_incoming\`.* TO 'periplus_restore'@'localhost';
SQL
    gzip -dc "$1" | sed -e '/^CREATE DATABASE /d' -e "s/^USE \`periplus\`;$/USE \`${GYM_DB}_incoming\`;/" \
        | MYSQL_PWD=$password EDITOR=/bin/false VISUAL=/bin/false mariadb --no-defaults --socket="$DB_SOCKET" --user=periplus_restore \
            --batch --sandbox --local-infile=0 --max-allowed-packet=64M ${GYM_DB}_incoming
}
forget_restore_account() { sql -e "DROP USER IF EXISTS 'periplus_restore'@'localhost'" 2>/dev/null || true; }

# Makes periplus_next from a backup: read into a database beside the one in use, checked, and brought up to date.
read_backup() { # FILE
    local file=$1 about=$WORK/about said pair table count
    unpack "$file"
    sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_incoming; CREATE DATABASE ${GYM_DB}_incoming"
    load_dump "$WORK/library.sql.gz" 2>"$WORK/load.log" || as_it_was "The backup could not be read into the database: $(head -c 300 "$WORK/load.log" | tr -d '\n')."
    forget_restore_account
    if is_newer ${GYM_DB}_incoming; then as_it_was "$file is a backup of a newer version of Periplus."; fi
    [ -n "$(applied_migrations ${GYM_DB}_incoming)" ] && [ "$(sql -e "SELECT COUNT(*) FROM ${GYM_DB}_incoming.user")" -gt 0 ] || as_it_was "$file is the backup of an empty gym: nobody could sign in."
    said=$(grep -a '^rows ' "$about" || true)
    while read -r _ table count; do
        [ -n "$(sql -e "SELECT 1 FROM information_schema.tables WHERE table_schema = '${GYM_DB}_incoming' AND table_name = '$table'")" ] \
            && [ "$(sql -e "SELECT COUNT(*) FROM ${GYM_DB}_incoming.\`$table\`")" = "$count" ] || as_it_was "$file says that it holds $count rows of $table, and others came in."
    done < <(printf %s "${said:+$said$'\n'}")
    # Backups of the first form counted these two alone, a moment after the rest; fewer than said is a loss.
    for pair in combinations:combination coaches:user; do
        count=$(sed -n "s/^${pair%%:*} \([0-9]*\)$/\1/p" "$about" | head -n 1)
        [ -z "$count" ] || [ "$(sql -e "SELECT COUNT(*) FROM ${GYM_DB}_incoming.${pair##*:}")" -ge $((10#$count - 5)) ] || as_it_was "$file says that it holds $count ${pair%%:*}, and fewer came in."
    done
    keep_recordings
    step "Bringing the tables up to date" bring_over ${GYM_DB}_incoming
    step "Checking the library anew" recompute ${GYM_DB}_next
    sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_incoming"
}

# What was revoked stays revoked, who was blocked stays blocked, and every link that was still open ends: a backup from
# before knows nothing of it. Where only blocked head coaches would be left, nobody is blocked.
keep_revoked() {
    local table key blocked="${GYM_DB}_next.user restored JOIN $GYM_DB.user current USING (email)"
    if [ -n "$(sql -e "SELECT 1 FROM ${GYM_DB}_next.user WHERE role = 'ROLE_HEAD_COACH' AND active = 1 AND email NOT IN (SELECT email FROM $GYM_DB.user WHERE active = 0) LIMIT 1")" ]; then
        sql -e "UPDATE $blocked SET restored.active = 0 WHERE current.active = 0"
    fi
    sql -e "UPDATE ${GYM_DB}_next.invitation SET ended_at = UTC_TIMESTAMP(), ending = 'restored' WHERE ended_at IS NULL"
    for table in wall:wall_key athlete_card:card_key session_link:link_key offer_link:link_key; do
        key=${table##*:} table=${table%%:*}
        [ -n "$(sql -e "SELECT 1 FROM information_schema.tables WHERE table_schema = '$GYM_DB' AND table_name = '$table'")" ] || continue
        sql -e "UPDATE ${GYM_DB}_next.$table restored JOIN $GYM_DB.$table current USING ($key) SET restored.revoked_at = current.revoked_at WHERE current.revoked_at IS NOT NULL AND restored.revoked_at IS NULL"
    done
}

# Gives WORK a folder that goes when the shell ends, with every database that is only on the way.
restore_work() {
    rm -rf "$STATE"/restore.*
    WORK=$(mktemp -d "$STATE/restore.XXXXXX") || not_written "$STATE" "There cannot be written to $STATE."
    trap 'rm -rf "$WORK"; forget_restore_account; sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_incoming; DROP DATABASE IF EXISTS ${GYM_DB}_next" 2>/dev/null || true' EXIT
    trap 'exit 130' INT TERM HUP
}

restore() { # FILE
    local file=${1:-}
    [ -n "$file" ] || fail "Say from where: bin/periplus restore FILE."
    sql -e "SELECT 1" >/dev/null 2>&1 || fail "The database does not run. Start it first: bin/start."
    restore_work
    read_backup "$file"
    keep_revoked
    swap_in
    say "The gym is back as it was on $(sed -n 's/^made //p' "$WORK/about"): $(sql -e "SELECT COUNT(*) FROM $GYM_DB.combination") combinations. What was in use is kept as the database ${GYM_DB}_before until the next restore or upgrade. Everyone signs in again."
}

# --- A copy that is looked at before it is taken ------------------------------------------------------------------

restore_to_copy() { # FILE
    restore_work
    read_backup "$1"
    sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_copy; CREATE DATABASE ${GYM_DB}_copy"
    move_tables ${GYM_DB}_next ${GYM_DB}_copy
    console_on ${GYM_DB}_copy gym:summary >"$WORK/summary" || fail "The copy could not be counted. The gym is as it was."
    printf '{"file": "%s", "made": "%s", "summary": %s}\n' "$(basename "$1")" "$(sed -n 's/^made //p' "$WORK/about")" "$(cat "$WORK/summary")" >"$WORK/copy.json"
    tell_file "$WORK/copy.json" copy.json
}

take_copy() {
    has_copy || fail "There is no copy to be taken. Restore a backup to a copy first."
    sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_next; CREATE DATABASE ${GYM_DB}_next"
    move_tables ${GYM_DB}_copy ${GYM_DB}_next
    discard_copy
    keep_revoked
    swap_in
}

discard_copy() {
    rm -f "$STATE/told/copy.json"
    sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_copy"
}

has_copy() { [ -n "$(sql -e "SELECT 1 FROM information_schema.tables WHERE table_schema = '${GYM_DB}_copy' AND table_name = 'gym'")" ]; }

# --- Which backups are kept ---------------------------------------------------------------------------------------

NIGHTLY_DAYS=14
NIGHTLY_MONTHS=12
BY_HAND_COUNT=20

# Deletes nightly backups older than 14 days, but for the first of each of the last 12 months.
thin_out_nightly() { # FOLDER
    local file name month firsts=' '
    while read -r file; do
        name=$(basename "$file" .tar)
        name=${name#nightly-}
        month=${name:0:6}
        if [[ $firsts != *" $month "* ]]; then
            firsts+="$month "
            [[ $month < $(date -d "-$NIGHTLY_MONTHS months" +%Y%m) ]] || continue
        fi
        if [[ ${name:0:8} < $(date -d "-$NIGHTLY_DAYS days" +%Y%m%d) ]]; then rm -f "$file"; fi
    done < <(find "$1" -maxdepth 1 -name 'nightly-*.tar' | sort)
}

keep_newest() { # COUNT FOLDER KIND
    find "$2" -maxdepth 1 -name "$3-*.tar" | sort -r | tail -n "+$(($1 + 1))" | xargs -r -d '\n' rm -f
}
