import { leaningAreaMm2, leaningCapacityMl, surfaceOf } from '../../../core/molds/lean';
import { isKnown } from '../../../core/molds/shape';
import { goOnInJug } from '../../../core/plan/goOnInJug';
import { pourLetter } from '../../../core/plan/plan';
import type { PourWay } from '../../../core/plan/pourWay';
import type { SheetLine, SheetPour } from '../../../core/plan/sheet';
import { type Showing, showNumber, showVolume } from '../../../core/units/showQuantity';
import { showAmountOut } from '../../../words/en/units/showCount';
import { FigureField } from '../../shared/FigureField';
import { useShowing } from '../../shared/showing';
import { Tick } from '../../shared/Tick';
import { usePlanPage } from '../planContext';
import { withPour } from '../planEdits';
import type { PourPanelProps } from './pourPanel';

const ANGLE = { unit: '°', least: 0.5, most: 60 };
const SHARE = { unit: '%', least: 5, most: 95 };
const GOES = { unit: '', least: 1, most: 9, whole: true };
const LEANS = {
  level: 'Level',
  'length up': 'Leaning along its length, right end deep',
  'length down': 'Leaning along its length, left end deep',
  'width up': 'Leaning across, far side deep',
  'width down': 'Leaning across, near side deep',
} as const;
type Leaning = keyof typeof LEANS;
const FIRST_ANGLE_DEG = 15;
const HALF = 0.5;

/** The ways of pouring that are not simply level, all at once, from a jug of its own. */
export function WayFields({ file: { plan, mold }, pourIndex, sheet }: PourPanelProps) {
  const { editShown } = usePlanPage();
  const pour = plan.pours[pourIndex];
  const before = plan.pours[pourIndex - 1];
  const sheetPour = sheet?.pours[pourIndex];
  const way = pour?.way ?? {};
  const letter = pourLetter(pourIndex);
  const beforeLetter = pourLetter(pourIndex - 1);
  const change = (part: Partial<PourWay>, about: string) =>
    editShown(
      withPour(plan, pourIndex, ({ way: _, ...rest }) => {
        const next = withoutGaps({ ...way, ...part });
        return Object.keys(next).length === 0 ? rest : { ...rest, way: next };
      }),
      `${about} of ${pourIndex}`,
    );
  const isBeside = before !== undefined && way.besideShare !== undefined;
  return (
    <fieldset className="grid grid-cols-2 items-start gap-x-3 gap-y-1 text-sm">
      <legend className="sr-only">How {letter} is poured</legend>
      {isKnown(mold.shape) && !isBeside && (
        <LeanFields way={way} onChange={(lean, about) => change({ lean }, about)} />
      )}
      {way.lean && sheetPour && <LeanSays mold={mold} pour={sheetPour} />}
      {before && (
        <label className="col-span-2 flex flex-col sm:col-span-1">
          <span className="quiet text-xs">It goes</span>
          <select
            className="select select-sm w-full pointer-coarse:min-h-11"
            value={isBeside ? 'beside' : 'on'}
            onChange={({ target }) =>
              change({ besideShare: target.value === 'beside' ? HALF : undefined, lean: undefined }, 'beside')
            }
          >
            <option value="on">On top of {beforeLetter}</option>
            <option value="beside">Beside {beforeLetter}, both jugs at once</option>
          </select>
        </label>
      )}
      {isBeside && (
        <FigureField
          label="Its share of their room"
          rule={SHARE}
          value={(way.besideShare ?? HALF) * 100}
          onChange={(share) => change({ besideShare: share / 100 }, 'share')}
        />
      )}
      <FigureField
        label="In so many goes"
        rule={GOES}
        value={way.goes ?? 1}
        onChange={(goes) => change({ goes: goes > 1 ? goes : undefined }, 'goes')}
      />
      {before && !isBeside && (
        <Tick
          label={`Goes on in the jug of ${beforeLetter}`}
          isOn={way.sameJug === true}
          isOff={before.baseId !== pour?.baseId && !way.sameJug}
          onChange={(isOn) =>
            isOn
              ? editShown(goOnInJug(plan, pourIndex), `jug ${pourIndex} ${Date.now()}`)
              : change({ sameJug: undefined }, 'jug')
          }
        />
      )}
      {before && !isBeside && (
        <Tick
          label={`Dripped on ${beforeLetter}, drawn out by the next`}
          isOn={way.dropped === true}
          onChange={(isOn) => change({ dropped: isOn || undefined }, 'drops')}
        />
      )}
      <Tick
        label="Cut off once it is out"
        isOn={way.trimmed === true}
        onChange={(isOn) => change({ trimmed: isOn || undefined }, 'trim')}
      />
      {way.sameJug && sheetPour && <AddBefore pour={sheetPour} letter={letter} />}
    </fieldset>
  );
}

