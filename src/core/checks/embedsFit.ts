import { depthMm, isKnown } from '../molds/shape';
import type { Sheet, SheetPour } from '../plan/sheet';
import { freeOf } from '../stock/stock';
import { wholeSheet } from '../work/rounds';
import type { Check, CheckContext, Found } from './finding';
import { PLAIN } from './plain';

/** Closer than this a piece stays where it is put, since base thickens around it. Our own assumption. */
const STAYS_WITHIN = 0.01;

type SheetEmbed = SheetPour['embeds'][number];

/** Whether what is set into a pour stays where it should, fits the cavity, and is there. */
export const embedsFit: Check = (sheet, { shelf }) => {
  const depth = isKnown(sheet.mold.shape) ? depthMm(sheet.mold.shape) : null;
  return [
    ...sheet.pours.flatMap((pour, pourIndex) => [
      ...unsized(pour, pourIndex),
      ...pour.embeds.flatMap((embed) => placed(embed, pour, pourIndex, depth)),
    ]),
    ...madeAhead(sheet, shelf),
  ];
};

function unsized({ embedsUnsized, embedsCircular }: SheetPour, pourIndex: number): Found[] {
  return embedsUnsized.map((about) => ({
    ...PLAIN,
    code: embedsCircular.includes(about) ? 'embed-in-itself' : 'embed-has-no-size',
    severity: 'stop',
    pourIndex,
    about,
  }));
}

function placed(embed: SheetEmbed, pour: SheetPour, pourIndex: number, depth: number | null): Found[] {
  const { name: about, densityGPerMl, bottomMm, topMm, perPiece } = embed;
  const common = { ...PLAIN, pourIndex, about };
  const found: Found[] = [];
  if (depth !== null && topMm !== null && topMm > depth + 0.05)
    found.push({ ...common, code: 'embed-too-tall', severity: 'note', overMm: topMm - depth });
  if (bottomMm !== null && pour.toMm !== null && bottomMm >= pour.toMm - 1e-6)
    found.push({ ...common, code: 'embed-out-of-pour', severity: 'caution', overMm: bottomMm - pour.toMm });
  if (perPiece === null) return found;
  const densities = { densityGPerMl, jugGPerMl: pour.jugG / pour.jugVolumeMl };
  const off = densityGPerMl / densities.jugGPerMl - 1;
  if (off < -STAYS_WITHIN) found.push({ ...common, code: 'embed-floats', severity: 'caution', ...densities });
  // What lies on the floor of its pour has sunk already.
  else if (off > STAYS_WITHIN && liftOf(embed, pour) > 0.5)
    found.push({ ...common, code: 'embed-sinks', severity: 'note', ...densities });
  return found;
}

/** How far a piece's underside is from the floor of its pour, mm. */
function liftOf({ bottomMm }: SheetEmbed, { fromMm }: SheetPour): number {
  return bottomMm !== null && fromMm !== null ? bottomMm - fromMm : 0;
}

/** Pieces of another plan, told with the first pour that they are set into. */
function madeAhead(sheet: Sheet, shelf: CheckContext['shelf']): Found[] {
  const cavities = Math.ceil(wholeSheet(sheet).cavities);
  const first = new Map<string, { pourIndex: number; about: string; count: number }>();
  for (const [pourIndex, { embeds }] of sheet.pours.entries())
    for (const { id, kind, name, perPiece, partsOfOne } of embeds) {
      if (kind !== 'plan') continue;
      const known = first.get(id) ?? { pourIndex, about: name, count: 0 };
      first.set(id, { ...known, count: known.count + Math.ceil(((perPiece ?? 0) * cavities) / partsOfOne) });
    }
  return [...first].flatMap(([id, { count, ...each }]): Found[] => {
    // Those that were made already stand on the shelf under the plan's id.
    const left = Math.max(0, Math.floor(freeOf(shelf?.stock.get(id) ?? []) + 1e-9));
    if (left >= count) return [];
    return [{ ...PLAIN, code: 'embed-made-ahead', severity: 'note', ...each, count: count - left }];
  });
}
