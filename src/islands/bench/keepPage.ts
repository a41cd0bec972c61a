import { allFindingWords } from '../../words/en/findings/findingWords';

/**
 * Has the page and all it has loaded kept, so that it opens without the server. Where the browser has no service worker,
 * as over plain HTTP from another machine, the open page works on all the same.
 */
export async function keepPage(): Promise<void> {
  // What may be found at the scale has to be said without the server, too, with a service worker or not.
  await allFindingWords();
  try {
    await navigator.serviceWorker.register('/sw.js');
    const { active } = await navigator.serviceWorker.ready;
    const loaded = performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin, pathname }) => origin === location.origin && pathname.startsWith('/_astro/'))
      .map(({ pathname }) => pathname);
    active?.postMessage({ keep: [location.pathname, '/favicon.svg', ...new Set(loaded)] });
  } catch {
    // There is none: nothing else rests on it.
  }
}
