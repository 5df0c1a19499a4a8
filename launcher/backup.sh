# Backups: written, signed, restored, looked at. Read by ../elvaro.

# One file: what it is, the data as SQL, and for the demo the secrets that are shown anyway; all of it under checksums, and these
# signed with the house's key, which is not in it. It is whole once it has its name.
cmd_backup() {
    BACKUP=failed
    trap end_backup EXIT
    need_tools
    need_database
    build
    local file=${1:-$DIR/backup/elvaro-$(date +%Y-%m-%dT%H%M%S).backup} work
    has_data || fail "There are no data in $DIR to write down."
    [ ! -e "$file" ] || fail "$file is there already. Choose another name."
    mkdir -p "$(dirname "$file")" 2>/dev/null || fail "The folder of $file cannot be made."
    # Packed they are smaller than they lie there, and for a moment they are there twice.
    local megabytes=$(($(data_megabytes) + 20))
    [ "$(free_megabytes "$(dirname "$file")")" -ge "$megabytes" ] ||
        fail "Only $(free_megabytes "$(dirname "$file")") MB are free where $file is to be; up to $megabytes MB are needed."
    work=$(mktemp -d "$(dirname "$file")/.backup-XXXXXX")
    BACKING=$work
    if ! db_alive; then
        need_free_database
        BACKING_DB=yes
        start_database
    fi
    step "Writing the backup" "$LOGS/backup.log" dump "$work"
    [ "$(cat "$DIR/house" 2>/dev/null)" != demo ] || cat "$DIR/secret/demo-password" "$DIR/secret/demo-device" >"$work/demo" 2>/dev/null || true
    (
        cd "$work"
        printf 'elvaro-backup 2\nmade %s\nhouse %s\nschema %s\n' "$(date -u +%Y-%m-%dT%H:%M:%SZ)" \
            "$(cat "$DIR/house" 2>/dev/null || echo empty)" "$(data_schema)" >about
        sha256sum data.sql.gz $(ls demo 2>/dev/null) >>about
        sign_file sign "$HOUSE_KEY" about >signature
        tar -cf all about signature data.sql.gz $(ls demo 2>/dev/null)
    )
    mv "$work/all" "$file"
    BACKUP=made WHY=$file
    say "Written: $file, $(du -h "$file" | cut -f1). It holds all that is known and the hashes of passwords: keep it like a key."
}

# The half-written file goes, and the database too if it was started for the backup only.
end_backup() {
    trap - EXIT
    # The application tells the owners of one that failed.
    [ -z "${BACKUP:-}" ] || ! [ -d "$DIR/run" ] || {
        echo "$BACKUP $(date -u +%Y-%m-%dT%H:%M:%SZ) ${WHY:-the backup could not be written}" >"$DIR/backup.last.new" &&
            mv "$DIR/backup.last.new" "$DIR/backup.last"
    } || true
    rm -rf "${BACKING:-}"
    [ "${BACKING_DB:-no}" = no ] || end "$DIR/run/db.pid"
}

# As of one moment, whatever is written meanwhile. Who is signed in is nobody's data.
dump() {
    set -o pipefail
    locate_database
    client mariadb-dump --single-transaction --quick --hex-blob --skip-comments \
        --default-character-set=utf8mb4 --ignore-table-data="$DB_NAME.SPRING_SESSION" \
        --ignore-table-data="$DB_NAME.SPRING_SESSION_ATTRIBUTES" --ignore-table-data="$DB_NAME.sign_in_attempt" "$DB_NAME" |
        gzip -6 >"$1/data.sql.gz"
}

# Signs, or checks a signature, by the application's own hand.
sign_file() {
    local jar
    jar=$(app_jar)
    if [ -d "$(dirname "$jar")/lib" ]; then # unpacked
        java -XX:TieredStopAtLevel=1 -cp "$jar" elvaro.server.chain.SignFile "$@"
    else
        java -XX:TieredStopAtLevel=1 -cp "$jar" -Dloader.main=elvaro.server.chain.SignFile \
            org.springframework.boot.loader.launch.PropertiesLauncher "$@"
    fi
}

