# shellcheck shell=bash
# The same application on a server: PostgreSQL, Redis, nginx with php-fpm, workers. Read by bin/destino; docs/server.md explains it.

server_usage() {
  cat <<'TEXT'
Usage: bin/destino server [--only=web|work]
       bin/destino server backup|restore|export|import|password [ARGS]   the commands of the collection on the server that runs

  Sets up and runs the whole stack in the foreground: PostgreSQL, Redis, nginx with php-fpm, workers and the clock. With --only=web
  or --only=work a machine does one part of it; PostgreSQL and Redis are then those that DB_HOST and REDIS_HOST name.

  DESTINO_HOST, DESTINO_PORT   where it listens (127.0.0.1, 8080; 8443 with a certificate)
  DESTINO_CERT, DESTINO_KEY    files of a certificate and its key: the line is encrypted with them
  DESTINO_HOSTS                names under which it answers, with commas between them
  DESTINO_SERVER               folder of its data (storage/server)
  DESTINO_WORKERS              workers for long jobs (one for each processor)
TEXT
}

server_packages() {
  local missing=() version
  version=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')
  [ -n "${DB_HOST:-}" ] || [ -n "$(postgres_bin)" ] || missing+=(postgresql)
  [ -n "${REDIS_HOST:-}" ] || command -v redis-server >/dev/null || missing+=(redis-server)
  command -v pg_dump >/dev/null || missing+=(postgresql-client)
  command -v nginx >/dev/null || [ "${1:-}" = work ] || missing+=(nginx)
  command -v "php-fpm$version" >/dev/null || [ "${1:-}" = work ] || missing+=("php$version-fpm")
  local loaded; loaded=" $(php -m | tr '[:upper:]\n' '[:lower:] ') "
  [[ $loaded == *" pdo_pgsql "* ]] || missing+=("php$version-pgsql")
  [[ $loaded == *" redis "* ]] || missing+=("php$version-redis")
  need_packages "${missing[@]}"
}

