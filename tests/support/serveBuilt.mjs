// Serves what was built into the folder named first, with the options of `npm start` after it.
import { serve } from '../../scripts/httpServer.mjs';
import { parseOptions } from '../../scripts/options.mjs';

const [built, ...words] = process.argv.slice(2);
const options = parseOptions(words);
process.env.TALLOW_DATA = options.data;
await serve(options, built);
