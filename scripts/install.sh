# Sourced by ./start, ./test and .ci/run: installs what is missing. Expects ROOT; sets PG_BIN.
# need_packages NAME...  names Debian packages; installs those missing, or says in one line which they are.

NODE_LEAST=20

say() { printf '%s\n' "$*" >&2; }

check_node() {
  command -v node >/dev/null 2>&1 || { say "Node.js $NODE_LEAST or newer is missing: install it first."; exit 1; }
  local major
  major=$(node -p 'process.versions.node.split(".")[0]')
  [ "$major" -ge "$NODE_LEAST" ] || { say "Node.js $NODE_LEAST or newer is needed, this is $(node -v)."; exit 1; }
}

have_package() {
  case "$1" in
    postgresql) compgen -G '/usr/lib/postgresql/*/bin/initdb' >/dev/null ;;
    chromium) command -v chromium >/dev/null 2>&1 ;;
    util-linux) command -v runuser >/dev/null 2>&1 ;;
    *) command -v "$1" >/dev/null 2>&1 ;;
  esac
}

need_packages() {
  local missing=() p
  for p in "$@"; do have_package "$p" || missing+=("$p"); done
  [ ${#missing[@]} -eq 0 ] && return
  if [ "$(id -u)" -ne 0 ] || ! command -v apt-get >/dev/null 2>&1; then
    say "Missing Debian packages: ${missing[*]}. Ask an administrator to run: apt-get install ${missing[*]}"
    exit 1
  fi
  say "Installing ${missing[*]} …"
  local log
  log=$(mktemp)
  # Debian would start a cluster of its own after installing; the private one is all that is needed.
  mkdir -p /etc/postgresql-common
  [ -e /etc/postgresql-common/createcluster.conf ] || echo 'create_main_cluster = false' >/etc/postgresql-common/createcluster.conf
  if ! { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"; } >"$log" 2>&1; then
    tail -n 20 "$log" >&2
    say "Installing failed; the end of its log is above."
    exit 1
  fi
  rm -f "$log"
}

# Node modules are installed when the lock file is not the one that they were installed from.
need_modules() {
  local stamp="$ROOT/node_modules/.installed-from" sum
  sum=$(sha256sum "$ROOT/package-lock.json" | cut -d' ' -f1)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$sum" ] && return
  say "Installing node modules …"
  local log
  log=$(mktemp)
  if ! (cd "$ROOT" && npm ci --no-audit --no-fund --loglevel=error) >"$log" 2>&1; then
    tail -n 20 "$log" >&2
    say "npm ci failed; the end of its log is above."
    exit 1
  fi
  rm -f "$log"
  printf '%s' "$sum" >"$stamp"
}
