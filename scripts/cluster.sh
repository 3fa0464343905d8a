# Three databases that copy each other (Galera, Debian's own), two servers and a proxy, all on this machine: for trying what happens when one of
# them goes. Read by vanemend; $run is the folder that all of it lies in.

cluster_nodes=(1 2 3)
cluster_servers=(1 2)

# The databases take each other's copies as somebody who is not root: rsync would not be let in otherwise.
cluster_owner() {
    if [ "$(id -u)" -eq 0 ]; then printf mysql; else id -un; fi
}

as_cluster_owner() {
    if [ "$(id -u)" -eq 0 ]; then runuser -u mysql -- "$@"; else "$@"; fi
}

cluster_sql() {
    local node=$1
    shift
    as_cluster_owner mariadb --no-defaults --socket="$run/node-$node.sock" -u "$(cluster_owner)" "$@"
}

# Ports of node $1, kept from the first start on: its own, Galera's, a whole copy's, a part's.
cluster_ports() {
    local node=$1 file=$run/node-$1.ports
    [ -s "$file" ] || {
        local from=$((14500 + RANDOM % 800 * 20 + node * 4))
        while taken "$from" || taken $((from + 1)) || taken $((from + 2)) || taken $((from + 3)); do from=$((from + 20)); done
        printf '%s %s %s %s\n' "$from" $((from + 1)) $((from + 2)) $((from + 3)) >"$file"
    }
    cat "$file"
}

cluster_settings() {
    local node=$1 port group whole part all=() n
    read -r port group whole part <<<"$(cluster_ports "$node")"
    for n in "${cluster_nodes[@]}"; do all+=("127.0.0.1:$(cluster_ports "$n" | cut -d' ' -f2)"); done
    cat <<CNF
[mysqld]
datadir=$run/node-$node
socket=$run/node-$node.sock
port=$port
bind-address=127.0.0.1
pid-file=$run/node-$node.server-pid
skip-name-resolve
character-set-server=utf8mb4
default-time-zone=+00:00
sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION
innodb-buffer-pool-size=64M
max-connections=200
binlog-format=ROW
innodb-autoinc-lock-mode=2
log-bin-trust-function-creators=1
wsrep-on=ON
wsrep-provider=$(ls /usr/lib/galera/libgalera_smm.so /usr/lib/*/galera*/libgalera_smm.so 2>/dev/null | head -n 1)
wsrep-cluster-name=vanemend
wsrep-cluster-address=gcomm://$(IFS=,; printf '%s' "${all[*]}")
wsrep-node-name=node-$node
wsrep-node-address=127.0.0.1:$group
wsrep-node-incoming-address=127.0.0.1:$port
wsrep-sst-method=rsync
wsrep-sst-receive-address=127.0.0.1:$whole
wsrep-provider-options="gmcast.listen_addr=tcp://127.0.0.1:$group;ist.recv_addr=127.0.0.1:$part;ist.recv_bind=127.0.0.1:$part;gcache.size=32M;pc.recovery=true;evs.keepalive_period=PT0.3S;evs.inactive_check_period=PT0.3S;evs.suspect_timeout=PT1S;evs.inactive_timeout=PT3S;evs.install_timeout=PT3S"
CNF
}

# Where node $1 stood when it was last up: the set's name and the last change it has, as the database reads it off its own files.
cluster_position() {
    as_cluster_owner "$(database_server)" --defaults-file="$run/node-$1.cnf" --wsrep-recover --log-error="$run/node-$1.recover" >/dev/null 2>&1 || true
    sed -n 's/.*Recovered position: *\([^ ]*\).*/\1/p' "$run/node-$1.recover" | tail -n 1
}

database_server() {
    command -v mariadbd || printf /usr/sbin/mariadbd
}

