// What `npm run demo` and `npm start` start: sets up what is missing, then is the server process itself.
import { checkNode, ensureBuilt, ensureInstalled, stopWith } from './setup.mjs';

checkNode();
const { parseOptions } = await import('./options.mjs');
const options = parseOptions(process.argv.slice(2));
ensureInstalled();
ensureBuilt();
const { seedDemo } = await import('./seedDemo.mjs');
if (options.demo) seedDemo(options);
process.env.TALLOW_DATA = options.data;
const { serve } = await import('./httpServer.mjs');
await serve(options).catch((error) => stopWith(error.message));
