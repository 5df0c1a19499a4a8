# The application: built, prepared and started, with the simulated devices of the demo. Read by ../elvaro.

source_stamp() {
    (cd "$HOME_DIR" && find pom.xml core devices server web -type f \
        -not -path '*/target/*' -not -path '*/node_modules/*' -not -path 'web/src/api/schema.d.ts' \
        -not -path '*/src/test/*' -print0 | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
}

# Nothing is built where a ready application is named or was installed.
build() {
    [ -z "$JAR" ] && ! packaged || return 0
    local stamp
    stamp=$(source_stamp)
    [ "$(cat "$DIR/build.stamp" 2>/dev/null)" != "$stamp" ] || [ ! -f "$APP/elvaro.jar" ] || return 0
    rm -f "$DIR/build.stamp"
    npm_install
    step "Building (a few minutes the first time)" "$LOGS/build.log" \
        mvn -B -ntp -f "$HOME_DIR/pom.xml" -pl server -am -DskipTests -Dspotless.check.skip package
    rm -rf "$APP"
    step "Unpacking" "$LOGS/unpack.log" \
        java -Djarmode=tools -jar "$HOME_DIR/server/target/elvaro.jar" extract --destination "$APP"
    echo "$stamp" >"$DIR/build.stamp"
}

npm_install() {
    local lock=$HOME_DIR/web/package-lock.json
    cmp -s "$lock" "$HOME_DIR/web/node_modules/.elvaro-lock" 2>/dev/null && return 0
    step "Fetching the web app's packages" "$LOGS/npm.log" npm --prefix "$HOME_DIR/web" ci --no-audit --no-fund
    cp "$lock" "$HOME_DIR/web/node_modules/.elvaro-lock"
}

# A small machine carries it with a small heap and the quick compiler; ELVARO_MEMORY sets the heap, in MB. A house answers some
# thousand requests a day: on a larger one what is asked is compiled after a tenth of the calls a busy server would wait for.
jvm_options() {
    local machine heap
    machine=$(awk '/^MemTotal/ { print int($2 / 1024) }' /proc/meminfo)
    heap=${ELVARO_MEMORY:-$((machine < 4000 ? 256 : machine / 8 > 2048 ? 2048 : machine / 8 < 512 ? 512 : machine / 8))}
    [[ $heap =~ ^[0-9]+$ ]] && [ "$heap" -ge 128 ] || fail "ELVARO_MEMORY is the heap in MB, 128 or more, not '$heap'."
    # What is given back at once, and what is not taken at all, is what an idle house does not hold.
    JVM=(-Xms64m -Xmx"${heap}m" -Xss512k -XX:+UseSerialGC -XX:MinHeapFreeRatio=15 -XX:MaxHeapFreeRatio=30
        -XX:+IgnoreUnrecognizedVMOptions -XX:+UnlockDiagnosticVMOptions -XX:ArchiveRelocationMode=0
        -XX:+UnlockExperimentalVMOptions -XX:TrimNativeHeapInterval=10000 -XX:+ExitOnOutOfMemoryError)
    if [ "$heap" -gt 256 ]; then JVM+=(-XX:CompileThresholdScaling=0.1); else JVM+=(-Xmn24m -XX:TieredStopAtLevel=1); fi
    export MALLOC_ARENA_MAX=2
}

app_jar() { printf '%s' "${JAR:-$APP/elvaro.jar}"; }

# Whether this launcher was installed, with its application beside it.
packaged() { [ -f "$HOME_DIR/version" ]; }

version() {
    if packaged; then
        sed -n 's/^version //p' "$HOME_DIR/version"
    else
        sed -n '/<parent>/,/<\/parent>/d; s/.*<version>\(.*\)<\/version>.*/\1/p' "$HOME_DIR/pom.xml" | head -n 1
    fi
}

# How whoever looks after this house calls it.
command_name() { if packaged; then echo "sudo elvaro"; else echo ./elvaro; fi; }

# An archive of the loaded classes halves the start; it is made once after each build.
class_archive() {
    local made_for
    # Of another application, in another place, or with another Java it is of no use.
    made_for="$APP $(stat -c '%Y %s' "$APP/elvaro.jar") $(java -version 2>&1 | tail -n 1)"
    [ ! -f "$DIR/elvaro.jsa" ] || [ "$(cat "$DIR/elvaro.jsa.for" 2>/dev/null)" != "$made_for" ] || return 0
    rm -f "$DIR/elvaro.jsa" "$DIR/elvaro.jsa.for"
    (step "Preparing a quicker start" "$LOGS/archive.log" with_database env ELVARO_HTTP_PORT=0 \
        java "${JVM[@]}" -XX:TieredStopAtLevel=1 -XX:ArchiveClassesAtExit="$DIR/elvaro.jsa" -Dspring.context.exit=onRefresh -jar "$APP/elvaro.jar") ||
        { say "It starts without."; return 0; }
    echo "$made_for" >"$DIR/elvaro.jsa.for"
}

start_app() {
    local run=(-jar "$JAR")
    if [ -z "$JAR" ]; then
        class_archive
        run=(-XX:SharedArchiveFile="$DIR/elvaro.jsa" -Xshare:auto -jar "$APP/elvaro.jar")
    fi
    local port=$HTTP_PORT
    [ "$TLS" != yes ] || port=$TLS_PORT
    keep_log "$LOGS/app.log"
    database_words
    env "${DB_WORDS[@]}" ELVARO_HTTP_PORT="$port" ELVARO_BIND="$BIND" ELVARO_FOLDER="$DIR" ELVARO_DEMO="$DEMO" \
        ELVARO_VERSION="$(version)" ELVARO_COMMAND="$(command_name)" \
        ELVARO_DEMO_PASSWORD="${ELVARO_DEMO_PASSWORD:-$(secret demo-password 6)}" \
        ELVARO_DEMO_DEVICE_SECRET="$(secret demo-device 24)" "${APP_ENV[@]}" \
        setsid java "${JVM[@]}" "${run[@]}" >>"$LOGS/app.log" 2>&1 </dev/null &
    app_pid=$!
    note "$DIR/run/app.pid" "$app_pid"
    printf 'Starting …'
    local began=$SECONDS shown=0
    until health; do
        kill -0 "$app_pid" 2>/dev/null || {
            printf ' failed\n'
            tail -n 25 "$LOGS/app.log" >&2
            fail "The application did not start. Its log is $LOGS/app.log."
        }
        # While it lives it may take its time: a slow machine, a large step of the schema.
        if [ $((SECONDS - began)) -ge $((shown + 5)) ]; then
            shown=$((SECONDS - began))
            printf ' %ds' "$shown"
            [ $((shown % 180)) -ge 5 ] || printf ' (it lives; its log is %s)' "$LOGS/app.log"
        fi
        sleep 0.2
    done
    printf ' done (%d s)\n' $((SECONDS - began))
}

# Mailboxes and phones that are not there: the demo's messages go to them and are read on a page. Before the application,
# which is told how they are reached.
start_inbox() {
    [ "$DEMO" = yes ] && [ -z "$JAR" ] || return 0
    rm -f "$DIR/run/inbox"
    local mail=$((HTTP_PORT + 3)) page=$((HTTP_PORT + 4))
    ! port_open "$mail" && ! port_open "$page" || mail=0 page=0 # any that are free
    setsid java -Xmx48m -XX:TieredStopAtLevel=1 -cp "$APP/lib/*" elvaro.devices.Inbox \
        "$mail" "$page" "$DIR/secret/phones" "$DIR/run/inbox" maren idris pilar \
        >"$LOGS/inbox.log" 2>&1 </dev/null &
    note "$DIR/run/inbox.pid" $!
    local tries=0
    until [ -s "$DIR/run/inbox" ]; do
        tries=$((tries + 1))
        [ $tries -lt 100 ] && kill -0 $! 2>/dev/null || {
            say "The simulated mailboxes did not start; nothing is sent. Their log is $LOGS/inbox.log."
            return 0
        }
        sleep 0.1
    done
    APP_ENV+=(ELVARO_DEMO_INBOX="$DIR/run/inbox")
}

# The demo's chambers have probes that are not there, and there is a scale: programs of their own that speak as real ones
# would. The chest of ice has no probe. They run at what the scenario says they run at, not at what they are set to.
start_devices() {
    [ "$DEMO" = yes ] && [ -z "$JAR" ] || return 0
    local secret chamber java=(java -Xmx32m -XX:TieredStopAtLevel=1 -cp "$APP/lib/*")
    secret=$(secret demo-device 24)
    for chamber in "N 2 77" "S 1.5 83" "P 3 59" "G 3.5 80"; do
        printf '%s-%s NONE\n' "$secret" "$chamber"
    done >"$DIR/run/probes"
    setsid "${java[@]}" elvaro.devices.Probe \
        "http://127.0.0.1:$HTTP_PORT" "$DIR/run/probes" 60 >"$LOGS/probes.log" 2>&1 </dev/null &
    note "$DIR/run/probes.pid" $!
    echo 0 >"$DIR/run/laid"
    setsid "${java[@]}" elvaro.devices.Scale \
        "http://127.0.0.1:$HTTP_PORT" "$secret-scale" "$DIR/run/laid" 5 60 >"$LOGS/scale.log" 2>&1 </dev/null &
    note "$DIR/run/scale.pid" $!
}

# The application is ready once its runners (demo, one-time code) are through and while its database answers.
health() { answers_well readiness; }

answers_well() {
    timeout 10 bash -c 'exec 3<>"/dev/tcp/127.0.0.1/$1"
        printf "GET /actuator/health/$2 HTTP/1.0\r\nHost: localhost\r\n\r\n" >&3
        head -n 1 <&3 | grep -q " 200"' - "$HTTP_PORT" "$1" 2>/dev/null
}

first_code() { sed -n 's/^One-time code for the first visit: //p' "$LOGS/app.log" | tail -n 1; }

announce() {
    local code
    say ""
    say "  Elvaro is at  $(address)"
    if [ "$TLS" = yes ]; then
        say "  A phone comes to trust it at  http://$(reached_at):$HTTP_PORT/trust"
    else
        [ "$BIND" = 127.0.0.1 ] || say "  What is said to it, passwords too, goes through the network in the open: --tls encrypts it."
    fi
    code=$(first_code)
    if [ -n "$code" ]; then
        say "  One-time code for the first visit: $code"
    elif [ "$DEMO" = yes ]; then
        say "  Sign in as    maren@brackenrow.example  with  $(secret demo-password 6)"
        say "  bench hand:   idris@brackenrow.example  with the same password"
        [ ! -s "$DIR/run/inbox" ] || say "  What it sends is read at  http://127.0.0.1:$(sed -n 's/^page=//p' "$DIR/run/inbox")"
        [ ! -f "$DIR/run/laid" ] || say "  './elvaro lay 4.215' lays a weight on its simulated scale"
    fi
    say "  Ctrl-C ends it; data stay in $DIR"
    say ""
}

# Real probes and scales, in the foreground; it may run on another machine than the house.
cmd_bridge() {
    [ $# -eq 1 ] || fail "Say which file: './elvaro bridge bridge.yaml'. What stands in it: docs/connect.md."
    [ -r "$1" ] || fail "The file $1 cannot be read."
    need_tools
    need_disk_to_start
    build
    exec java -Xmx64m -XX:TieredStopAtLevel=1 -cp "$APP/lib/*" elvaro.devices.bridge.Bridge "$1"
}
