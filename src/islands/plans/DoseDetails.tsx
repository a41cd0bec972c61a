import { waysToSay } from '../../core/plan/waysToSay';
import { CountsField } from './CountsField';
import type { DoseRowProps } from './doseRowProps';
import { WettingField } from './WettingField';

/** What a dose's row opens to: every other way to say it, what it says of its jug, and how it is stirred in. */
export default function DoseDetails(props: DoseRowProps & { onDone(): void }) {
  const { pourIndex, index, name, dispersants, wetIn, counts, actions, onDone } = props;
  const toSay = props.toSay();
  const ways = toSay ? waysToSay(toSay.dose, toSay.material, toSay.pour, toSay.sheet) : [];
  return (
    <>
      <ul className="flex flex-wrap gap-1" aria-label={`Other ways to say ${name}`}>
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
      {counts && (
        <CountsField
          name={name}
          pourIndex={pourIndex}
          counts={counts}
          onChange={(next) => actions.onCounts(index, next)}
        />
      )}
      {dispersants && (dispersants.length > 0 || wetIn) && (
        <WettingField
          name={name}
          wetIn={wetIn}
          dispersants={dispersants}
          onChange={(next) => actions.onWetting(index, next)}
        />
      )}
    </>
  );
}
