import assert from 'node:assert/strict';
import test from 'node:test';
import { OLDER_STEPS, writeOlderDatabase } from '../support/olderDatabases';
import { send, startServer, temporaryFolder } from '../support/server';

for (const step of OLDER_STEPS)
  test(`every page opens on a workshop of step ${step}`, async (t) => {
    const folder = temporaryFolder();
    writeOlderDatabase(folder.path, step);
    const server = await startServer(folder.path);
    t.after(async () => {
      await server.stop();
      folder.remove();
    });
    const [plan] = (await send(server.base, 'GET', '/api/plans')).body;
    const [open] = (await send(server.base, 'GET', '/api/runs')).body;
    const [entry] = (await send(server.base, 'GET', '/api/log')).body;
    const pages = [
      ...[
        '/',
        '/plans',
        '/plans/buy',
        '/molds',
        '/shelf',
        '/bench',
        '/log',
        '/log?q=broke',
        '/products',
        '/house-rules',
      ],
      `/plans/${plan.id}`,
      `/plans/${plan.id}/sheet`,
      `/plans/${plan.id}/versions`,
      `/bench/${open.id}`,
      `/log/${entry.runId}`,
      `/log/${entry.runId}/sheet`,
      `/log/${open.id}/sheet`,
    ];
    for (const path of pages) {
      const page = await fetch(server.base + path);
      assert.equal(page.status, 200, path);
      assert.match(await page.text(), /<\/html>/, path);
    }
    assert.doesNotMatch(server.printed(), /Error/);
  });
