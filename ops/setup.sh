# shellcheck shell=bash
# Installs what the project needs and does not have yet. Sourced after lib.sh.

DEBIAN_PACKAGES=(php8.2-cli php8.2-pgsql php8.2-curl php8.2-zip php8.2-intl php8.2-mbstring php8.2-xml php8.2-bcmath php8.2-fpm php8.2-gd nginx postgresql curl tesseract-ocr tesseract-ocr-eng tesseract-ocr-deu tesseract-ocr-fra tesseract-ocr-spa tesseract-ocr-ita zbar-tools)
BROWSER_PACKAGES=(chromium-headless-shell poppler-utils)

install_debian() { # install_debian PACKAGE…
  local missing=() package
  for package in "$@"; do
    dpkg-query -W -f '${Status}' "$package" 2>/dev/null | grep -q 'install ok installed' || missing+=("$package")
  done
  [ "${#missing[@]}" -eq 0 ] && return
  step "Debian packages: ${missing[*]}" "run 'apt-get update && apt-get install ${missing[*]}' as root and read what it says, then start again."
  if [ "$(id -u)" -ne 0 ]; then
    echo "These packages are missing and only root can install them." >&2
    return 1
  fi
  apt-get -qq -o DPkg::Lock::Timeout=120 update
  # RUNLEVEL=1 keeps the packages from starting system-wide services.
  RUNLEVEL=1 DEBIAN_FRONTEND=noninteractive apt-get -qq -y --no-install-recommends \
    -o DPkg::Lock::Timeout=120 install "${missing[@]}" >"$ROOT/var/apt.log" 2>&1 ||
    { tail -n 20 "$ROOT/var/apt.log" >&2; return 1; }
}

# Laravel needs four packages that some Packagist copies lack and Debian has as
# plain PHP: name, Debian package, release, folder inside the package.
BORROWED=(
  "league/config php-league-config bookworm League/Config"
  "symfony/clock php-symfony-clock trixie Symfony/Component/Clock"
  "fruitcake/php-cors php-fruitcake-php-cors trixie Fruitcake/Cors"
  "symfony/polyfill-php85 php-symfony-polyfill-php85 forky Symfony/Polyfill/Php85"
)

# Asked from an empty folder, so that what is installed here already does not count.
on_packagist() { (cd "$(mktemp -d)" && timeout 60 composer show --all --no-interaction "$1" >/dev/null 2>&1); }

borrow_from_debian() { # fetches the packages named by their Composer names into var/borrowed
  local apt=$ROOT/var/borrowed/apt mirror options row name package release folder
  mkdir -p "$apt/lists/partial" "$apt/cache/archives/partial" "$ROOT/var/borrowed/packages"
  mirror=$(apt-get indextargets --format '$(REPO_URI)' 'Created-By: Packages' 'Codename: bookworm' 2>/dev/null | head -n1)
  [ -n "$mirror" ] || mirror=$(apt-get indextargets --format '$(REPO_URI)' 'Created-By: Packages' | grep debian | head -n1)
  : >"$apt/sources.list"
  for release in bookworm trixie forky; do
    echo "deb [signed-by=/usr/share/keyrings/debian-archive-keyring.gpg] $mirror $release main" >>"$apt/sources.list"
  done
  options=(-o "Dir::Etc::sourcelist=$apt/sources.list" -o Dir::Etc::sourceparts=/dev/null
    -o "Dir::State::lists=$apt/lists" -o "Dir::Cache=$apt/cache" -o APT::Sandbox::User=root -o Acquire::Languages=none)
  apt-get -qq "${options[@]}" update
  for row in "${BORROWED[@]}"; do
    read -r name package release folder <<<"$row"
    [ -d "$ROOT/var/borrowed/$package/usr/share/php/$folder" ] && continue
    (cd "$ROOT/var/borrowed/packages" && apt-get -qq "${options[@]}" download "$package/$release")
    dpkg-deb -x "$ROOT"/var/borrowed/packages/"$package"_*.deb "$ROOT/var/borrowed/$package"
  done
}

composer_packages() {
  local manifest=$ROOT/composer.json inputs row name missing=()
  inputs=$(cat composer.json core/composer.json ops/setup.sh | sha256sum | cut -c1-32)
  if stamp_is composer "$inputs" && [ -f vendor/autoload.php ] && [ -f core/vendor/autoload.php ]; then return; fi
  step "Composer packages" "look at the message above; is the package registry reachable? Then start again."
  for row in "${BORROWED[@]}"; do
    read -r name _ <<<"$row"
    on_packagist "$name" || missing+=("$name")
  done
  if [ "${#missing[@]}" -gt 0 ]; then
    step "Debian's copies of ${missing[*]}" "these come from Debian's archive; is its mirror reachable? Then start again."
    borrow_from_debian
    php ops/borrowed-repositories.php "$ROOT/composer.json" "$ROOT/var/borrowed" "${missing[@]}" >composer.local.json
    manifest=$ROOT/composer.local.json
  fi
  step "Composer packages" "look at the message above; is the package registry reachable? Then start again."
  rm -f composer.lock composer.local.lock core/composer.lock
  COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_AUDIT=1 COMPOSER=$(basename "$manifest") composer install --no-interaction --no-progress --quiet --optimize-autoloader
  (cd core && COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_AUDIT=1 composer install --no-interaction --no-progress --quiet --optimize-autoloader)
  # Some archives unpack with files that only their owner may read.
  chmod -R a+rX vendor core/vendor
  stamp composer "$inputs"
}

npm_packages() {
  local inputs
  inputs=$(sha256sum package-lock.json | cut -c1-32)
  if stamp_is npm "$inputs" && [ -f node_modules/.package-lock.json ]; then return; fi
  step "npm packages" "is the package registry reachable, and is Node 20.20 or newer installed? Then start again."
  PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-audit --no-fund --loglevel=warn >"$ROOT/var/npm.log" 2>&1 ||
    { tail -n 20 "$ROOT/var/npm.log" >&2; return 1; }
  if grep -qi 'EBADENGINE' "$ROOT/var/npm.log"; then cat "$ROOT/var/npm.log" >&2; return 1; fi
  stamp npm "$inputs"
}

need_command() {
  command -v "$1" >/dev/null 2>&1 || {
    step "looking for $1" "install $1 ($2) and start again."
    return 1
  }
}

core_data() {
  local inputs
  inputs=$(hash_of core/data core/src/DataCompiler)
  if stamp_is core-data "$inputs" && [ -f core/build/Tables.php ]; then return; fi
  step "reference data" "a row in core/data is wrong; the message above names the file, the row and the column."
  php core/bin/compile-data
  stamp core-data "$inputs"
}

front_end() {
  local inputs
  inputs=$(hash_of resources schemas package-lock.json vite.config.ts tsconfig.json)
  if stamp_is front-end "$inputs" && [ -f public/build/manifest.json ] && [ -f public/sw.js ]; then return; fi
  step "front end" "the message above names the file; 'npm run check' says more."
  npm run --silent build >"$ROOT/var/vite.log" 2>&1 || { tail -n 40 "$ROOT/var/vite.log" >&2; return 1; }
  chmod -R a+rX public
  stamp front-end "$inputs"
}

set_up() {
  need_command composer "version 2" && need_command node "version 20.20 or newer" && need_command npm "version 10 or newer"
  install_debian "${DEBIAN_PACKAGES[@]}"
  composer_packages
  npm_packages
  core_data
  front_end
}
