import fc from 'fast-check';
import { anyPlanFile } from '../tests/support/anyPlanFile';
import { agreesEverywhere } from '../tests/support/oneList';

/**
 * Many plans of any kind through review, schedule, tasks and words: `npm run soak -- 20000 [seed]`; or the server under
 * fifty connections: `npm run soak -- server [minutes]`; or killed again and again: `npm run soak -- kills [rounds]`;
 * or plans at the ends of what a file may hold, sent to a server: `npm run soak -- files [plans] [seed]`;
 * or made to their end at the bench by a maker with delays: `npm run soak -- makers [plans] [seed]`.
 */
if (process.argv[2] === 'server') {
  const { soakServer } = await import('./soakServer');
  await soakServer(Number(process.argv[3] ?? 10));
  process.exit();
}

if (process.argv[2] === 'kills') {
  const { soakKills } = await import('./soakKills');
  await soakKills(Number(process.argv[3] ?? 200));
  process.exit();
}

if (process.argv[2] === 'makers') {
  const { soakMakers } = await import('./soakMakers');
  soakMakers(Number(process.argv[3] ?? 2000), Number(process.argv[4] ?? Date.now() % 2 ** 31));
  process.exit();
}

if (process.argv[2] === 'files') {
  const { soakFiles } = await import('./soakFiles');
  await soakFiles(Number(process.argv[3] ?? 2000), Number(process.argv[4] ?? Date.now() % 2 ** 31));
  process.exit();
}
const plans = Number(process.argv[2] ?? 20_000);
const seed = Number(process.argv[3] ?? Date.now() % 2 ** 31);
const EVERY = 500;
let seen = 0;
let sheets = 0;
const began = performance.now();
console.log(`seed ${seed}`);

fc.assert(
  fc.property(anyPlanFile(6), (file) => {
    if (agreesEverywhere(file)) sheets++;
    if (++seen % EVERY === 0) {
      const minutes = (performance.now() - began) / 60_000;
      console.log(`${seen} plans, ${sheets} with a sheet, ${minutes.toFixed(1)} min`);
    }
  }),
  { numRuns: plans, seed },
);
console.log(`${plans} plans went through, ${sheets} of them with a sheet`);
