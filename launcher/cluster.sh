# Several machines on one, for trying and for tests: three database nodes (Galera), two application nodes and a balancer, on
# the loopback addresses 127.0.0.1 to 3. docs/scale.md lays the same over real machines. Read by ../elvaro.

DB_NODES=(1 2 3)
APP_NODES=(1 2)
GALERA=/usr/lib/galera/libgalera_smm.so

need_cluster() {
    need_database
    local missing=()
    [ -e "$GALERA" ] || missing+=(galera-4)
    command -v mariadb-backup >/dev/null || missing+=(mariadb-backup)
    command -v socat >/dev/null || missing+=(socat)
    [ -x /usr/sbin/haproxy ] || missing+=(haproxy)
    [ ${#missing[@]} -eq 0 ] || install_packages "${missing[@]}"
}

# Where each is; of the databases the balancer's door is what the applications know.
database_door() { echo $((DB_PORT + 4)); }
application_port() { echo $((HTTP_PORT + 1)); }

cmd_cluster() {
    own_database || fail "A cluster for trying makes its own databases; ELVARO_DB_URL names another."
    [ "$TLS" = no ] || fail "The cluster for trying is not encrypted; docs/scale.md says how one on real machines is."
    need_tools
    need_disk 2000 "for three databases"
    ! running || fail "Elvaro runs already in $DIR. './elvaro stop' ends it."
    ! left_behind || end_parts
    [ ! -d "$DIR/db/mysql" ] || fail "The folder $DIR holds a house of one machine. Choose another with --dir."
    need_cluster
    need_port "balancer" "$HTTP_PORT" --http-port
    need_port "databases' door" "$(database_door)" --db-port
    build
    mkdir -p "$DIR/run" "$LOGS" "$DIR/tmp"
    note "$DIR/run/launcher.pid" $$
    address >"$DIR/run/address"
    echo "$HTTP_PORT" >"$DIR/run/http-port"
    trap finish_cluster EXIT
    trap 'say ""; say "Ending …"; exit 0' INT TERM
    settle
    secret db-password 24 >/dev/null
    secret db-owner-password 24 >/dev/null
    write_balancer
    open_databases
    start_balancer
    [ -n "$JAR" ] || DB_PORT=$(database_door) class_archive
    # One after the other: the first makes the tables and the demo.
    local node
    for node in "${APP_NODES[@]}"; do
        start_node "$node"
        printf 'Starting application node %s …' "$node"
        local began=$SECONDS
        until answers_at "127.0.0.$node" "$(application_port)" readiness; do
            lives "$DIR/run/app$node.pid" || fail "It did not start. Its log is $LOGS/app$node.log."
            sleep 0.2
        done
        printf ' done (%d s)\n' $((SECONDS - began))
    done
    cat "$LOGS/app1.log" "$LOGS/app2.log" >"$LOGS/app.log" # the code for the first visit is that of the last to start
    until health; do sleep 0.2; done
    start_devices
    announce
    say "  Kill what you like of $DIR/run/{db1,db2,db3,app1,app2,balancer}.pid: it is started again."
    say ""
    keep_cluster
}

# What dies is started again, however often: that is what it is for.
keep_cluster() {
    local node
    while sleep 0.5; do
        lives "$DIR/run/balancer.pid" || start_balancer
        for node in "${DB_NODES[@]}"; do
            lives "$DIR/run/db$node.pid" || join_node "$node"
        done
        for node in "${APP_NODES[@]}"; do
            lives "$DIR/run/app$node.pid" || start_node "$node"
        done
    done
}

finish_cluster() {
    trap - EXIT INT TERM
    local part
    for part in scale probes app1 app2 balancer db3 db2 db1; do
        end "$DIR/run/$part.pid"
    done
    rm -f "$DIR/run/launcher.pid" "$DIR/run/launcher.pid.began" "$DIR/run/probes" "$DIR/run/laid"
}

# --- databases ----------------------------------------------------------------------------------------------------------

# The first time node 1 begins and the others copy it. After an orderly end the last to go begins. After a crash of all of them
# they remember who was there and find one another.
open_databases() {
    local node first=''
    if [ ! -d "$DIR/db1/mysql" ]; then
        step "Preparing the first database" "$LOGS/install-db.log" mariadb-install-db --no-defaults --force "${db_user[@]}" \
            --datadir="$DIR/db1" --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db
        first=1
    else
        for node in "${DB_NODES[@]}"; do
            ! grep -qs '^safe_to_bootstrap: 1' "$DIR/db$node/grastate.dat" || first=$node
        done
    fi
    printf 'Starting the databases …'
    local began=$SECONDS
    if [ -n "$first" ]; then
        run_database "$first" --wsrep-new-cluster
        await_database "$first"
        make_users "$first"
    fi
    for node in "${DB_NODES[@]}"; do
        lives "$DIR/run/db$node.pid" || join_node "$node"
        [ -z "$first" ] || await_database "$node" # one after the other: each may copy from one that is there
    done
    for node in "${DB_NODES[@]}"; do await_database "$node"; done
    printf ' done (%d s)\n' $((SECONDS - began))
}

run_database() { # node, further arguments
    local node=$1 g=$((DB_PORT + 1)) ist=$((DB_PORT + 2)) sst=$((DB_PORT + 3)) all='' each
    shift
    for each in "${DB_NODES[@]}"; do all=$all${all:+,}127.0.0.$each:$g; done
    mkdir -p "$DIR/db$node" "$DIR/tmp/db$node"
    cat >"$DIR/db$node.cnf" <<EOF
[mariadbd]
datadir=$DIR/db$node
tmpdir=$DIR/tmp/db$node
socket=$(node_socket "$node")
log-error=$LOGS/db$node.log
bind-address=127.0.0.$node
port=$DB_PORT
skip-name-resolve
character-set-server=utf8mb4
default-time-zone=+00:00
innodb-buffer-pool-size=64M
binlog-format=ROW
innodb-autoinc-lock-mode=2
# What guards the record is triggers, and they write the same on every node.
log-bin-trust-function-creators=1
wsrep-on=ON
wsrep-provider=$GALERA
wsrep-cluster-name=elvaro
wsrep-cluster-address=gcomm://$all
wsrep-node-name=db$node
wsrep-node-address=127.0.0.$node:$g
wsrep-sst-method=mariabackup
wsrep-sst-auth=root:
wsrep-sst-receive-address=127.0.0.$node:$sst
wsrep-provider-options="gmcast.listen_addr=tcp://127.0.0.$node:$g;ist.recv_addr=127.0.0.$node:$ist;ist.recv_bind=127.0.0.$node:$ist;gcache.size=64M;gcache.recover=yes;evs.suspect_timeout=PT2S;evs.inactive_timeout=PT5S;evs.keepalive_period=PT0.5S"
[sst]
sst-syslog=-1
EOF
    setsid mariadbd --defaults-file="$DIR/db$node.cnf" "${db_user[@]}" "$@" >>"$LOGS/db$node.out" 2>&1 </dev/null &
    note "$DIR/run/db$node.pid" $!
}

# Goes on where it was: after a kill only it knows how far it came.
join_node() {
    local node=$1 position
    if [ -f "$DIR/db$node/ibdata1" ]; then
        position=$(mariadbd --defaults-file="$DIR/db$node.cnf" "${db_user[@]}" --wsrep-recover --disable-log-error 2>&1 |
            sed -n 's/.*Recovered position: *//p' | tail -n 1)
    fi
    run_database "$node" ${position:+--wsrep-start-position="$position"}
}

# A socket's path is short by law of the kernel.
node_socket() {
    mkdir -p "/tmp/elvaro-$(id -u)"
    printf '/tmp/elvaro-%s/%s-%s.sock' "$(id -u)" "$(printf '%s' "$DIR" | cksum | cut -d' ' -f1)" "$1"
}

await_database() {
    until [ "$(mariadb --no-defaults --socket="$(node_socket "$1")" -N -e "show status like 'wsrep_ready'" 2>/dev/null | cut -f2)" = ON ]; do
        lives "$DIR/run/db$1.pid" || fail "Database node $1 did not start. Its log is $LOGS/db$1.log."
        sleep 0.2
    done
}

make_users() {
    mariadb --no-defaults --socket="$(node_socket "$1")" <<EOF
create database if not exists elvaro character set utf8mb4;
create or replace user elvaro@127.0.0.1 identified by '$(secret db-password 24)';
grant select, insert, update, delete on \`elvaro%\`.* to elvaro@127.0.0.1;
create or replace user elvaro_owner@127.0.0.1 identified by '$(secret db-owner-password 24)';
grant all on \`elvaro%\`.* to elvaro_owner@127.0.0.1;
create or replace user elvaro_watch@127.0.0.1;
EOF
}

# --- applications and balancer ------------------------------------------------------------------------------------------

start_node() { # of the application
    local node=$1 run=(-jar "$JAR")
    [ -n "$JAR" ] || run=(-XX:SharedArchiveFile="$DIR/elvaro.jsa" -Xshare:auto -jar "$APP/elvaro.jar")
    keep_log "$LOGS/app$node.log"
    DB_PORT=$(database_door) database_words
    env "${DB_WORDS[@]}" ELVARO_NODES=${#APP_NODES[@]} ELVARO_HTTP_PORT="$(application_port)" ELVARO_BIND="127.0.0.$node" \
        ELVARO_FOLDER="$DIR" ELVARO_VERSION="$(version)" ELVARO_COMMAND="$(command_name)" ELVARO_DEMO="$DEMO" ELVARO_TRUSTED_PROXIES='127\.0\.0\.[0-9]+' \
        ELVARO_ADDRESS="${ELVARO_ADDRESS:-$(address)}" \
        ELVARO_DEMO_PASSWORD="${ELVARO_DEMO_PASSWORD:-$(secret demo-password 6)}" \
        ELVARO_DEMO_DEVICE_SECRET="$(secret demo-device 24)" \
        setsid java "${JVM[@]}" "${run[@]}" >>"$LOGS/app$node.log" 2>&1 </dev/null &
    note "$DIR/run/app$node.pid" $!
}

answers_at() { # address port what
    timeout 5 bash -c 'exec 3<>"/dev/tcp/$1/$2"
        printf "GET /actuator/health/$3 HTTP/1.0\r\nHost: localhost\r\n\r\n" >&3
        head -n 1 <&3 | grep -q " 200"' - "$1" "$2" "$3" 2>/dev/null
}

start_balancer() {
    setsid /usr/sbin/haproxy -db -f "$DIR/balancer.cfg" >>"$LOGS/balancer.log" 2>&1 </dev/null &
    note "$DIR/run/balancer.pid" $!
}

# In front of the applications it spreads; in front of the databases it knows one that is written to, and the next when that
# one is gone, and stays there when it comes back.
write_balancer() {
    local node
    {
        cat <<EOF
global
    maxconn 4000
defaults
    timeout connect 2s
    timeout client 75s
    timeout server 75s
    timeout check 1s
    option redispatch
    retries 3

frontend house
    mode http
    bind $BIND:$HTTP_PORT
    http-request del-header ^X-Forwarded- -m reg
    http-request set-header X-Forwarded-For %[src]
    default_backend applications

backend applications
    mode http
    balance roundrobin
    option httpchk GET /actuator/health/readiness
    # What never came to an application, or what it did not do, is given to the next; ids make it once.
    retry-on conn-failure empty-response 503
    default-server check inter 500 fall 2 rise 1 on-marked-down shutdown-sessions
EOF
        for node in "${APP_NODES[@]}"; do
            echo "    server app$node 127.0.0.$node:$(application_port)"
        done
        cat <<EOF

listen databases
    mode tcp
    bind 127.0.0.1:$(database_door)
    option mysql-check user elvaro_watch post-41
    stick-table type integer size 1k nopurge
    stick on int(1)
    default-server check inter 500 fall 2 rise 4 on-marked-down shutdown-sessions
EOF
        for node in "${DB_NODES[@]}"; do
            echo "    server db$node 127.0.0.$node:$DB_PORT$([ "$node" = 1 ] || echo ' backup')"
        done
    } >"$DIR/balancer.cfg"
}
