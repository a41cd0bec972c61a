import { chromium } from '@playwright/test';
import { chromiumPath } from './ensureChromium.mjs';

/** Switches for a headless Chromium that asks nothing of the network. */
export const CHROMIUM_SWITCHES = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** @param {string} [executablePath] */
export function launchChromium(executablePath = chromiumPath()) {
  return chromium.launch({ executablePath, args: CHROMIUM_SWITCHES });
}
