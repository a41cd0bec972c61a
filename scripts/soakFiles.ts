import fc from 'fast-check';
import { askWithPlans, told } from '../tests/support/askWithPlans';
import { extremePlanFile } from '../tests/support/extremePlanFile';
import { startServer, temporaryFolder } from '../tests/support/server';

const AT_ONCE = 50;

/** Plans at the ends of what a plan file may hold, to a server of their own, fifty at a time. */
export async function soakFiles(plans: number, seed: number): Promise<void> {
  console.log(`seed ${seed}`);
  const { path, remove } = temporaryFolder();
  const server = await startServer(path);
  try {
    for (let done = 0; done < plans; done += AT_ONCE) {
      const own = seed + done;
      const files = fc.sample(extremePlanFile(), { numRuns: Math.min(AT_ONCE, plans - done), seed: own });
      console.log(`${done + files.length}, seed ${own}: ${told(await askWithPlans(server.base, files))}`);
    }
    for (const page of ['/', '/plans', '/plans/buy', '/molds', '/shelf']) {
      const { status } = await fetch(server.base + page);
      console.log(`${page} answers ${status}`);
    }
  } catch (error) {
    const { exitCode, signalCode } = server.process;
    console.log(`The server ${exitCode ?? signalCode ?? 'still runs'}: ${server.printed().slice(-2000)}`);
    throw error;
  } finally {
    await server.stop();
    remove();
  }
}
