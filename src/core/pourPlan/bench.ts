import type { Jug } from '../houseRules/houseRules';
import { usableMl } from '../plan/melts';
import type { Sheet } from '../plan/sheet';
import { type Busy, busy } from './busy';
import { MIDDLE } from './factors';
import type { HeatCase } from './heatCase';
import type { Job } from './job';
import { anyJug, type JugLoad, type LoadInJug, type MeltRules, meltLoad } from './jugLoads';

/** A jug that was melted, while pours go on in it. */
export interface OpenJug {
  inJug: LoadInJug;
  /** When it was melted, and when it may be used again. */
  meltedS: number;
  freeS: number;
}

/** What the work of a plan is given out to: one pair of hands, one oven, the workshop's jugs. */
export interface Bench {
  sheet: Sheet;
  heat: HeatCase;
  rules: MeltRules;
  hands: Busy;
  oven: Busy;
  jobs: Job[];
  /** By the pour that a jug was melted for. */
  open: Map<number, OpenJug>;
  jugFreeS(jug: Jug): number;
  keepJug(jug: Jug, untilS: number): void;
  /** A load in a jug: the same for the same content in the same jug. */
  melted(load: JugLoad, jug: Jug): LoadInJug;
  /** Writes a job down, and takes the hands it binds. */
  job(over: Partial<Job> & Pick<Job, 'kind' | 'fromS' | 'toS'>): void;
}

export function benchOf(sheet: Sheet, heat: HeatCase, rules: MeltRules): Bench {
  const [hands, oven] = [busy(), busy()];
  const jobs: Job[] = [];
  const freeS = new Map<string, number>();
  const known = new Map<string, LoadInJug>();
  return {
    sheet,
    heat,
    rules,
    hands,
    oven,
    jobs,
    open: new Map(),
    jugFreeS: ({ name }) => freeS.get(name) ?? Number.NEGATIVE_INFINITY,
    // A jug of no name is one of as many as it takes.
    keepJug: ({ name }, untilS) => name !== '' && freeS.set(name, untilS),
    melted(load, jug) {
      const key = `${load.pourIndex} ${load.contentG} ${jug.name} ${jug.holdsMl}`;
      const found = known.get(key) ?? meltLoad(sheet, heat, load, jug, rules, MIDDLE);
      known.set(key, found);
      return found;
    },
    job(over) {
      if (over.hands) hands.take(over.fromS, over.toS);
      jobs.push({ ...PLAIN_JOB, ...over });
    },
  };
}

const PLAIN_JOB: Omit<Job, 'kind' | 'fromS' | 'toS'> = {
  round: 0,
  pourIndexes: [],
  load: 0,
  loads: 1,
  ends: null,
  hands: false,
  jugName: '',
  massG: null,
  tempC: null,
  bursts: null,
};

/** Melting, doses and cooling take about so long: by then a jug should be free. */
const PREPARED_S = 1200;
/** A jug that frees up so soon after a pour is due is waited for, rather than taking the only one that a later pour fits into. */
const WORTH_WAITING_S = 600;

/**
 * The smallest jug that takes a load and is free by then; else the one that is free first; else the largest. The only jug
 * that a later load fits into is left to it where another one is free soon.
 */
export function jugFor(
  { rules, jugFreeS }: Bench,
  load: JugLoad,
  dueS: number,
  laterOnes: readonly JugLoad[] = [],
): Jug {
  const byS = dueS - PREPARED_S;
  const fittingFor = ({ contentMl }: JugLoad) =>
    rules.jugs
      .filter(({ holdsMl }) => usableMl(holdsMl, rules) >= contentMl - 1e-6)
      .sort((a, b) => a.holdsMl - b.holdsMl);
  const wanted = new Set(
    laterOnes.flatMap((each) => {
      const [only, other] = fittingFor(each);
      return only && !other ? [only.name] : [];
    }),
  );
  const fitting = fittingFor(load);
  const unwanted = fitting.filter(({ name }) => !wanted.has(name));
  const soonest = (jugs: readonly Jug[]) => jugs.toSorted((a, b) => jugFreeS(a) - jugFreeS(b))[0];
  const worthWaiting = soonest(unwanted.filter((jug) => jugFreeS(jug) <= dueS + WORTH_WAITING_S));
  const largest = rules.jugs.toSorted((a, b) => b.holdsMl - a.holdsMl)[0];
  return (
    unwanted.find((jug) => jugFreeS(jug) <= byS) ??
    worthWaiting ??
    fitting.find((jug) => jugFreeS(jug) <= byS) ??
    soonest(fitting) ??
    largest ??
    anyJug(load.contentMl, rules)
  );
}
