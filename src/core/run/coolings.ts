import type { FitMoment, Reading } from '../heat/taught';
import { forecastOfMelt } from './heatOnward';
import type { KeptReadings } from './keptReadings';
import { lastDone } from './lastDone';
import { progress } from './progress';
import { pointsOfJugs } from './readingsOfJugs';
import type { Run } from './run';

/** A jug as it really cooled, over what was thought of it when it was melted. Times are in s from then. */
export interface Cooling {
  /** Its melt. */
  taskId: string;
  round: number;
  load: number;
  /** Of the pours it was for. */
  pourIndexes: readonly number[];
  curve: FitMoment[];
  /** By a thermometer, typed, or said when it was poured; in order of time. */
  readings: Reading[];
}

/** More points of one jug are not told apart on a drawing. */
const MOST_READINGS = 200;

/** Jugs of a run that were read, each over its forecast. */
export function coolingsOf(run: Run, kept: readonly KeptReadings[]): Cooling[] {
  const so = progress(run);
  const points = pointsOfJugs(kept);
  return so.tasks.flatMap((melt): Cooling[] => {
    if (melt.kind !== 'melt' || melt.doneAt === null) return [];
    const meltedMs = Date.parse(melt.doneAt);
    const pours = so.tasks.filter(
      (task) =>
        task.kind === 'pour' &&
        task.doneAt !== null &&
        task.round === melt.round &&
        task.load === melt.load &&
        task.pourIndexes.some((index) => melt.pourIndexes.includes(index)),
    );
    const readings = [
      ...points
        .filter(({ taskId }) => taskId === melt.id)
        .map(({ atMs, value }) => ({ timeS: (atMs - meltedMs) / 1000, tempC: value })),
      ...so.readings
        .filter(({ taskId }) => taskId === melt.id)
        .map(({ at, tempC }) => ({ timeS: (Date.parse(at) - meltedMs) / 1000, tempC })),
      ...pours.flatMap(({ id, doneAt }) => {
        const tempC = lastDone(run, id)?.tempC;
        return tempC === undefined ? [] : [{ timeS: (Date.parse(doneAt ?? '') - meltedMs) / 1000, tempC }];
      }),
    ]
      .filter(({ timeS }) => timeS >= 0)
      .sort((a, b) => a.timeS - b.timeS);
    const forecast = readings.length > 0 ? forecastOfMelt(run, melt.id) : null;
    if (!forecast) return [];
    return [
      {
        ...{ taskId: melt.id, round: melt.round, load: melt.load, pourIndexes: melt.pourIndexes },
        curve: forecast.forecast.curve.map(({ timeS, tempC: { low, middle, high } }) => ({
          ...{ timeS, tempC: middle, lowC: low, highC: high },
        })),
        readings: thinned(readings),
      },
    ];
  });
}

/** Every so many of them, the last always. */
function thinned(readings: readonly Reading[]): Reading[] {
  const every = Math.ceil(readings.length / MOST_READINGS);
  return readings.filter((_, place) => (readings.length - 1 - place) % every === 0);
}
