import { readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { projectFolder, stopWith } from './setup.mjs';

/**
 * The command line of `npm run demo` and `npm start`.
 *
 * @param {string[]} words
 */
export function parseOptions(words) {
  let values;
  try {
    ({ values } = parseArgs({
      args: words,
      options: {
        demo: { type: 'boolean', default: false },
        reset: { type: 'boolean', default: false },
        port: { type: 'string', default: '4310' },
        data: { type: 'string' },
        share: { type: 'boolean', default: false },
        'share-at': { type: 'string', multiple: true },
        cert: { type: 'string' },
        key: { type: 'string' },
      },
    }));
  } catch (error) {
    stopWith(
      `${error instanceof Error ? error.message : error} Options: --port N, --data FOLDER, --share, --share-at ADDRESS, --cert FILE with --key FILE, and --reset for the demo.`,
    );
  }
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) {
    stopWith(`--port ${values.port} is not a port: give a whole number from 1 to 65535.`);
  }
  if (values.reset && !values.demo)
    stopWith('--reset belongs to the demo: a workshop of your own is never wiped.');
  if ((values.cert === undefined) !== (values.key === undefined))
    stopWith('--cert and --key belong together: give both files, or neither.');
  for (const address of values['share-at'] ?? [])
    if (!isIP(address)) stopWith(`--share-at ${address} is no address: give one such as 192.168.1.20.`);
  const folder = values.demo ? 'data/demo' : 'data/workshop';
  return {
    demo: values.demo,
    reset: values.reset,
    port,
    share: values.share || values['share-at'] !== undefined,
    shareAt: values['share-at'] ?? null,
    tls: values.cert && values.key ? { cert: fileText(values.cert), key: fileText(values.key) } : null,
    data: values.data ? resolve(values.data) : resolve(projectFolder, folder),
  };
}

/** @param {string} path */
function fileText(path) {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return stopWith(`${path} can't be read. Give the file of the certificate, and that of its key.`);
  }
}
