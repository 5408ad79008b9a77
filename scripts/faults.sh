#!/usr/bin/env bash
# The cluster that faults are tried on: scripts/faults.sh start | kill | url | dir | own PATH
set -euo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT"
. scripts/sh/common.sh
. scripts/sh/postgres.sh
find_postgres || die "PostgreSQL is not here."
name=faults
case "$1" in
  start) cluster_start "$name" 54340 ;;
  url) cluster_url "$name" postgres ;;
  stop) as "$PG_BIN/pg_ctl" -D "$(cluster_dir "$name")" -m fast -w stop >/dev/null ;;
  pid) as cat "$(cluster_dir "$name")/postmaster.pid" | head -1 ;;
  # A directory that the database may write into, whoever it runs as.
  own) as_mode; [ "$AS_MODE" = postgres ] && chown postgres "$2"; chmod 700 "$2" ;;
  *) die "start, url, stop, pid or own" ;;
esac