postgres_bin() { find /usr/lib/postgresql/*/bin -name initdb -printf '%h\n' 2>/dev/null | sort -V | tail -1; }

# PostgreSQL is never run by root: where everything else is, it is run by the user that its package made.
as_postgres() { if [ "$(id -u)" -eq 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi; }

make_postgres() { # FOLDER: a cluster that listens at a socket in FOLDER/run only, where nobody else gets in
  local bin; bin=$(postgres_bin)
  mkdir -p "$1/run"; chmod 700 "$1" "$1/run"
  [ "$(id -u)" -ne 0 ] || chown -R postgres "$1"
  [ -f "$1/data/PG_VERSION" ] || as_postgres "$bin/initdb" -D "$1/data" -U destino -A trust -E UTF8 --locale=C.UTF-8 >/dev/null \
    || fail "PostgreSQL could not make its files in $1."
}

run_postgres() { # FOLDER [OPTIONS…]
  local folder=$1; shift
  as_postgres "$(postgres_bin)/postgres" -D "$folder/data" -c listen_addresses= -k "$folder/run" "$@" 2>>"$folder/run/postgres.log"
}

wait_for() { # WHAT COMMAND…
  local what=$1; shift
  for _ in $(seq 150); do "$@" >/dev/null 2>&1 && return 0; sleep 0.2; done
  fail "$what does not answer."
}

filled() { # TEMPLATE TARGET: what stands between @ signs is filled in
  sed -e "s|@ROOT@|$ROOT|g" -e "s|@RUN@|$RUN|g" -e "s|@DATA@|$DATA|g" -e "s|@LISTEN@|$LISTEN|g" -e "s|@TLS@|$TLS|g" \
    -e "s|@HTTPS@|$HTTPS|g" -e "s|@CHILDREN@|$(($(nproc) * 3))|g" -e "s|@USER@|$POOL_USER|g" -e "s|@LISTENER@|$LISTENER|g" \
    -e "s|@NGINX_USER@|$NGINX_USER|g" "$1" >"$2"
}

server_settings() {
  DATA=${DESTINO_SERVER:-$ROOT/storage/server}; mkdir -p "$DATA/run" "$DATA/redis"; chmod 700 "$DATA/run"
  DATA=$(cd "$DATA" && pwd); RUN=$DATA/run
  HOST=${DESTINO_HOST:-127.0.0.1}; TLS=''; HTTPS=''; POOL_USER=''; LISTENER=''; NGINX_USER=''; local scheme=http
  if [ -n "${DESTINO_CERT:-}${DESTINO_KEY:-}" ]; then
    [ -r "${DESTINO_CERT:-}" ] && [ -r "${DESTINO_KEY:-}" ] || fail "DESTINO_CERT and DESTINO_KEY name a certificate and its key, and both files must be readable."
    TLS="ssl_certificate $(readlink -f "$DESTINO_CERT"); ssl_certificate_key $(readlink -f "$DESTINO_KEY"); ssl_protocols TLSv1.2 TLSv1.3;"
    HTTPS=on; scheme=https; PORT=${PORT:-8443}; export SESSION_SECURE_COOKIE=true
  fi
  PORT=${PORT:-8080}; check_address
  LISTEN="$HOST:$PORT$([ -z "$TLS" ] || echo ' ssl')"
  if [ "$(id -u)" -eq 0 ]; then POOL_USER='user = root'; LISTENER='listen.owner = www-data'; NGINX_USER='user www-data;'; chmod 711 "$DATA" "$RUN"; fi
  export DESTINO_BACKUPS=${DESTINO_BACKUPS:-$DATA/backups}
  export APP_ENV=production APP_URL="$scheme://$HOST:$PORT" DESTINO_COLLECTION=own SESSION_COOKIE=destino_own
  export DB_CONNECTION=pgsql DB_USERNAME=${DB_USERNAME:-destino} DB_DATABASE=${DB_DATABASE:-destino}
  export QUEUE_CONNECTION=redis CACHE_STORE=redis SESSION_DRIVER=redis
  # Who waits for another writer waits a bounded time, and is told to try again.
  export PGOPTIONS='-c lock_timeout=15000'
}

# Everything that was started, so that the end of one part, or a signal, ends all of it.
PARTS=()
part() { set -m; "$@" & PARTS+=($!); set +m; }
end_parts() {
  trap - EXIT
  local signal pid left
  for signal in TERM INT KILL; do # PostgreSQL waits for whoever is connected after the first, and for nobody after the second
    for pid in "${PARTS[@]}"; do kill "-$signal" -- "-$pid" 2>/dev/null || true; done
    for _ in $(seq 15); do
      left=''; for pid in "${PARTS[@]}"; do if kill -0 -- "-$pid" 2>/dev/null; then left=1; fi; done
      [ -n "$left" ] || return 0; sleep 0.2
    done
  done
}

start_data() {
  if [ -z "${DB_HOST:-}" ]; then
    make_postgres "$DATA/postgres"
    part run_postgres "$DATA/postgres"
    export DB_HOST=$DATA/postgres/run
    wait_for PostgreSQL pg_isready -q -h "$DB_HOST" -U destino
    psql -h "$DB_HOST" -U destino -d postgres -Atc "select 1 from pg_database where datname = 'destino'" | grep -q 1 || createdb -h "$DB_HOST" -U destino destino
  fi
  if [ -z "${REDIS_HOST:-}" ]; then
    filled "$ROOT/server/redis.conf" "$RUN/redis.conf"
    part redis-server "$RUN/redis.conf"
    export REDIS_HOST=$RUN/redis.sock REDIS_PORT=0
    wait_for Redis redis-cli -s "$REDIS_HOST" ping
  fi
}

start_web() {
  local version; version=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')
  filled "$ROOT/server/php-fpm.conf" "$RUN/php-fpm.conf"
  filled "$ROOT/server/nginx.conf" "$RUN/nginx.conf"
  local as=(); [ "$(id -u)" -ne 0 ] || as=(-R)
  part "php-fpm$version" "${as[@]}" -y "$RUN/php-fpm.conf" -d opcache.validate_timestamps=0 -d opcache.jit=disable -d opcache.jit_buffer_size=0
  part nginx -c "$RUN/nginx.conf" -e "$RUN/nginx.log"
  wait_for "the web server" php -r 'exit(@fsockopen($argv[1], (int) $argv[2]) ? 0 : 1);' "$HOST" "$PORT"
}

start_work() {
  part keep_working quick
  for _ in $(seq "${DESTINO_WORKERS:-$(nproc)}"); do part keep_working quick,default,later; done
  part keep_time
}

# What stands on a server that runs, for commands beside it.
on_server() { # COMMAND [ARGS…]
  server_settings
  [ -n "${DB_HOST:-}" ] || export DB_HOST=$DATA/postgres/run
  if [ -z "${REDIS_HOST:-}" ]; then export REDIS_HOST=$RUN/redis.sock REDIS_PORT=0; fi
  pg_isready -q -h "$DB_HOST" -U "$DB_USERNAME" || fail "no server of this collection answers: start it with bin/destino server."
  local command=$1; shift
  exec "${ARTISAN[@]}" "destino:$command" "$@"
}

server() {
  local only=''
  case "${1:-}" in backup|restore|export|import|password|token|replan) on_server "$@" ;; esac
  case "${1:-}" in '') ;; --only=web|--only=work) only=${1#--only=} ;; --help) server_usage; exit 0 ;; *) server_usage; exit 1 ;; esac
  if [ -n "$only" ] && { [ -z "${DB_HOST:-}" ] || [ -z "${REDIS_HOST:-}" ]; }; then
    fail "a machine that does one part only needs DB_HOST and REDIS_HOST: where PostgreSQL and Redis are."
  fi
  one_at_a_time; setup; server_settings; server_packages "$only"
  trap end_parts EXIT; trap 'exit 0' INT TERM HUP
  start_data
  "${ARTISAN[@]}" migrate --force --quiet --isolated || fail "the database could not be brought up to date."
  others_may
  [ "$only" = work ] || start_web
  [ "$only" = web ] || start_work
  [ "$only" = work ] || printf '\nDestino is at %s  (Ctrl+C ends it)\n' "$APP_URL"
  if [ -z "$TLS" ] && [ "$HOST" != 127.0.0.1 ] && [ "$only" != work ]; then
    printf 'The line is not encrypted: who listens in this network reads passwords and records. DESTINO_CERT and DESTINO_KEY name a certificate; docs/server.md says how.\n'
  fi
  wait -n "${PARTS[@]}" || true
  fail "a part of the server has ended, and the rest with it; $RUN has what they said."
}

# All tests on a PostgreSQL that is made for them and goes with them; those of the whole stack too.
test_on_postgres() {
  server_packages
  local folder; folder=$(mktemp -d); chmod 711 "$folder"
  trap 'end_parts; rm -rf "'"$folder"'"' EXIT; trap 'exit 130' INT TERM HUP
  make_postgres "$folder/postgres"
  part run_postgres "$folder/postgres" -c fsync=off -c synchronous_commit=off -c full_page_writes=off
  export DESTINO_TEST_DATABASE=pgsql DESTINO_TEST_HOST=$folder/postgres/run
  wait_for PostgreSQL pg_isready -q -h "$DESTINO_TEST_HOST" -U destino
  local worker; for worker in $(seq "$(nproc)"); do createdb -h "$DESTINO_TEST_HOST" -U destino "destino_$worker"; done
  say "running the tests on PostgreSQL"
  if [ $# -gt 0 ]; then php vendor/bin/phpunit "$@"; return; fi
  php vendor/bin/paratest -p "$(nproc)" --order-by random --testsuite Feature,Browser,Server --passthru-php="${COMPILED[*]}"
}
