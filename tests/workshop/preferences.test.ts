import assert from 'node:assert/strict';
import test from 'node:test';
import type { AstroCookies } from 'astro';
import { preferencesOf } from '../../src/server/preferences';
import { isTrustedHost, isTrustedOrigin } from '../../src/server/trustedHosts.mjs';

function asked(
  language: string | null,
  cookies: Record<string, string> = {},
  house: 'metric' | 'us' = 'metric',
) {
  const request = new Request('http://127.0.0.1/', {
    headers: language === null ? {} : { 'accept-language': language },
  });
  const jar = { get: (name: string) => (name in cookies ? { value: cookies[name] } : undefined) };
  return preferencesOf(request, jar as AstroCookies, () => house);
}

test('the locale follows the browser, and nonsense falls back', () => {
  assert.equal(asked('de-AT,de;q=0.9,en;q=0.5').showing.locale, 'de-AT');
  for (const nonsense of [null, '', '*', 'x', '<script>', 'de-AT-;;;', 'q'.repeat(500)]) {
    assert.equal(asked(nonsense).showing.locale, 'en-GB', String(nonsense));
  }
});

test('a browser that chose nothing shows the units of the house', () => {
  assert.equal(asked('en', {}, 'us').showing.system, 'us');
  assert.equal(asked('en', { units: 'metric' }, 'us').showing.system, 'metric');
});

test('units and theme come from what was chosen, and only from what exists', () => {
  assert.deepEqual(asked('en', { units: 'us', theme: 'enamel-night' }), {
    showing: { system: 'us', locale: 'en' },
    theme: 'enamel-night',
  });
  assert.deepEqual(asked('en', { units: 'stone', theme: '"><script>' }), {
    showing: { system: 'metric', locale: 'en' },
    theme: undefined,
  });
});

test('only names of this machine are trusted, and only the page’s own origin', () => {
  for (const host of ['127.0.0.1', '127.0.0.1:4310', 'localhost:80', 'LOCALHOST', '[::1]:4310']) {
    assert.ok(isTrustedHost(host), host);
  }
  for (const host of [
    undefined,
    null,
    '',
    '127.0.0.1.example',
    'example:127.0.0.1',
    '10.0.0.1',
    'localhost.',
  ]) {
    assert.equal(isTrustedHost(host), false, String(host));
  }
  assert.ok(isTrustedOrigin(null, '127.0.0.1:4310'));
  assert.ok(isTrustedOrigin('http://127.0.0.1:4310', '127.0.0.1:4310'));
  for (const origin of ['https://127.0.0.1:4310', 'http://127.0.0.1', 'http://localhost:4310', 'null', '']) {
    assert.equal(isTrustedOrigin(origin, '127.0.0.1:4310'), false, origin);
  }
});
