import type { KeptReadings, ReadingPoint } from './keptReadings';
import type { JugReading } from './said';
import { settledReadings } from './settledReadings';

/** What a thermometer showed of the jug of a melt. */
export type PointOfJug = ReadingPoint & { taskId: string };

/** What was kept of thermometers that stood in jugs. */
export function pointsOfJugs(kept: readonly KeptReadings[]): PointOfJug[] {
  return kept.flatMap(({ quantity, taskId, points }) =>
    quantity === 'temperature' && taskId !== null ? points.map((point) => ({ ...point, taskId })) : [],
  );
}

/** The readings of jugs by their thermometers, each jug from when it and its thermometer only cool. */
export function readingsOfJugs(points: readonly PointOfJug[]): JugReading[] {
  const all = points.map(({ taskId, atMs, value }) => ({
    ...{ taskId, tempC: value },
    at: new Date(atMs).toISOString(),
  }));
  return [...new Set(all.map(({ taskId }) => taskId))].flatMap((taskId) =>
    settledReadings(all.filter((each) => each.taskId === taskId)),
  );
}
