# What must be there, and steps that take a while. Read by ../elvaro.

say() { printf '%s\n' "$*"; }

fail() {
    printf 'elvaro: %s\n' "$*" >&2
    WHY=$*
    exit 1
}

need_tools() {
    command -v java >/dev/null || fail "Java is missing. Install a JDK 17 or newer (Debian: openjdk-17-jdk-headless)."
    local version
    version=$(java -version 2>&1 | sed -n 's/.*version "\([0-9]*\).*/\1/p' | head -n 1)
    [ "${version:-0}" -ge 17 ] || fail "Java ${version:-?} is too old. Elvaro needs JDK 17 or newer."
    [ -z "$JAR" ] && ! packaged || return 0
    command -v javac >/dev/null || fail "This Java has no compiler. Install a JDK 17 (Debian: openjdk-17-jdk-headless)."
    command -v mvn >/dev/null || fail "Maven is missing. Install it (Debian: maven)."
    command -v node >/dev/null || fail "Node is missing. Install Node 20."
    [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "Node $(node -v) is too old. Install Node 20."
    command -v npm >/dev/null || fail "npm is missing. It comes with Node 20."
}

# MB, for what: a house that is there asks for little, so that it opens on a disk that is filling.
need_disk() {
    mkdir -p "$DIR" 2>/dev/null || fail "The folder $DIR cannot be made. Choose another with --dir."
    [ -w "$DIR" ] || fail "The folder $DIR cannot be written to. Choose another with --dir."
    local free
    free=$(free_megabytes "$DIR")
    [ "$free" -ge "$1" ] || fail "Only $free MB are free under $DIR; $1 MB are needed $2. Make room or choose another --dir."
}

free_megabytes() { df -Pk "$1" | awk 'NR == 2 { print int($4 / 1024) }'; }

# To build and prepare a house, or to open one that is there.
need_disk_to_start() {
    if { [ -d "$DIR/db/mysql" ] || ! own_database; } && { [ -n "$JAR" ] || packaged || [ "$(cat "$DIR/build.stamp" 2>/dev/null)" = "$(source_stamp)" ]; }; then
        need_disk 200 "to open the house"
    else
        need_disk 1000 "to build and prepare it"
    fi
}

port_open() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

need_port() {
    [[ $2 =~ ^[0-9]+$ ]] && [ "$2" -ge 1 ] && [ "$2" -le 65535 ] || fail "'$2' is no port for the $1."
    ! port_open "$2" || fail "Port $2 for the $1 is in use. End what uses it or choose another with $3."
}

free_port() {
    local port
    while port=$((20000 + RANDOM % 20000)) && port_open "$port"; do :; done
    echo "$port"
}

# Runs a command with its output in a log; shows that it lives, and the end of the log if it fails.
step() {
    local name=$1 log=$2 began=$SECONDS pid shown=0
    shift 2
    mkdir -p "$(dirname "$log")"
    printf '%s …' "$name"
    "$@" >"$log" 2>&1 &
    pid=$!
    while kill -0 "$pid" 2>/dev/null; do
        sleep 0.2
        if [ $((SECONDS - began)) -ge $((shown + 5)) ]; then
            shown=$((SECONDS - began))
            printf ' %ds' "$shown"
        fi
    done
    if wait "$pid"; then
        printf ' done (%d s)\n' $((SECONDS - began))
    else
        printf ' failed\n'
        tail -n 25 "$log" >&2
        fail "$name failed. The whole log is in $log."
    fi
}

as_root() {
    if [ "$(id -u)" = 0 ]; then
        "$@"
    else
        command -v sudo >/dev/null || fail "To install packages, run this as root or install sudo."
        sudo "$@"
    fi
}

install_packages() {
    local missing=("$@")
    [ "$(id -u)" = 0 ] || as_root -v || fail "Installing ${missing[*]} needs sudo."
    step "Installing ${missing[*]}" "$LOGS/apt.log" as_root env DEBIAN_FRONTEND=noninteractive sh -c \
        'apt-get -q update && apt-get -q install -y --no-install-recommends "$@"' sh "${missing[@]}"
}

find_mariadbd() {
    PATH=$PATH:/usr/sbin
    command -v mariadbd >/dev/null && command -v mariadb-install-db >/dev/null && command -v mariadb-admin >/dev/null
}

need_database() {
    if own_database; then
        find_mariadbd || install_packages mariadb-server-core mariadb-client
    else
        command -v mariadb-dump >/dev/null || install_packages mariadb-client
    fi
}

# What the tests look with: a browser, and programs not ours that read what Elvaro writes.
need_readers() {
    local missing=()
    command -v chromium-headless-shell >/dev/null || missing+=(chromium-headless-shell)
    command -v openssl >/dev/null || missing+=(openssl)
    command -v zbarimg >/dev/null || missing+=(zbar-tools)
    command -v pdftoppm >/dev/null || missing+=(poppler-utils)
    command -v csvclean >/dev/null || missing+=(csvkit)
    command -v soffice >/dev/null || missing+=(libreoffice-calc-nogui)
    python3 -c 'import jsonschema' 2>/dev/null || missing+=(python3-jsonschema)
    command -v socat >/dev/null || missing+=(socat)
    local broker=no
    command -v mosquitto_pub >/dev/null || missing+=(mosquitto-clients)
    [ -x /usr/sbin/mosquitto ] || { missing+=(mosquitto); broker=yes; }
    [ ${#missing[@]} -eq 0 ] || install_packages "${missing[@]}"
    # The tests start one of their own; the package's would go on running.
    [ $broker = no ] || ! command -v systemctl >/dev/null || as_root systemctl disable --now mosquitto >/dev/null 2>&1 || true
}
