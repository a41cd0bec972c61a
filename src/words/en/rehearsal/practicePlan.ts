import type { HouseRules } from '../../../core/houseRules/houseRules';
import { USUAL_HOUSE_RULES } from '../../../core/houseRules/houseRules';
import { withIds } from '../../../core/plan/ids';
import { USUAL_MAKING } from '../../../core/plan/making';
import { dose, PLAN_FILE_FORMAT, PLAN_FILE_VERSION, type PlanFile } from '../../../core/plan/plan';
import type { Dare } from '../../../core/rehearsal/dares';
import { STARTER_MATERIALS } from '../starter/materials';
import { STARTER_MOLDS } from '../starter/molds';

const FREEZER_MIN = 20;
const JUGS = [
  { id: 'practice-1', name: 'Jug 1', holdsMl: 900, taught: [] },
  { id: 'practice-2', name: 'Jug 2', holdsMl: 900, taught: [] },
];
const SMALL_JUG = { id: 'practice-small', name: 'Small jug', holdsMl: 200, taught: [] };

/** A plan to practise a mistake on: two layers in four bars, of usual materials; six where a jug is to be too small. */
export function practiceFile(dare: Dare): PlanFile {
  const [mold] = STARTER_MOLDS;
  if (!mold) throw new RangeError('a starter shelf without a mold');
  const named = (id: string) => STARTER_MATERIALS.filter((material) => material.id === id);
  return {
    format: PLAN_FILE_FORMAT,
    version: PLAN_FILE_VERSION,
    plan: withIds({
      name: 'White on clear',
      use: 'body',
      moldId: mold.id,
      pieces: dare === 'small-jug' ? 6 : 4,
      fillFraction: 1,
      jugLossFraction: 0.02,
      note: '',
      pours: [
        {
          baseId: 'usual-clear-base',
          size: { by: 'thickness', thicknessMm: 10 },
          doses: [dose('usual-fragrance-oil', '2 %')],
        },
        // So warm, the window is wide where nothing goes wrong.
        { baseId: 'usual-white-base', size: { by: 'rest' }, doses: [], when: { atC: 57 } },
      ],
      ...(dare === 'long-freezer' ? { making: { ...USUAL_MAKING, freezerMin: FREEZER_MIN } } : {}),
    }),
    mold,
    materials: ['usual-clear-base', 'usual-white-base', 'usual-fragrance-oil'].flatMap(named),
  };
}

/** The usual house rules, with jugs to practise with. */
export function practiceRules(dare: Dare): HouseRules {
  return { ...USUAL_HOUSE_RULES, jugs: dare === 'small-jug' ? [SMALL_JUG] : JUGS };
}
