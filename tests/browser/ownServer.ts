import { test as shared } from '@playwright/test';
import { type RunningServer, startServer, temporaryFolder } from '../support/server';

/** A test in a workshop of its own, with nothing in it, where the others share one. */
export const test = shared.extend<{ own: RunningServer }>({
  // biome-ignore lint/correctness/noEmptyPattern: a fixture that needs no other says so
  own: async ({}, use) => {
    const folder = temporaryFolder();
    const server = await startServer(folder.path);
    await use(server);
    await server.stop();
    folder.remove();
  },
  baseURL: ({ own }, use) => use(own.base),
});
