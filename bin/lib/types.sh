#!/usr/bin/env bash
# Checks the types of all programs, two at a time; each keeps what it found, so that the next time is quicker.
cd "$(dirname "${BASH_SOURCE[0]}")/../.."
printf '%s\n' apps/client packages apps . bench/empty |
  xargs -P 2 -I{} sh -c 'node_modules/.bin/tsc -p {} --incremental --tsBuildInfoFile "node_modules/.cache/tsc/$(echo {} | tr ./ -_).json"'
