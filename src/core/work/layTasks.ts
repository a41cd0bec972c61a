import type { LaidWhere } from '../plan/laid';
import type { SheetPour } from '../plan/sheet';
import { LEAST_G } from '../pours/additions';
import type { Task, TaskOf } from './task';

/** A pour's own: what is weighed into dishes for it, and what is laid where. */
export interface LayTasks {
  weighings: TaskOf<'weigh-dose'>[];
  /** By where it lies; each needs its weighings, and what is added here. */
  lays(where: LaidWhere, needs: readonly string[]): TaskOf<'lay'>[];
}

/**
 * What is laid on or under a pour in one round.
 *
 * @param common of the pour, for its first load
 * @param share of all that the sheet weighs
 */
export function layTasks(
  { lines, laid }: Pick<SheetPour, 'lines' | 'laid'>,
  common: Pick<Task, 'round' | 'pourIndexes' | 'load' | 'loads'>,
  share: number,
  id: (what: string) => string,
): LayTasks {
  const placed = laid
    .map((line, place) => ({ line, lineIndex: lines.length + place, id: id(`dish-${place + 1}`) }))
    .filter(({ line }) => line.massG > LEAST_G);
  return {
    // The spread comes last: what V8 adds to one costs it many times as much.
    weighings: placed.map(({ line, lineIndex, id }) => ({
      id,
      kind: 'weigh-dose',
      massG: line.massG * share,
      lineIndex,
      into: 'dish',
      needs: [],
      ...common,
    })),
    lays(where, needs) {
      const own = placed.filter(({ line }) => line.laid.where === where);
      if (own.length === 0) return [];
      return [
        {
          ...common,
          id: id(`lay-${where}`),
          kind: 'lay',
          lineIndexes: own.map(({ lineIndex }) => lineIndex),
          where,
          pressed: own.some(({ line }) => line.laid.pressed),
          needs: [...own.map((each) => each.id), ...needs],
        },
      ];
    },
  };
}
