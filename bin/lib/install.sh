# Installs what is missing, says what it does, asks nothing.

PACKAGES="php8.2-mysql php8.2-gd php8.2-zip php8.2-curl php8.2-xml php8.2-mbstring php8.2-intl php8.2-fpm nginx mariadb-server chromium chromium-driver poppler-utils procps"
TEST_PACKAGES="python3"

check_tools() {
  local tool missing=""
  for tool in php composer node npm; do command -v "$tool" >/dev/null || missing="$missing $tool"; done
  [ -z "$missing" ] || { say "Missing:$missing. Apron needs PHP 8.2, Composer 2, Node 20 and npm on the PATH."; return 1; }
}

missing_packages() {
  local package missing=""
  for package in $PACKAGES ${1:+$TEST_PACKAGES}; do
    dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing="$missing $package"
  done
  printf '%s' "${missing# }"
}

install_packages() {
  local missing; missing=$(missing_packages "${1:-}")
  [ -n "$missing" ] || return 0
  step "Installing Debian packages: $missing"
  local root=""; [ "$(id -u)" = 0 ] || root=sudo
  # One log for apt's many words; it is shown where something fails.
  { $root apt-get update && DEBIAN_FRONTEND=noninteractive $root apt-get install -y --no-install-recommends $missing; } >"$RUN/log/apt.log" 2>&1 \
    || { tail -n 20 "$RUN/log/apt.log"; die "The packages could not be installed; the whole log is $RUN/log/apt.log"; }
}

# Runs a command when the files it depends on have changed since it last succeeded.
when_changed() {
  local name=$1 files=$2 made=$3; shift 3
  local sum; sum=$(sha256sum $files | sha256sum | cut -d' ' -f1)
  [ -e "$made" ] && [ "$(cat "$ROOT/storage/apron/$name.sum" 2>/dev/null)" = "$sum" ] && return 0
  "$@" || die "Failed: $*"
  sum=$(sha256sum $files | sha256sum | cut -d' ' -f1)
  printf '%s' "$sum" > "$ROOT/storage/apron/$name.sum"
}

install_composer() {
  step "Installing PHP libraries"
  # Every library at its pinned version, and looked at afterwards: what came is what was meant.
  local pins=(); mapfile -t pins < <(php bin/lib/pins.php with)
  COMPOSER_ALLOW_SUPERUSER=1 composer update --no-interaction --no-progress "${pins[@]}" >"$RUN/log/composer.log" 2>&1 || { tail -n 30 "$RUN/log/composer.log"; return 1; }
  php bin/lib/pins.php check || { say "What was installed is not what composer.pins.json says."; return 1; }
}

install_npm() {
  step "Installing JavaScript libraries"
  # What the lock file says and nothing else. Where a registry does not serve the builds for other systems, which npm ci asks for, npm
  # takes what it finds and the lock file stays as it is.
  cp package-lock.json "$RUN/tmp/package-lock.json"
  npm ci --no-fund --no-audit >"$RUN/log/npm.log" 2>&1 || npm install --no-fund --no-audit >>"$RUN/log/npm.log" 2>&1 \
    || { tail -n 30 "$RUN/log/npm.log"; cp "$RUN/tmp/package-lock.json" package-lock.json; return 1; }
  cp "$RUN/tmp/package-lock.json" package-lock.json
}

build_front() {
  step "Building the front end"
  npx vite build >"$RUN/log/vite.log" 2>&1 || { tail -n 40 "$RUN/log/vite.log"; return 1; }
}

install_all() {
  check_tools || exit 1
  # Two at once on one checkout would write over each other.
  exec 9>"$ROOT/storage/apron/install.lock"
  flock 9
  install_packages "${1:-}"
  when_changed composer "composer.json composer.pins.json $(find shims -type f | sort | tr '\n' ' ')" vendor/autoload.php install_composer
  when_changed npm "package.json package-lock.json" node_modules/.package-lock.json install_npm
  when_changed build "package-lock.json vite.config.ts $(find resources -type f | sort | tr '\n' ' ')" public/build/manifest.json build_front
  flock -u 9
}