# Starts node $1; with --wsrep-new-cluster it is the first.
cluster_node_up() {
    local node=$1 pid i where=()
    shift
    alive "$run/node-$node.pid" && return 0
    for i in $(seq 50); do pgrep -f -- "--defaults-file=$run/node-$node.cnf" >/dev/null || break; sleep 0.1; done
    if [ ! -d "$run/node-$node" ]; then
        as_cluster_owner cp -r "$run/empty" "$run/node-$node"
    elif [ $# -eq 0 ]; then
        local position
        position=$(cluster_position "$node")
        [ -z "$position" ] || where=("--wsrep-start-position=$position")
    fi
    as_cluster_owner "$(database_server)" --defaults-file="$run/node-$node.cnf" "$@" "${where[@]}" </dev/null >>"$run/node-$node.log" 2>&1 &
    disown
    for i in $(seq 600); do
        [ "$(cluster_sql "$node" -N -e "SHOW STATUS LIKE 'wsrep_local_state_comment'" 2>/dev/null | cut -f2)" = Synced ] && break
        [ "$i" -lt 50 ] || pgrep -f -- "--defaults-file=$run/node-$node.cnf" >/dev/null || fail "database node $node did not start: see $run/node-$node.log"
        [ "$i" -eq 600 ] && fail "database node $node does not join the others: see $run/node-$node.log"
        sleep 0.1
    done
    pid=$(as_cluster_owner cat "$run/node-$node.server-pid")
    printf '%s' "$pid" >"$run/node-$node.pid"
}

cluster_databases() {
    local node first=1 best=-1 at
    if [ ! -d "$run/empty" ]; then
        (cd "$run" && as_cluster_owner mariadb-install-db --no-defaults --datadir=./empty --auth-root-authentication-method=socket \
            --auth-root-socket-user="$(cluster_owner)" --skip-test-db) >"$run/install.log" 2>&1 || fail "the database could not be made: see $run/install.log"
        (umask 077 && secret >"$run/db-password" && secret >"$run/db-owner-password")
    fi
    for node in "${cluster_nodes[@]}"; do cluster_ports "$node" >/dev/null; done
    for node in "${cluster_nodes[@]}"; do cluster_settings "$node" >"$run/node-$node.cnf"; done
    local up=0
    for node in "${cluster_nodes[@]}"; do alive "$run/node-$node.pid" && up=1; done
    if [ "$up" -eq 0 ]; then
        # Of databases that all stood still the one that knows most goes first, and the others follow it.
        for node in "${cluster_nodes[@]}"; do
            [ -d "$run/node-$node" ] || continue
            at=$(cluster_position "$node")
            if [ "${at##*:}" -gt "$best" ] 2>/dev/null; then best=${at##*:} first=$node; fi
        done
        if [ -f "$run/node-$first/grastate.dat" ]; then
            as_cluster_owner sed -i 's/^safe_to_bootstrap:.*/safe_to_bootstrap: 1/' "$run/node-$first/grastate.dat"
            as_cluster_owner rm -f "$run/node-$first/gvwstate.dat"
        fi
        cluster_node_up "$first" --wsrep-new-cluster
        cluster_sql "$first" <<SQL || fail "the database's accounts could not be made"
CREATE DATABASE IF NOT EXISTS vanemend CHARACTER SET utf8mb4;
CREATE USER IF NOT EXISTS vanemend@'127.0.0.1' IDENTIFIED BY '$(cat "$run/db-password")';
CREATE USER IF NOT EXISTS vanemend_owner@'127.0.0.1' IDENTIFIED BY '$(cat "$run/db-owner-password")';
GRANT ALL ON \`vanemend%\`.* TO vanemend_owner@'127.0.0.1';
GRANT SELECT, INSERT, UPDATE, DELETE ON \`vanemend%\`.* TO vanemend@'127.0.0.1';
SQL
    fi
    for node in "${cluster_nodes[@]}"; do cluster_node_up "$node"; done
    local hosts=()
    for node in "${cluster_nodes[@]}"; do hosts+=("127.0.0.1:$(cluster_ports "$node" | cut -d' ' -f1)"); done
    # Whatever was kept on one node is read on every other: a read waits for what is on its way.
    printf 'sequential://%s/vanemend?sessionVariables=wsrep_sync_wait=1' "$(IFS=,; printf '%s' "${hosts[*]}")" >"$run/db.url"
}

cluster_server_up() {
    local server=$1 what=start
    [ "$server" -eq 1 ] && what=demo
    VANEMEND_BUILT=1 VANEMEND_RUN=$run/server-$server VANEMEND_WITH=$run VANEMEND_PROXY=127.0.0.1 \
        VANEMEND_PORT=$(cluster_server_port "$server") bash "$root/vanemend" "$what" >"$run/server-$server.log" 2>&1 ||
        fail "server $server did not start: see $run/server-$server.log"
}

cluster_server_port() {
    [ -s "$run/server-$1.port" ] || printf '%s' "$(free_port $((8280 + RANDOM % 500 + $1)))" >"$run/server-$1.port"
    cat "$run/server-$1.port"
}

cluster_proxy_settings() {
    local server
    cat <<CONF
daemon off;
pid $run/proxy.server-pid;
error_log $run/proxy.log;
events {}
http {
    access_log off;
    client_max_body_size 12m;
    client_body_temp_path $run/proxy-body;
    proxy_temp_path $run/proxy-temp;
    fastcgi_temp_path $run/proxy-fastcgi;
    uwsgi_temp_path $run/proxy-uwsgi;
    scgi_temp_path $run/proxy-scgi;
    upstream vanemend {
        zone vanemend 64k;
$(for server in "${cluster_servers[@]}"; do printf '        server 127.0.0.1:%s max_fails=1 fail_timeout=2s;\n' "$(cluster_server_port "$server")"; done)
        keepalive 32;
    }
    server {
        listen 127.0.0.1:$1;
        location / {
            proxy_pass http://vanemend;
            proxy_http_version 1.1;
            proxy_set_header Host \$http_host;
            proxy_set_header Connection "";
            proxy_set_header X-Forwarded-For \$remote_addr;
            proxy_set_header X-Forwarded-Proto \$scheme;
            proxy_connect_timeout 1s;
            proxy_next_upstream error timeout non_idempotent;
        }
        location ~ ^/api/(stream|devices/stream)\$ {
            proxy_pass http://vanemend;
            proxy_http_version 1.1;
            proxy_set_header Host \$http_host;
            proxy_set_header Connection "";
            proxy_set_header X-Forwarded-For \$remote_addr;
            proxy_buffering off;
            proxy_read_timeout 1h;
        }
    }
}
CONF
}

cluster_proxy_up() {
    alive "$run/proxy.pid" && return 0
    [ -s "$run/proxy.port" ] || free_port "${VANEMEND_PORT:-8180}" >"$run/proxy.port"
    cluster_proxy_settings "$(cat "$run/proxy.port")" >"$run/proxy.conf"
    local nginx
    nginx=$(command -v nginx || printf /usr/sbin/nginx)
    "$nginx" -p "$run" -c "$run/proxy.conf" </dev/null >>"$run/proxy.log" 2>&1 &
    printf '%s' $! >"$run/proxy.pid"
    disown
}

cluster_demo() {
    need_packages mariadbd=mariadb-server mvn=maven curl=curl pgrep=procps rsync=rsync socat=socat nginx=nginx
    need_java
    need_node
    mkdir -p "$run"
    chmod 755 "$run"
    [ "$(id -u)" -ne 0 ] || chown mysql "$run"
    as_cluster_owner test -x "$run" || fail "$run cannot be reached by the user mysql: set VANEMEND_RUN to a folder that it may enter"
    build
    say "Three databases ..."
    cluster_databases
    say "Two servers ..."
    # One after the other: the first lays out the tables.
    for server in "${cluster_servers[@]}"; do cluster_server_up "$server"; done
    cluster_proxy_up
    say ""
    say "Vane Mend is at http://127.0.0.1:$(cat "$run/proxy.port"), through the proxy to two servers on three databases"
    say "  servers      $(for server in "${cluster_servers[@]}"; do printf 'http://127.0.0.1:%s  ' "$(cluster_server_port "$server")"; done)"
    say "  databases    $(for node in "${cluster_nodes[@]}"; do printf '127.0.0.1:%s  ' "$(cluster_ports "$node" | cut -d' ' -f1)"; done)"
    say "  sign in as   isla (lead) · tam, priya (technicians) · joss (apprentice)"
    say "  password     $(cat "$run/server-1/demo-password")"
    say ""
    say "  ./vanemend cluster kill NAME ends one as a power cut would, cluster heal NAME brings it back: node-1 to 3, server-1 and 2"
    say "  ./vanemend cluster stop ends it; the data stay in $run"
}

cluster_known() {
    case "$1" in
        node-[123]) printf '%s' "$run/$1.pid" ;;
        server-[12]) printf '%s' "$run/$1/app.pid" ;;
        *) fail "expected one of node-1, node-2, node-3, server-1, server-2, not $1" ;;
    esac
}

cluster_kill() {
    local file
    file=$(cluster_known "$1")
    alive "$file" || fail "$1 is not running"
    kill -9 "$(cat "$file")"
}

cluster_heal() {
    cluster_known "$1" >/dev/null
    case "$1" in
        node-*) cluster_node_up "${1#node-}" ;;
        server-*) need_java && cluster_server_up "${1#server-}" ;;
    esac
}

cluster_stop() {
    local one
    end_process "$run/proxy.pid" "$run/proxy.conf" || true
    for one in "${cluster_servers[@]}"; do end_process "$run/server-$one/app.pid" "$run/server-$one/app" || true; done
    # The last to go knows everything and goes first the next time.
    for one in 3 2 1; do end_process "$run/node-$one.pid" "--defaults-file=$run/node-$one.cnf" || true; done
    say "Ended the proxy, the servers and their databases."
}
