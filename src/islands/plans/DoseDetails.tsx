import type { Laid } from '../../core/plan/laid';
import { asOptional, counting, type Dose, laying, retyped } from '../../core/plan/plan';
import { weighedLines } from '../../core/plan/sheet';
import { waysToSay } from '../../core/plan/waysToSay';
import { countedIn, countFor } from '../../core/units/counting';
import { isShare } from '../../core/units/quantity';
import { massUnit, type UnitSystem } from '../../core/units/showQuantity';
import { writeMass } from '../../core/units/writeQuantity';
import { showCount } from '../../words/en/units/showCount';
import { useShowing } from '../shared/showing';
import { CountsField } from './CountsField';
import type { DoseRowProps, ToSay } from './doseRowProps';
import { LaidField } from './LaidField';
import { WettingField } from './WettingField';

/** What a dose's row opens to: every other way to say it, what it says of its jug, and how it is stirred in. */
export default function DoseDetails(props: DoseRowProps & { onDone(): void }) {
  const { pourIndex, index, name, dispersants, wetIn, counts, laid, isOptional, actions, onDone } = props;
  const { locale, system } = useShowing();
  const toSay = props.toSay();
  const whole = toSay && wholeCount(toSay, index, locale);
  const ways = toSay ? waysToSay(toSay.dose, toSay.material, toSay.pour, toSay.sheet) : [];
  return (
    <>
      <ul className="flex flex-wrap gap-1" aria-label={`Other ways to say ${name}`}>
        {whole && (
          <li>
            <button
              type="button"
              className="btn btn-sm btn-outline btn-primary pointer-coarse:min-h-11"
              onClick={() => {
                actions.onSayAs(index, whole);
                onDone();
              }}
            >
              Count out {whole}
            </button>
          </li>
        )}
        {ways.map((way) => (
          <li key={way.text}>
            <button
              type="button"
              className="btn btn-sm btn-secondary font-normal pointer-coarse:min-h-11"
              onClick={() => {
                actions.onSayAs(index, way.text);
                onDone();
              }}
            >
              {!way.exact && (
                <>
                  ≈<span className="sr-only">approximately</span>
                </>
              )}
              {way.text}
            </button>
          </li>
        ))}
      </ul>
      <LaidField
        name={name}
        pourIndex={pourIndex}
        laid={laid}
        onChange={(next) =>
          actions.onChange(index, (dose) => laidAs(dose, next, toSay && amountFor(toSay, system)), 'laid')
        }
      />
      {counts && laid === null && (
        <CountsField
          name={name}
          pourIndex={pourIndex}
          counts={counts}
          onChange={(next) => actions.onChange(index, (dose) => counting(dose, next), 'counts')}
        />
      )}
      {dispersants && (
        <WettingField
          name={name}
          wetIn={wetIn}
          dispersants={dispersants}
          onChange={(next) => actions.onChange(index, (dose) => ({ ...dose, wetIn: next }), 'wetting')}
        />
      )}
      <label className="flex min-h-11 w-fit cursor-pointer items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox"
          checked={isOptional}
          onChange={({ target: { checked } }) =>
            actions.onChange(index, (dose) => asOptional(dose, checked), 'optional')
          }
        />
        may be left out at the bench
      </label>
    </>
  );
}

/** Stirred in, or laid somewhere: then it is said as an amount. */
function laidAs(dose: Dose, laid: Laid | null, amount: string | null): Dose {
  const { means } = dose;
  const isAmount = means !== null && means.kind !== 'toTaste' && !isShare(means);
  return laying(laid === null || isAmount || amount === null ? dose : retyped(dose, amount), laid);
}

/** What a dose comes to, as an amount: laid on, a share of the base has no meaning. */
function amountFor({ dose: { massG } }: ToSay, system: UnitSystem): string {
  return `${writeMass(massG, system)} ${massUnit(system)}`;
}

/** A count closer than this is told as it was said. */
const AS_SAID = 0.005;

/** What is counted out for a dose that comes to no whole count by itself, as text in its place; null for all others. */
function wholeCount({ dose: { massG }, pour }: ToSay, doseIndex: number, locale: string): string | null {
  const counted = weighedLines(pour).find((line) => line.doseIndex === doseIndex)?.counted;
  if (!counted || !(massG > 0)) return null;
  const into = countedIn(counted, massG);
  const count = countFor(massG, into);
  return Math.abs((count * into.gPerOne) / massG - 1) > AS_SAID
    ? showCount(counted, massG, { locale })
    : null;
}
