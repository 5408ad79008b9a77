# One file with everything: data, photographs, schema, in the database's own archive format.

# The server whose data is meant: DATABASE_URL, else the demonstration's own.
backup_target() {
  if [ -z "${DATABASE_URL:-}" ]; then
    cluster_start demo 54310
    cluster_database demo gritkeeper
    DATABASE_URL=$(cluster_url demo gritkeeper)
    export DATABASE_URL
    say "DATABASE_URL is not set: the demonstration is meant"
  fi
}

backup() {
  local file=${1:?backup needs a file to write}
  postgres_ready
  trap stop_all EXIT
  backup_target
  # Written beside it first: a backup that was broken off never looks like one.
  "$PG_BIN/pg_dump" --format=custom --no-owner --no-privileges --dbname="$DATABASE_URL" --file="$file.part" ||
    { rm -f "$file.part"; die "The backup failed; nothing was written."; }
  mv "$file.part" "$file"
  say "Written: $file ($(du -h "$file" | cut -f1)), everything as it stood when it began"
}

restore() {
  local file=${1:?restore needs a file to read}
  [ -s "$file" ] || die "There is no file $file."
  postgres_ready
  trap stop_all EXIT
  backup_target
  "$PG_BIN/pg_restore" --list "$file" >/dev/null 2>&1 || die "$file is no backup of ours."
  local tables
  tables=$("$PG_BIN/psql" --dbname="$DATABASE_URL" -q -t -A -c "select count(*) from information_schema.tables where table_schema = 'public'") ||
    die "The database does not answer."
  [ "$tables" = 0 ] || die "This database is not empty: restore goes into an empty one only, so that nothing is lost."
  # All or nothing.
  "$PG_BIN/pg_restore" --single-transaction --exit-on-error --no-owner --no-privileges --dbname="$DATABASE_URL" "$file" ||
    die "The restore failed; the database is as empty as before."
  node_check
  packages
  node --import tsx scripts/migrate.ts
  say "Restored from $file"
}
