import { withWhen } from '../../core/plan/setMaking';
import type { PourLayer } from '../../core/schedule/pourPlan';
import { showNumber, showPercent, showTemperature } from '../../core/units/showQuantity';
import { lengthWords, rangeWords } from '../../words/en/lengthWords';
import { usePlanPage } from '../plans/planContext';
import { FigureField } from '../shared/FigureField';
import { useShowing } from '../shared/showing';
import { TemperatureField } from '../shared/TemperatureField';
import type { DetailsProps } from './detailsProps';

type Props = Pick<DetailsProps, 'file' | 'pourPlan' | 'pourIndex'>;

const WAIT = { unit: 'min', least: 0, most: 1440 };

/** When and how warm one pour is poured, and what comes of it in words. */
export function PourWhen({ file: { plan }, pourPlan, pourIndex }: Props) {
  const { editShown } = usePlanPage();
  const showing = useShowing();
  const place = pourPlan.layers.findIndex(({ pourIndexes }) => pourIndexes.includes(pourIndex));
  const layer = pourPlan.layers[place];
  const when = plan.pours[pourIndex]?.when ?? {};
  if (!layer) return null;
  const head = layer.pourIndexes[0] ?? pourIndex;
  const said = plan.pours[head]?.when ?? when;
  return (
    <div className="mt-2 flex flex-col gap-2 text-sm">
      <div className="flex flex-wrap items-end gap-2">
        <TemperatureField
          label="Poured at"
          tempC={Number(layer.atC.toFixed(1))}
          leastC={35}
          mostC={90}
          system={showing.system}
          className="w-28"
          onChange={(atC) => {
            if (Math.abs(atC - layer.atC) > 0.04)
              editShown(withWhen(plan, head, { atC }), `pour heat ${head}`);
          }}
        />
        {place > 0 && (
          <FigureField
            label={`after ${pourPlan.layers[place - 1]?.letters}`}
            value={Math.round(layer.afterS / 60)}
            rule={WAIT}
            className="w-28"
            onChange={(afterMin) => {
              if (afterMin !== Math.round(layer.afterS / 60))
                editShown(withWhen(plan, head, { afterMin }), `pour wait ${head}`);
            }}
          />
        )}
        {(said.afterMin !== undefined || said.atC !== undefined) && (
          <button
            type="button"
            className="btn btn-secondary btn-sm pointer-coarse:min-h-11"
            onClick={() =>
              editShown(withWhen(plan, head, { afterMin: null, atC: null }), `pour left ${head}`)
            }
          >
            Leave it to the pour plan
          </button>
        )}
      </div>
      <Words layer={layer} before={pourPlan.layers[place - 1]} samples={pourPlan.samples} />
    </div>
  );
}

function Words({
  layer,
  before,
  samples,
}: {
  layer: PourLayer;
  before: PourLayer | undefined;
  samples: number;
}) {
  const showing = useShowing();
  const { locale } = showing;
  const { window, bond, skin, jugs, letters, tooThickC, rewarm } = layer;
  return (
    <ul className="ml-4 list-disc">
      {window && before && (
        <li>
          {before.letters} carries {letters} after <strong>{rangeWords(window.earliest, locale)}</strong>; it
          still bonds until <strong>{rangeWords(window.latest, locale)}</strong>. Best after about{' '}
          {lengthWords(window.idealS, locale)}. A touch is the last word.
        </li>
      )}
      {bond && (
        <li>
          At its moment: {BOND_SAYS[bond.likely]}
          {samples > 0 &&
            ` (weak ${showPercent(bond.shares.weak, locale, 0)}, good ${showPercent(bond.shares.good, locale, 0)}, deep ${showPercent(bond.shares.deep, locale, 0)}, through ${showPercent(bond.shares.broken, locale, 0)} of ${samples} samples)`}
          .
          {bond.likely === 'weak' &&
            (rewarm
              ? ` Rewarm it to ${showTemperature(rewarm.fromC, showing)} to ${showTemperature(rewarm.toC, showing)}, or spray and score.`
              : ' No heat mends that: spray and score.')}
        </li>
      )}
      {jugs.map((jug) => (
        <li key={jug.pourIndex}>
          {jug.name === '' ? 'Its jug' : jug.name}, {showNumber(jug.contentG, 0, locale)} g: down to{' '}
          {showTemperature(layer.atC, showing)} in {rangeWords(jug.ready, locale)}, too thick below{' '}
          {showTemperature(tooThickC, showing)} in {rangeWords(jug.tooThick, locale)}
          {jug.taught ? ', as it was taught' : ''}.
        </li>
      ))}
      <li>
        Its own skin: <strong>{rangeWords(skin, locale)}</strong>.
      </li>
    </ul>
  );
}

const BOND_SAYS = {
  weak: 'a weak bond',
  good: 'it bonds',
  deep: 'it bonds, and melts deep into the layer below',
  broken: 'it breaks through',
} as const;
