import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { stopWith } from './setup.mjs';

/** Debian's two packages of one Chromium: the shell has no window, and opens a page in two thirds of the time. */
export const SHELL = '/usr/bin/chromium-headless-shell';
export const WHOLE = '/usr/bin/chromium';

/**
 * Which Chromium to drive: the one that is named, or the first that is here.
 *
 * @param {string[]} [wanted]
 */
export const chromiumPath = (wanted = [SHELL, WHOLE]) =>
  process.env.CHROMIUM ?? wanted.find((path) => existsSync(path)) ?? SHELL;

/** Debian's Chromium for the browser tests: installed when it is missing and this account may. */
export function ensureChromium() {
  if (existsSync(chromiumPath())) return;
  const mayInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (mayInstall) {
    console.log('Installing Chromium from Debian’s packages …');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    for (const words of [
      ['update', '-qq'],
      ['install', '-y', '-qq', '--no-install-recommends', 'chromium-headless-shell'],
    ]) {
      spawnSync('apt-get', words, { stdio: ['ignore', 'ignore', 'inherit'], env });
    }
    if (existsSync(chromiumPath())) return;
  }
  stopWith(
    `The browser tests need Chromium at ${chromiumPath()}. On Debian: sudo apt-get install chromium-headless-shell; elsewhere set CHROMIUM to its path. Then run this again.`,
  );
}
