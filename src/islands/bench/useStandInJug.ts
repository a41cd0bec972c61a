import { useEffect } from 'react';
import { inColderRoom } from '../../core/rehearsal/inColderRoom';
import { useBenchWorld } from './benchWorld';
import type { OnwardNow } from './useOnward';
import type { LiveThermometer } from './useThermometer';

/**
 * The stand-in thermometer stands in the jug that is followed, which cools near to what was thought of it when it was put
 * there; in a rehearsal as it does in the room that is really there.
 *
 * @param thoughtC of the room, by what was read or planned
 */
export function useStandInJug(
  { source, followed, standIn }: LiveThermometer,
  { heat }: OnwardNow,
  thoughtC: number,
): void {
  const roomC = useBenchWorld().rehearsal?.roomC ?? thoughtC;
  const isThere = heat?.jugs.some(({ taskId }) => taskId === followed) ?? false;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is thought of the jug later follows from it
  useEffect(() => {
    if (source !== 'stand-in') return;
    const jug = heat?.jugs.find(({ taskId }) => taskId === followed);
    if (!jug) {
      standIn({ kind: 'out' });
      return;
    }
    const thought = jug.forecast.curve.map(({ timeS, tempC }) => ({ timeS, tempC: tempC.middle }));
    const curve = inColderRoom(thought, thoughtC, thoughtC - roomC);
    standIn({
      kind: 'jug',
      curve: curve.map(({ timeS, tempC }) => ({ atMs: jug.fromMs + timeS * 1000, tempC })),
    });
  }, [source, followed, isThere]);
}