interface LeanProps {
  way: PourWay;
  onChange(lean: PourWay['lean'], about: string): void;
}

/** How the mold stands, and at which angle where it leans. */
function LeanFields({ way, onChange }: LeanProps) {
  const deg = Math.abs(way.lean?.deg ?? FIRST_ANGLE_DEG);
  return (
    <>
      <label className="col-span-2 flex flex-col sm:col-span-1">
        <span className="quiet text-xs">The mold stands</span>
        <select
          className="select select-sm w-full pointer-coarse:min-h-11"
          value={leaningOf(way)}
          onChange={({ target }) => onChange(leanFrom(target.value as Leaning, deg), 'lean')}
        >
          {(Object.keys(LEANS) as Leaning[]).map((each) => (
            <option key={each} value={each}>
              {LEANS[each]}
            </option>
          ))}
        </select>
      </label>
      {way.lean && (
        <FigureField
          label="Angle at the bench"
          rule={ANGLE}
          value={deg}
          onChange={(next) => onChange(leanFrom(leaningOf(way), next), 'angle')}
        />
      )}
    </>
  );
}

/** What a leaning mold holds, and how large the surface is that must be spritzed. */
function LeanSays({ mold, pour }: Pick<PourPanelProps['file'], 'mold'> & { pour: SheetPour }) {
  const showing = useShowing();
  const { lean } = pour.way;
  if (!lean || pour.surfaceMm === null || !isKnown(mold.shape)) return null;
  const surface = surfaceOf(pour.surfaceMm, lean);
  return (
    <p className="quiet col-span-2 text-xs">
      Leaning like this a cavity holds {showVolume(leaningCapacityMl(mold.shape, lean), showing.locale)}{' '}
      before it runs over; the slope is{' '}
      {showNumber(leaningAreaMm2(mold.shape, surface) / 100, 1, showing.locale)} cm².
    </p>
  );
}

/** What is added to the jug before this pour, given what has left it already. */
function AddBefore({ pour, letter }: { pour: SheetPour; letter: string }) {
  const showing = useShowing();
  const added = pour.lines.filter(({ addG }) => Math.abs(addG) > 1e-6);
  return (
    <p className="col-span-2 text-sm">
      Before {letter}:{' '}
      {added.length === 0 ? 'nothing is added.' : added.map((line) => addedWords(line, showing)).join(', ')}
    </p>
  );
}

/** In counts where it was said so, with the grams. */
function addedWords({ material, counted, addG }: SheetLine, showing: Showing): string {
  return `${addG < 0 ? '−' : '+'} ${showAmountOut(counted, Math.abs(addG), showing)} ${material.name}`;
}

function leaningOf({ lean }: PourWay): Leaning {
  if (!lean) return 'level';
  return `${lean.along} ${lean.deg > 0 ? 'up' : 'down'}`;
}

function leanFrom(leaning: Leaning, deg: number): PourWay['lean'] {
  if (leaning === 'level') return undefined;
  const along = leaning.startsWith('length') ? 'length' : 'width';
  return { along, deg: leaning.endsWith('up') ? deg : -deg };
}

/** Keys that say nothing are left out, so that a plan is the same text before and after. */
function withoutGaps(way: PourWay): PourWay {
  return Object.fromEntries(Object.entries(way).filter(([, value]) => value !== undefined)) as PourWay;
}
