#!/usr/bin/env bash
# Builds the application if anything that a build depends on has changed since the last one.
set -euo pipefail
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd -P)"
cd "$root"
stamp=.next/ohmmeter-source
hash="$(find src schemas scripts/build*.mjs package.json package-lock.json next.config.ts postcss.config.mjs tsconfig.json -type f -not -name '*.test.ts' -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)"
if [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$hash" ]; then exit 0; fi
echo "ohmmeter: building (about a minute)" >&2
mkdir -p .ohmmeter
rm -f "$stamp"
# First: the build of the pages takes them in.
{ OHMMETER_BUILD="$hash" node scripts/build-server.mjs && node scripts/build-fonts.mjs; } >.ohmmeter/build.log 2>&1 || {
  tail -n 30 .ohmmeter/build.log >&2
  echo "ohmmeter: the build of the server and of fonts failed; the whole log is $root/.ohmmeter/build.log" >&2
  exit 1
}
NEXT_TELEMETRY_DISABLED=1 OHMMETER_BUILD="$hash" node_modules/.bin/next build >.ohmmeter/build.log 2>&1 || {
  tail -n 30 .ohmmeter/build.log >&2
  echo "ohmmeter: the build failed; the whole log is $root/.ohmmeter/build.log" >&2
  exit 1
}
# Last: it names every file that the build made.
OHMMETER_BUILD="$hash" node scripts/build-service-worker.mjs >.ohmmeter/build.log 2>&1 || {
  tail -n 30 .ohmmeter/build.log >&2
  echo "ohmmeter: the build of the service worker failed; the whole log is $root/.ohmmeter/build.log" >&2
  exit 1
}
echo "$hash" >"$stamp"
