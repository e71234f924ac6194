#!/bin/sh
# Builds the interface into target/classes/static. Packages are installed again only when Node or the
# package files changed.
set -eu
cd "$(dirname "$0")"
stamp=node_modules/.oblume-stamp
want=$( (node -v; cat package.json package-lock.json) | sha256sum)
if [ "$(cat $stamp 2>/dev/null || true)" != "$want" ]; then
  npm ci --no-audit --no-fund --loglevel=error
  printf '%s\n' "$want" > $stamp
fi
npm run --silent build
