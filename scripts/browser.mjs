import { spawnSync } from 'node:child_process'

/** Debian's Chromium: its path is looked up here and nowhere else. */
export function chromiumPath() {
  const found = spawnSync('which', ['chromium'], { encoding: 'utf8' })
  return found.status === 0 ? found.stdout.trim() : null
}

export const chromiumArguments = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** Installs the browser from Debian's packages where it is missing. */
export function ensureChromium(run, step) {
  if (chromiumPath()) return
  step('installing Chromium from Debian')
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  const [command, ...before] = [...sudo, 'apt-get']
  run(command, [...before, 'update', '-qq'], { quiet: true })
  run(command, [...before, 'install', '-y', '-qq', '--no-install-recommends', 'chromium'], { quiet: true })
}
