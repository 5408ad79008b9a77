# Shared by all commands: words, packages, build, the server.
STATE=$ROOT/.gritkeeper
mkdir -p "$STATE"
SERVER_PID=
export NEXT_TELEMETRY_DISABLED=1

say() { printf '· %s\n' "$*" >&2; }
die() { printf '✗ %s\n' "$*" >&2; exit 1; }

node_check() {
  command -v node >/dev/null || die "Node.js 20.9 or newer is needed and is not here."
  node -e 'const [a,b]=process.versions.node.split(".").map(Number); process.exit(a>20||(a===20&&b>=9)?0:1)' ||
    die "Node.js 20.9 or newer is needed; this is $(node --version)."
}

sum_of() { { cat "$@"; node --version; } | sha256sum | cut -d' ' -f1; }

# npm ci, when the lock file is not the one that was installed last.
packages() {
  local sum
  sum=$(sum_of package-lock.json package.json)
  if [ -d node_modules ] && [ "$(cat "$STATE/packages.sum" 2>/dev/null)" = "$sum" ]; then return; fi
  say "Packages (npm ci)"
  # Development packages are needed to build and test, whatever NODE_ENV says.
  NODE_ENV=development npm ci --no-audit --no-fund --loglevel=error >&2
  echo "$sum" >"$STATE/packages.sum"
}

# A production build, when a source is newer than the last.
build() {
  local sum
  sum=$({ find src -type f ! -name '*.test.ts' ! -name '*.fixture.ts' -print0 | sort -z | xargs -0 sha256sum; sha256sum package-lock.json next.config.ts tsconfig.json scripts/hintChunks.mjs; } | sha256sum | cut -d' ' -f1)
  if [ -f .next/BUILD_ID ] && [ "$(cat "$STATE/build.sum" 2>/dev/null)" = "$sum" ]; then return; fi
  say "Building (about a minute)"
  rm -f "$STATE/build.sum"
  NODE_ENV=production node node_modules/next/dist/bin/next build >"$STATE/build.log" 2>&1 || { tail -40 "$STATE/build.log" >&2; die "The build failed: see .gritkeeper/build.log"; }
  node scripts/hintChunks.mjs >>"$STATE/build.log" 2>&1 || { tail -5 "$STATE/build.log" >&2; die "The build failed: see .gritkeeper/build.log"; }
  # Threads, processes and the door do not read TypeScript: each goes into one file beside the server's own.
  node_modules/.bin/esbuild src/workers/*.thread.ts src/workers/*.process.ts src/door/door.ts src/door/supervise.ts --bundle --packages=external --platform=node \
    --format=esm --target=node20 --log-level=warning --out-extension:.js=.mjs --outdir=.next/own --outbase=src --entry-names='[name]' \
    >>"$STATE/build.log" 2>&1 || { tail -20 "$STATE/build.log" >&2; die "The build failed: see .gritkeeper/build.log"; }
  echo "$sum" >"$STATE/build.sum"
}

# A secret of this checkout's own, made once.
own_secret() {
  if [ ! -s "$STATE/secret" ]; then
    (umask 077; node -e 'process.stdout.write(require("crypto").randomBytes(32).toString("hex"))' >"$STATE/secret")
  fi
  cat "$STATE/secret"
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() {
  local port=$1
  while ! port_is_free "$port"; do port=$((port + 1)); done
  echo "$port"
}

server_start() {
  SERVER_PORT=$(free_port "$1")
  [ "$SERVER_PORT" = "$1" ] || say "Port $1 is taken; using $SERVER_PORT"
  say "Server"
  HOST=127.0.0.1 PORT="$SERVER_PORT" node .next/own/supervise.mjs >"$STATE/server.log" 2>&1 &
  SERVER_PID=$!
  for _ in $(seq 1 120); do
    node -e 'fetch(process.argv[1]).then(r=>process.exit(r.ok?0:1),()=>process.exit(1))' "http://127.0.0.1:$SERVER_PORT/readyz" && return
    kill -0 "$SERVER_PID" 2>/dev/null || { tail -20 "$STATE/server.log" >&2; die "The server did not start: see .gritkeeper/server.log"; }
    sleep 0.5
  done
  die "The server does not become ready: see .gritkeeper/server.log"
}

server_wait() {
  trap 'exit 0' INT TERM
  wait "$SERVER_PID" || die "The server ended: see .gritkeeper/server.log"
}

# Stops what this command started, and only that.
stop_all() {
  local code=$?
  trap - EXIT INT TERM
  close_archive
  if [ -n "$SERVER_PID" ]; then kill "$SERVER_PID" 2>/dev/null && wait "$SERVER_PID" 2>/dev/null || true; fi
  cluster_stop_started
  exit "$code"
}
