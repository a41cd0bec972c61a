import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { stopWith } from './setup.mjs';

export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';

/** Debian's Chromium for the browser tests: installed when it is missing and this account may. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  const mayInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (mayInstall) {
    console.log('Installing Chromium from Debian’s packages …');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    for (const words of [
      ['update', '-qq'],
      ['install', '-y', '-qq', '--no-install-recommends', 'chromium'],
    ]) {
      spawnSync('apt-get', words, { stdio: ['ignore', 'ignore', 'inherit'], env });
    }
    if (existsSync(CHROMIUM)) return;
  }
  stopWith(
    `The browser tests need Chromium at ${CHROMIUM}. On Debian: sudo apt-get install chromium; elsewhere set CHROMIUM to its path. Then run this again.`,
  );
}
