import { pourLetter } from '../plan/plan';
import { showNumber } from '../units/showQuantity';
import type { Check, Finding, Said, Severity } from './finding';

const KINDS = [
  'nothing-beside',
  'dropped-last',
  'dye-pockets',
  'trimmed-between',
  'ball-at-once',
  'two-jugs',
] as const;
type Kind = (typeof KINDS)[number];
const SEVERITY: Record<Kind, Severity> = {
  'nothing-beside': 'stop',
  'dropped-last': 'caution',
  'dye-pockets': 'note',
  'trimmed-between': 'stop',
  'ball-at-once': 'note',
  'two-jugs': 'note',
};

/** Ways of pouring that do not go with the other pours, and what to look out for. Common practice, no source. */
export const pourWays: Check = {
  code: 'pour-ways',

  run: ({ pours, mold: { shape } }) => {
    const last = pours.length - 1;
    const radius = shape.kind === 'sphere' ? shape.diameterMm / 2 : null;
    return pours.flatMap(({ way, fromMm, toMm }, pourIndex): Finding[] => {
      const kinds: Kind[] = [];
      if (way.besideShare !== undefined) kinds.push(pourIndex === 0 ? 'nothing-beside' : 'two-jugs');
      if (way.dropped) kinds.push(pourIndex === last ? 'dropped-last' : 'dye-pockets');
      if (way.trimmed && pourIndex !== 0 && pours.slice(pourIndex + 1).some((other) => !other.way.trimmed))
        kinds.push('trimmed-between');
      // A half is nearly full before the other is clamped on, whatever the pour that does it.
      if (
        radius !== null &&
        fromMm !== null &&
        toMm !== null &&
        toMm > radius + 0.05 &&
        fromMm < radius * HALF_FULL - 0.05
      )
        kinds.push('ball-at-once');
      return kinds.map((kind) => ({
        code: pourWays.code,
        severity: SEVERITY[kind],
        pourIndex,
        doseIndexes: [],
        about: '',
        figures: {
          kind: KINDS.indexOf(kind),
          ...(radius === null ? {} : { nearlyMm: radius - NEARLY_FULL_MM }),
        },
        assumed: false,
        mend: null,
      }));
    });
  },

  say({ pourIndex, figures: { kind = 0, nearlyMm = 0 } }, { locale }) {
    const letter = pourLetter(pourIndex ?? 0);
    const before = pourLetter(Math.max(0, (pourIndex ?? 0) - 1));
    const words: Record<Kind, Omit<Said, 'mendLabel'>> = {
      'nothing-beside': {
        title: `${letter} has nothing to go in beside`,
        reason: 'It is the first pour. Put the other one before it.',
      },
      'two-jugs': {
        title: `${before} and ${letter} must be as hot as one another`,
        reason: 'They go in at once from both sides; the hotter one runs under the other.',
      },
      'dropped-last': {
        title: `Nothing marbles ${letter}`,
        reason: 'What is dripped on is drawn out by the pour that follows it. Add one on top.',
      },
      'dye-pockets': {
        title: `${letter} may leave pockets of colour`,
        reason: 'Drops that are not swept up stain the skin. Trim them off, or melt that bar again.',
      },
      'trimmed-between': {
        title: `${letter} can’t be cut off`,
        reason: 'Pours that stay lie on both sides of it. Only the first or the topmost pours can be.',
      },
      'ball-at-once': {
        title: `${letter} fills the ball past its seam`,
        reason: `Fill one half nearly full first, to ${showNumber(nearlyMm, 0, locale)} mm; let it set, spritz, clamp the other half on, and pour the rest through the hole.`,
      },
    };
    return { ...words[KINDS[kind] ?? 'dye-pockets'], mendLabel: null };
  },
};

/** A half that is filled to so much of its height is nearly full. Our own assumption. */
const HALF_FULL = 0.8;
/** How far below the seam the first half is left. Our own assumption. */
const NEARLY_FULL_MM = 2;
