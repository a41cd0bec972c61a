// Moves the clock of the process that imports it by as many milliseconds as the file of CLOCK_FILE says, now and later.
import { readFileSync } from 'node:fs';

const file = process.env.CLOCK_FILE ?? '';
const Real = Date;
let offMs = 0;

function read() {
  try {
    offMs = Number(readFileSync(file, 'utf8')) || 0;
  } catch {
    // Not written yet.
  }
}

read();
setInterval(read, 20).unref();

globalThis.Date = class extends Real {
  /** @param {[]} moment */
  constructor(...moment) {
    if (moment.length === 0) super(Real.now() + offMs);
    else super(...moment);
  }

  static now() {
    return Real.now() + offMs;
  }
};
