import { depthMm, isKnown } from '../molds/shape';
import { pourLetter } from '../plan/plan';
import type { SheetPour } from '../plan/sheet';
import { showNumber } from '../units/showQuantity';
import type { Check, Finding, Said, Severity } from './finding';

const KINDS = ['no-size', 'too-tall', 'out-of-pour', 'floats', 'sinks', 'made-ahead', 'circular'] as const;
type Kind = (typeof KINDS)[number];
const SEVERITY: Record<Kind, Severity> = {
  'no-size': 'stop',
  'too-tall': 'note',
  'out-of-pour': 'caution',
  floats: 'caution',
  sinks: 'note',
  'made-ahead': 'note',
  circular: 'stop',
};
/** Closer than this a piece stays where it is put, since base thickens around it. Our own assumption. */
const STAYS_WITHIN = 0.01;

/** Whether what is set into a pour stays where it should, fits the cavity, and is there. */
export const embedsFit: Check = {
  code: 'embeds-fit',

  run: (sheet) => {
    const depth = isKnown(sheet.mold.shape) ? depthMm(sheet.mold.shape) : null;
    const told = new Set<string>();
    return sheet.pours.flatMap((pour, pourIndex) => {
      const finding = (kind: Kind, about: string, figures: Record<string, number>): Finding => ({
        code: embedsFit.code,
        severity: SEVERITY[kind],
        pourIndex,
        doseIndexes: [],
        about,
        figures: { kind: KINDS.indexOf(kind), ...figures },
        assumed: false,
        mend: null,
      });
      const unsized = pour.embedsUnsized.map((name) =>
        finding(pour.embedsCircular.includes(name) ? 'circular' : 'no-size', name, {}),
      );
      const own = pour.embeds.flatMap((embed): Finding[] => {
        const { name, kind, id, densityGPerMl, bottomMm, topMm, perPiece } = embed;
        const found: Finding[] = [];
        if (depth !== null && topMm !== null && topMm > depth + 0.05)
          found.push(finding('too-tall', name, { overMm: topMm - depth }));
        if (bottomMm !== null && pour.toMm !== null && bottomMm >= pour.toMm - 1e-6)
          found.push(finding('out-of-pour', name, { overMm: bottomMm - pour.toMm }));
        const densities = { densityGPerMl, jugGPerMl: densityOf(pour) };
        const moves = driftOf(densities, liftOf(embed, pour));
        if (moves && perPiece !== null) found.push(finding(moves, name, densities));
        if (kind === 'plan' && !told.has(id)) {
          told.add(id);
          const count = sheet.pours
            .flatMap(({ embeds }) => embeds)
            .reduce((sum, each) => sum + (each.id === id ? (each.perPiece ?? 0) : 0), 0);
          found.push(finding('made-ahead', name, { count: count * sheet.fills }));
        }
        return found;
      });
      return [...unsized, ...own];
    });
  },

  say({ about, pourIndex, figures }, { locale }) {
    const mm = showNumber(figures.overMm ?? 0, 1, locale);
    const densities = `${showNumber(figures.densityGPerMl ?? 0, 2, locale)} g/mL against ${showNumber(figures.jugGPerMl ?? 0, 2, locale)} of the pour`;
    const letter = pourLetter(pourIndex ?? 0);
    const words: Record<Kind, Omit<Said, 'mendLabel'>> = {
      'no-size': {
        title: `${about} has no size in ${letter}`,
        reason: 'Say what one weighs or measures: 6 g, 5 mL, 20 x 15 x 8 mm.',
      },
      circular: {
        title: `${about} is set into itself`,
        reason:
          'Its plan sets in pieces of a plan that sets in pieces of it. Take one of the two out, or say what one weighs.',
      },
      'too-tall': {
        title: `${about} stands ${mm} mm above the brim`,
        reason: 'The bar will not lie flat on that side. Set it deeper, or take a deeper mold.',
      },
      'out-of-pour': {
        title: `${about} does not touch pour ${letter}`,
        reason: 'It stands out by more than its own height. Let it stand out less.',
      },
      floats: {
        title: `${about} will float in pour ${letter}`,
        reason: `It is lighter: ${densities}. Pour a little, set it in, wait for a skin, then pour the rest; or hold it down.`,
      },
      sinks: {
        title: `${about} will sink in pour ${letter}`,
        reason: `It is heavier: ${densities}. Pour to where it should lie, wait for a skin, set it on, then pour the rest.`,
      },
      'made-ahead': {
        title: `Make ${figures.count ?? 0} of ${about} first`,
        reason: 'They must be set and cold before they are set in. Spritz them with alcohol.',
      },
    };
    return { ...words[KINDS[figures.kind ?? 0] ?? 'no-size'], mendLabel: null };
  },
};

function densityOf({ jugG, jugVolumeMl }: SheetPour): number {
  return jugG / jugVolumeMl;
}

/** How far a piece's underside is from the floor of its pour, mm. */
function liftOf({ bottomMm }: SheetPour['embeds'][number], { fromMm }: SheetPour): number {
  return bottomMm !== null && fromMm !== null ? bottomMm - fromMm : 0;
}

function driftOf(
  { densityGPerMl, jugGPerMl }: { densityGPerMl: number; jugGPerMl: number },
  liftMm: number,
): 'floats' | 'sinks' | null {
  const off = densityGPerMl / jugGPerMl - 1;
  if (off < -STAYS_WITHIN) return 'floats';
  // What lies on the floor of its pour has sunk already.
  return off > STAYS_WITHIN && liftMm > 0.5 ? 'sinks' : null;
}