cmd_restore() {
    local file=${1:-}
    [ -n "$file" ] || fail "Say which file: ./elvaro restore FILE"
    [ -r "$file" ] || fail "$file cannot be read."
    need_tools
    need_disk 1000 "to load a backup"
    need_database
    ! running || fail "Elvaro runs in $DIR. Restore into an empty folder: --dir."
    need_free_database
    own_database || start_database
    ! has_data || fail "$(own_database && echo "The folder $DIR holds data already. Restore into an empty one: --dir." ||
        echo "The database $DB_NAME holds tables already. Restore into an empty one.")"
    mkdir -p "$DIR/tmp"
    RESTORING=$(mktemp -d "$DIR/tmp/restore-XXXXXX")
    trap undo_restore EXIT
    tar -xf "$file" -C "$RESTORING" about data.sql.gz 2>/dev/null && grep -qx 'elvaro-backup [12]' "$RESTORING/about" ||
        fail "$file is no backup of Elvaro, or not all of it. Nothing was changed."
    tar -xf "$file" -C "$RESTORING" demo 2>/dev/null || true
    tar -xf "$file" -C "$RESTORING" signature 2>/dev/null || true
    build
    must_be_signed "$file"
    must_be_whole "$file"
    local schema
    schema=$(sed -n 's/^schema //p' "$RESTORING/about")
    [ "${schema:-0}" -le "$(known_schema)" ] ||
        fail "$file is of a newer Elvaro (its data have step $schema, this one knows $(known_schema)). Bring Elvaro up to date first. Nothing was changed."
    local made
    made=$(sed -n 's/^made //p' "$RESTORING/about")
    local age="at a time nobody can read"
    [[ ! $made =~ ^[0-9T:-]+Z$ ]] || ! date -d "$made" >/dev/null 2>&1 ||
        age="$made, $((($(date +%s) - $(date -d "$made" +%s)) / 86400)) days ago"
    say "It was written $age, and goes into $(own_database && echo "$DIR" || echo "the database $DB_NAME at $DB_HOST"), which holds no data."
    start_database
    LOADING=yes
    step "Loading the data" "$LOGS/restore.log" load "$RESTORING/data.sql.gz"
    step "Checking them" "$LOGS/check.log" check_data
    sed -n 's/^house //p' "$RESTORING/about" >"$DIR/house"
    if [ -s "$RESTORING/demo" ]; then
        mkdir -p "$DIR/secret"
        head -c 12 "$RESTORING/demo" >"$DIR/secret/demo-password"
        tail -c +13 "$RESTORING/demo" >"$DIR/secret/demo-device"
    fi
    grep -h '^Checked' "$LOGS/check.log" || true
    say "Restored what was written $(sed -n 's/^made //p' "$RESTORING/about"). './elvaro start' goes on with it."
    RESTORED=yes
}

# Whose it is, and that nobody changed it since. Whether that key is the right one only a person can say.
must_be_signed() {
    local open signature print
    if [ ! -s "$RESTORING/signature" ]; then
        [ "$UNSIGNED" = yes ] || fail "$1 is not signed: anybody can have written it. If you know where it is from, say --unsigned. Nothing was changed."
        say "It is not signed."
        return
    fi
    read -r open signature <"$RESTORING/signature"
    print=$(sign_file check "$open" "$signature" "$RESTORING/about") || fail "$1 was changed after it was signed. Nothing was changed."
    [ -z "$KEY" ] || [ "${KEY// /}" = "${print// /}" ] || fail "$1 is signed with the key $print, not with $KEY. Nothing was changed."
    say "It is signed with the key $print."
}

# Every member stands under the checksums, and nothing stands there that is missing.
must_be_whole() {
    local sums=$RESTORING/sums
    if grep -qx 'elvaro-backup 1' "$RESTORING/about"; then
        echo "$(sed -n 's/^sha256 //p' "$RESTORING/about")  data.sql.gz" >"$sums"
        rm -f "$RESTORING/demo"
    else
        grep -E '^[0-9a-f]{64}  (data\.sql\.gz|demo)$' "$RESTORING/about" >"$sums" || true
        grep -q ' demo$' "$sums" || rm -f "$RESTORING/demo"
    fi
    grep -q ' data\.sql\.gz$' "$sums" && (cd "$RESTORING" && sha256sum --status --strict -c sums) ||
        fail "$1 is damaged: its checksum is another. Nothing was changed."
}

# Data and never commands: by a client that runs none, in the name of one who may do nothing beside these tables.
load() {
    set -o pipefail
    locate_database
    gzip -dc "$1" | MYSQL_PWD=$DB_OWNER_PASSWORD mariadb --no-defaults --binary-mode --sandbox --local-infile=0 \
        --host="$DB_HOST" --port="$DB_PORT" --user="$DB_OWNER" "${DB_CLIENT[@]}" --default-character-set=utf8mb4 "$DB_NAME"
}

# A restore that failed leaves the folder as it was: without data.
undo_restore() {
    trap - EXIT
    end "$DIR/run/db.pid"
    rm -rf "${RESTORING:-}"
    [ "${RESTORED:-no}" = yes ] || {
        rm -f "$DIR/house"
        if own_database; then rm -rf "$DIR/db"; elif [ "${LOADING:-no}" = yes ]; then empty_database; fi
    }
}

# The same look at the data as after a restore, also while Elvaro runs.
cmd_check() {
    need_tools
    need_database
    has_data || fail "There are no data in $DIR to check."
    build
    if db_alive; then
        DB_PORT=$(cat "$DIR/run/db-port" 2>/dev/null || echo "$DB_PORT") # the one it runs at, whatever is asked for now
    else
        need_free_database
        BACKING_DB=yes
        trap end_backup EXIT
        start_database
    fi
    if check_data >"$LOGS/check.log" 2>&1; then
        grep -h '^Checked' "$LOGS/check.log"
    elif grep -h '^Fault' "$LOGS/check.log"; then
        fail "The data are not whole. The whole log is $LOGS/check.log."
    else
        tail -n 5 "$LOGS/check.log" >&2
        fail "The check could not be made, which says nothing about the data. The whole log is $LOGS/check.log."
    fi
}

check_data() {
    with_database env ELVARO_CHECK=true ELVARO_DEMO=no ELVARO_HTTP_PORT=0 java "${JVM[@]}" \
        -Dspring.datasource.hikari.data-source-properties.socketTimeout=600000 -jar "$(app_jar)"
}
