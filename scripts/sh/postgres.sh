# A private PostgreSQL: Debian's packages, a cluster of our own on 127.0.0.1, on a port of its own.
PG_BIN=
STARTED_CLUSTERS=()

apt_install() {
  local package=$1 why=$2
  say "Installing $package from Debian's packages ($why)"
  local how=()
  if [ "$(id -u)" != 0 ]; then
    command -v sudo >/dev/null && sudo -n true 2>/dev/null ||
      die "$package is missing and this user may not install it. Ask for:  apt-get install --no-install-recommends $package"
    how=(sudo)
  fi
  { "${how[@]}" apt-get update -qq && "${how[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$package"; } >"$STATE/apt.log" 2>&1 ||
    { tail -5 "$STATE/apt.log" >&2; die "Could not install $package: see .gritkeeper/apt.log"; }
}

find_postgres() {
  PG_BIN=
  local dir
  for dir in $(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V -r); do
    if [ -x "$dir/initdb" ] && [ -x "$dir/postgres" ]; then PG_BIN=$dir; return 0; fi
  done
  return 1
}

postgres_ready() {
  find_postgres && return
  # The package would make and start a cluster of its own; ours is private, so that one is not wanted.
  local dropin=/etc/postgresql-common/createcluster.d/gritkeeper.conf placed=0
  if [ "$(id -u)" = 0 ] && [ ! -e "$dropin" ]; then
    mkdir -p "$(dirname "$dropin")" && echo 'create_main_cluster = false' >"$dropin" && placed=1
  fi
  apt_install postgresql "the database server"
  [ "$placed" = 1 ] && rm -f "$dropin"
  find_postgres || die "postgresql was installed, but its initdb was not found under /usr/lib/postgresql."
}

chromium_ready() {
  [ -x /usr/bin/chromium ] || apt_install chromium "the browser for end-to-end tests"
}

# The server refuses root: it runs in a user namespace, where files stay root's; else as the user postgres.
AS_MODE=
as_mode() {
  [ -n "$AS_MODE" ] && return
  if [ "$(id -u)" != 0 ]; then AS_MODE=self
  elif unshare --user --map-user=1000 --map-group=1000 true 2>/dev/null; then AS_MODE=namespace
  else AS_MODE=postgres; fi
}

as() {
  as_mode
  case "$AS_MODE" in
    self) "$@" ;;
    namespace) unshare --user --map-user=1000 --map-group=1000 "$@" ;;
    postgres) (cd / && runuser -u postgres -- "$@") ;;
  esac
}

cluster_dir() {
  as_mode
  if [ "$AS_MODE" = postgres ]; then
    echo "/var/lib/postgresql/gritkeeper-$(printf %s "$ROOT" | sha256sum | cut -c1-10)-$1"
  else
    echo "$STATE/pg-$1"
  fi
}

cluster_secret() {
  if [ ! -s "$STATE/pg-$1.secret" ]; then
    (umask 077; node -e 'process.stdout.write(require("crypto").randomBytes(24).toString("hex"))' >"$STATE/pg-$1.secret")
  fi
  cat "$STATE/pg-$1.secret"
}

# For what is thrown away at the end: nothing is waited for until it is on the disk.
FORGETFUL='-c fsync=off -c synchronous_commit=off -c full_page_writes=off'

# cluster_start NAME PORT [OPTIONS]: the first free port from PORT; options of the server.
cluster_start() {
  local name=$1 base=$2 options=${3:-} dir secret port
  dir=$(cluster_dir "$name")
  secret=$(cluster_secret "$name")
  if [ ! -s "$STATE/pg-$name.made" ]; then
    say "Making a private database cluster"
    as rm -rf "$dir"
    local pwfile=$STATE/pg-$name.pwfile
    (umask 022; printf '%s\n' "$secret" >"$pwfile")
    if [ "$AS_MODE" = postgres ]; then
      install -m 600 -o postgres "$pwfile" /tmp/gritkeeper-pw.$$; mv "$pwfile" "$pwfile.old"; rm -f "$pwfile.old"; pwfile=/tmp/gritkeeper-pw.$$
    fi
    as "$PG_BIN/initdb" -D "$dir" -U app --auth=scram-sha-256 --pwfile="$pwfile" -E UTF8 --locale=C.UTF-8 >"$STATE/initdb.log" 2>&1 ||
      { tail -5 "$STATE/initdb.log" >&2; die "The cluster could not be made: see .gritkeeper/initdb.log"; }
    rm -f "$pwfile"
    echo yes >"$STATE/pg-$name.made"
  fi
  if as "$PG_BIN/pg_ctl" -D "$dir" status >/dev/null 2>&1; then
    say "The database is running already; it is left running at the end"
    return
  fi
  port=$(free_port "$base")
  echo "$port" >"$STATE/pg-$name.port"
  say "Database on 127.0.0.1:$port"
  as "$PG_BIN/pg_ctl" -D "$dir" -w -l "$dir/server.log" -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' $options" start >/dev/null ||
    { as tail -20 "$dir/server.log" >&2; die "The database did not start."; }
  STARTED_CLUSTERS+=("$name")
}

cluster_url() { echo "postgres://app:$(cluster_secret "$1")@127.0.0.1:$(cat "$STATE/pg-$1.port")/$2"; }

cluster_sql() { PGPASSWORD=$(cluster_secret "$1") "$PG_BIN/psql" -h 127.0.0.1 -p "$(cat "$STATE/pg-$1.port")" -U app -d "$2" -q -t -A -v ON_ERROR_STOP=1 -c "$3"; }

cluster_database() {
  [ "$(cluster_sql "$1" postgres "select 1 from pg_database where datname = '$2'")" = 1 ] || cluster_sql "$1" postgres "create database $2"
}

cluster_stop_started() {
  local name
  for name in "${STARTED_CLUSTERS[@]}"; do
    as "$PG_BIN/pg_ctl" -D "$(cluster_dir "$name")" -m fast -w stop >/dev/null 2>&1 || true
  done
}
