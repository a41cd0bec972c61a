import type { Check, Found } from './finding';
import { PLAIN } from './plain';

/** What base that is melted again brings along: counted in every limit, as far as it is known. */
export const remelted: Check = (sheet) =>
  sheet.pours.flatMap(({ base, remelt, inherited, way }, pourIndex): Found[] => {
    // What goes on in the jug of the pour before is told with that.
    if (!remelt || way.sameJug) return [];
    const { scrapId, name, ofBase, melts, isKnown, missing, bases } = remelt;
    const others = bases.filter(({ id }) => id !== base.id);
    const ofOtherKind = others.some(({ baseKind }) => baseKind !== base.baseKind);
    return [
      {
        ...PLAIN,
        code: 'remelted',
        severity: isKnown && missing.length === 0 && !ofOtherKind ? 'note' : 'caution',
        pourIndex,
        about: name,
        materialId: scrapId,
        ...{ ofBase, melts, isKnown, missing, ofOtherKind },
        otherBases: others.map((each) => each.name),
        doses: inherited.map((line) => ({ name: line.material.name, ofBase: line.ofBase })),
      },
    ];
  });
