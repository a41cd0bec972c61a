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
      },
    }));
  } catch (error) {
    stopWith(
      `${error instanceof Error ? error.message : error} Options: --port N, --data FOLDER, and --reset for the demo.`,
    );
  }
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) {
    stopWith(`--port ${values.port} is not a port: give a whole number from 1 to 65535.`);
  }
  if (values.reset && !values.demo)
    stopWith('--reset belongs to the demo: a workshop of your own is never wiped.');
  const folder = values.demo ? 'data/demo' : 'data/workshop';
  return {
    demo: values.demo,
    reset: values.reset,
    port,
    data: values.data ? resolve(values.data) : resolve(projectFolder, folder),
  };
}
