# The database: a MariaDB of the folder's own, or an existing one that is named. Read by ../elvaro.

secret() { # a random word, made once and kept
    [ -s "$DIR/secret/$1" ] || {
        mkdir -p "$DIR/secret"
        od -An -N "$2" -tx1 /dev/urandom | tr -d ' \n' >"$DIR/secret/$1.new"
        mv "$DIR/secret/$1.new" "$DIR/secret/$1"
    }
    cat "$DIR/secret/$1"
}

# A word that is given, or written in a file that is named.
given() { # name
    local file=$1_FILE
    if [ -n "${!1:-}" ]; then
        printf '%s' "${!1}"
    elif [ -n "${!file:-}" ]; then
        [ -r "${!file}" ] || fail "The file ${!file}, named by $file, cannot be read."
        tr -d '\n' <"${!file}"
    fi
}

# Whether the database is the folder's own: nobody named another.
own_database() { [ -z "${ELVARO_DB_URL:-}" ]; }

# Where the database is and who comes to it: the application, which reads and writes rows, and the owner, whose the tables are.
locate_database() {
    DB_HOST=127.0.0.1 DB_NAME=elvaro DB_USER=elvaro DB_OWNER=elvaro_owner DB_CLIENT=()
    if own_database; then
        DB_PASSWORD=$(secret db-password 24) DB_OWNER_PASSWORD=$(secret db-owner-password 24)
        DB_URL=jdbc:mariadb://127.0.0.1:$DB_PORT/elvaro
        return
    fi
    mkdir -p "$DIR/secret" # of the house, if not of the database
    DB_URL=$ELVARO_DB_URL
    [[ $DB_URL =~ ^jdbc:mariadb:([a-z-]+:)?//([A-Za-z0-9._-]+)(:([0-9]+))?(,[^/]*)?/([A-Za-z0-9_]+)(\?.*)?$ ]] ||
        fail "ELVARO_DB_URL is to be like jdbc:mariadb://HOST:3306/NAME, not '$DB_URL'."
    DB_HOST=${BASH_REMATCH[2]} DB_PORT=${BASH_REMATCH[4]:-3306} DB_NAME=${BASH_REMATCH[6]}
    local options=${BASH_REMATCH[7]}
    DB_USER=${ELVARO_DB_USER:-} DB_PASSWORD=$(given ELVARO_DB_PASSWORD)
    [ -n "$DB_USER" ] && [ -n "$DB_PASSWORD" ] ||
        fail "A database is named by ELVARO_DB_URL; name who comes to it too: ELVARO_DB_USER, and ELVARO_DB_PASSWORD or ELVARO_DB_PASSWORD_FILE."
    DB_OWNER=${ELVARO_DB_OWNER:-$DB_USER} DB_OWNER_PASSWORD=$(given ELVARO_DB_OWNER_PASSWORD)
    DB_OWNER_PASSWORD=${DB_OWNER_PASSWORD:-$DB_PASSWORD}
    DB_CLIENT=(--skip-ssl) # else it would come encrypted where the application cannot
    [[ ! $options =~ sslMode=(trust|verify-ca|verify-full) ]] || DB_CLIENT=(--ssl)
    [[ ! $options =~ sslMode=verify-full ]] || DB_CLIENT+=(--ssl-verify-server-cert)
    [[ ! $options =~ serverSslCert=([^\&]+) ]] || DB_CLIENT+=(--ssl-ca="${BASH_REMATCH[1]}")
}

# What a program is told of the database, and of the keys of the house.
database_words() {
    locate_database
    DB_WORDS=(
        ELVARO_DB_URL="$DB_URL" ELVARO_DB_USER="$DB_USER" ELVARO_DB_PASSWORD="$DB_PASSWORD"
        ELVARO_DB_OWNER="$DB_OWNER" ELVARO_DB_OWNER_PASSWORD="$DB_OWNER_PASSWORD"
        ELVARO_KEY_FILE="$HOUSE_KEY" ELVARO_PUSH_KEY_FILE="${ELVARO_PUSH_KEY_FILE:-$DIR/secret/push-key}"
        ELVARO_BACKUP_FILE="$DIR/backup.last"
    )
}

# Runs a program that is told so; nothing of it stays behind for others.
with_database() {
    database_words
    env "${DB_WORDS[@]}" "$@"
}

# A program of MariaDB's as the tables' owner: through the network to an existing database, else by the socket.
client() { # program arguments
    local program=$1
    shift
    locate_database
    if own_database; then
        "$program" --no-defaults --socket="$(socket_path)" "$@"
    else
        MYSQL_PWD=$DB_OWNER_PASSWORD "$program" --no-defaults --host="$DB_HOST" --port="$DB_PORT" --user="$DB_OWNER" "${DB_CLIENT[@]}" "$@"
    fi
}

sql() {
    locate_database
    client mariadb -N "$DB_NAME" -e "$1"
}

# Only root must be named to mariadbd.
db_user=()
[ "$(id -u)" != 0 ] || db_user=(--user=root)

# A socket's path is short by law of the kernel, a data folder's need not be.
socket_path() {
    local near=$DIR/run/db.sock node
    for node in "${DB_NODES[@]}"; do # of a cluster whichever is there
        ! lives "$DIR/run/db$node.pid" || near=$(node_socket "$node")
    done
    if [ ${#near} -lt 100 ]; then
        printf '%s' "$near"
    else
        mkdir -p "/tmp/elvaro-$(id -u)"
        printf '/tmp/elvaro-%s/%s.sock' "$(id -u)" "$(printf '%s' "$DIR" | cksum | cut -d' ' -f1)"
    fi
}

db_alive() {
    own_database || { client mariadb-admin ping >/dev/null 2>&1; return; }
    local node
    for node in '' "${DB_NODES[@]}"; do # one of its own, or any of a cluster
        ! lives "$DIR/run/db$node.pid" || return 0
    done
    return 1
}

# Whether there are data: a folder of the database's, or tables in the one that is named.
has_data() {
    if own_database; then
        [ -d "$DIR/db/mysql" ] || [ -d "$DIR/db1/mysql" ]
    else
        locate_database
        [ "$(sql "select count(*) from information_schema.tables where table_schema = database()")" != 0 ]
    fi
}

# What is to be written down, at most.
data_megabytes() {
    if own_database; then
        du -sm "$DIR"/db/elvaro "$DIR"/db1/elvaro 2>/dev/null | head -n 1 | cut -f1
    else
        sql "select ceil(coalesce(sum(data_length + index_length), 0) / 1048576) from information_schema.tables where table_schema = database()"
    fi
}

# Throws away what a restore that failed wrote into an existing database, which was empty before.
empty_database() {
    {
        echo 'set foreign_key_checks = 0;'
        sql "select concat('drop table \`', table_name, '\`;') from information_schema.tables where table_schema = database()"
    } | client mariadb "$DB_NAME"
}

# The port of a database that is to be started is free.
need_free_database() {
    need_database
    ! own_database || need_port "database" "$DB_PORT" --db-port
}

start_database() { # further arguments go to mariadbd
    mkdir -p "$DIR/run" "$LOGS" "$DIR/tmp"
    locate_database
    if own_database; then
        start_own_database "$@"
    else
        local tries=0
        until client mariadb "$DB_NAME" -e 'select 1' >/dev/null 2>"$LOGS/db.out"; do
            tries=$((tries + 1))
            [ $tries -lt 60 ] || fail "The database at $DB_HOST:$DB_PORT does not let $DB_OWNER into '$DB_NAME': $(tail -n 1 "$LOGS/db.out")"
            sleep 0.5
        done
    fi
}

start_own_database() {
    local socket
    socket=$(socket_path)
    if [ ! -d "$DIR/db/mysql" ]; then
        rm -rf "$DIR/db.new"
        step "Preparing the database" "$LOGS/install-db.log" mariadb-install-db --no-defaults --force "${db_user[@]}" \
            --datadir="$DIR/db.new" --auth-root-authentication-method=socket \
            --auth-root-socket-user="$(id -un)" --skip-test-db
        mv "$DIR/db.new" "$DIR/db"
    fi
    rm -f "$DIR/run/db.pid" "$DIR/run/db.pid.began"
    echo "$DB_PORT" >"$DIR/run/db-port"
    setsid mariadbd --no-defaults "${db_user[@]}" --datadir="$DIR/db" --tmpdir="$DIR/tmp" --socket="$socket" \
        --pid-file="$DIR/run/db.pid" --log-error="$LOGS/db.log" --bind-address=127.0.0.1 --port="$DB_PORT" \
        --skip-name-resolve --character-set-server=utf8mb4 --default-time-zone=+00:00 \
        --innodb-buffer-pool-size="$(pool_megabytes)M" "$@" \
        >>"$LOGS/db.out" 2>&1 </dev/null &
    db_pid=$!
    local tries=0
    until [ -s "$DIR/run/db.pid" ] && mariadb-admin --no-defaults --socket="$socket" ping >/dev/null 2>&1; do
        kill -0 "$db_pid" 2>/dev/null || {
            tail -n 10 "$LOGS/db.log" >&2
            fail "The database did not start. Its log is $LOGS/db.log."
        }
        tries=$((tries + 1))
        # After a crash it goes through its log first, which takes as long as it takes.
        [ $((tries % 300)) -ne 0 ] || say "The database lives and does not answer yet; its log is $LOGS/db.log."
        sleep 0.1
    done
    note "$DIR/run/db.pid"
    # The tables are the owner's; the application reads and writes rows and cannot undo what guards the record.
    mariadb --no-defaults --socket="$socket" <<EOF
create database if not exists elvaro character set utf8mb4;
create or replace user elvaro@127.0.0.1 identified by '$DB_PASSWORD';
grant select, insert, update, delete on \`elvaro%\`.* to elvaro@127.0.0.1;
create or replace user elvaro_owner@127.0.0.1 identified by '$DB_OWNER_PASSWORD';
grant all on \`elvaro%\`.* to elvaro_owner@127.0.0.1;
EOF
}

# What MariaDB may keep in memory: an eighth of the machine, 128 MB to 2 GB.
pool_megabytes() {
    awk '/^MemTotal/ { m = int($2 / 8192); print (m < 128 ? 128 : m > 2048 ? 2048 : m) }' /proc/meminfo
}

# The newest step the data have been through, and the newest one this Elvaro knows.
data_schema() { sql "select max(cast(version as unsigned)) from flyway_schema_history where success"; }

known_schema() {
    if packaged; then
        sed -n 's/^schema //p' "$HOME_DIR/version"
    else
        find "$HOME_DIR/server/src/main/resources/db/migration" -name 'V*__*.sql' | sed 's/.*\/V\([0-9]*\)__.*/\1/' | sort -n | tail -n 1
    fi
}

# A database of its own in a throw-away folder, for tests and benchmarks; further arguments go to mariadbd.
private_database() {
    DIR=$(mktemp -d /tmp/elvaro-XXXXXX)
    LOGS=$DIR/log HOUSE_KEY=$DIR/secret/house-key
    trap 'finish; rm -rf "$DIR"' EXIT
    trap 'exit 130' INT TERM
    DB_PORT=$(node -e 'const s = require("net").createServer().listen(0, "127.0.0.1", () => { console.log(s.address().port); s.close(); })')
    start_database "$@"
}
