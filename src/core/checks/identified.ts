import type { Sheet } from '../plan/sheet';
import type { Finding, Found } from './finding';

/** The ids of pours and their doses, by their places: a plan is one. */
interface Places {
  pours: readonly { id: string; doses: readonly ({ id: string } | undefined)[] }[];
}

/**
 * Findings with an id that edits elsewhere in the plan keep: what was found, and the ids of the pour and the doses that it
 * was found about.
 */
export function identified(found: readonly Found[], { pours }: Places): Finding[] {
  const seen = new Map<string, number>();
  return found.map((each) => {
    const pour = each.pourIndex === null ? undefined : pours[each.pourIndex];
    const doseIds = each.doseIndexes.map((index) => pour?.doses[index]?.id ?? '');
    const fault = 'fault' in each ? each.fault : '';
    const id = [each.code, fault, pour?.id ?? '', doseIds.join('+'), each.about].join('/');
    const before = seen.get(id) ?? 0;
    seen.set(id, before + 1);
    return { ...each, id: before === 0 ? id : `${id}/${before}` };
  });
}

/** The places of a sheet; a dose that is in no figure has none. */
export function placesOf({ pours }: Sheet): Places {
  return {
    pours: pours.map(({ id, lines }) => {
      const doses: { id: string }[] = [];
      for (const { doseIndex, doseId } of lines) doses[doseIndex] = { id: doseId };
      return { id, doses };
    }),
  };
}
