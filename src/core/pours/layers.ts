/** As much of a pour as decides what lies beside what. */
interface BesidePour {
  way: { besideShare?: number | undefined };
}

/** Places of the pours that go in together, from two jugs at once; each list is one layer of the bar. */
export function layerGroups(pours: readonly BesidePour[]): number[][] {
  const groups: number[][] = [];
  pours.forEach(({ way }, index) => {
    const before = groups.at(-1);
    if (before && way.besideShare !== undefined) before.push(index);
    else groups.push([index]);
  });
  return groups;
}

/** Place of the layer that a pour is in. */
export function layerOf(pours: readonly BesidePour[], pourIndex: number): number {
  return layerGroups(pours).findIndex((group) => group.includes(pourIndex));
}

/** Nothing lies below: the first pour, and what goes in beside it. */
export function isBare(pours: readonly BesidePour[], pourIndex: number): boolean {
  return layerOf(pours, pourIndex) === 0;
}
