import { pourTint } from '../../core/colour/pourTint';
import { FAULTS, type Fault } from '../../core/inspection/faults';
import type { FaultSeen } from '../../core/inspection/inspection';
import { isKnown } from '../../core/molds/shape';
import type { Sheet } from '../../core/plan/sheet';
import { FAULT_NAMES } from '../../words/en/inspection/faultNames';
import { FaultMark } from './FaultMark';
import { SpotMap } from './SpotMap';

/** A fault as it is being written down; `pieces` as typed. */
export interface FaultDraft extends Omit<FaultSeen, 'pieces'> {
  pieces: string;
}

interface Props {
  sheet: Sheet;
  faults: readonly FaultDraft[];
  /** What is wrong with the pieces of a fault; null where nothing is. */
  faultOf(draft: FaultDraft): string | null;
  onChange(faults: FaultDraft[]): void;
}

/** What is wrong with the pieces: a press each, then in which pours, and in how many. */
export function FaultsSeen({ sheet, faults, faultOf, onChange }: Props) {
  const has = (fault: Fault) => faults.some((each) => each.fault === fault);
  const change = (fault: Fault, part: Partial<FaultDraft>) =>
    onChange(faults.map((each) => (each.fault === fault ? { ...each, ...part } : each)));
  const press = (fault: Fault) =>
    onChange(
      has(fault)
        ? faults.filter((each) => each.fault !== fault)
        : [...faults, { fault, pourIndexes: [], pieces: '' }],
    );
  return (
    <fieldset>
      <legend className="mb-1 text-lg font-semibold">What is not as it should be</legend>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-4">
        {FAULTS.map((fault) => (
          <button
            key={fault}
            type="button"
            aria-pressed={has(fault)}
            className={`border-base-300 flex min-h-14 cursor-pointer items-center gap-2 rounded-lg border-2 px-2 text-left leading-tight ${has(fault) ? 'live border-primary' : ''}`}
            onClick={() => press(fault)}
          >
            <FaultMark fault={fault} />
            {FAULT_NAMES[fault]}
          </button>
        ))}
      </div>
      <ul className="mt-3 flex flex-col gap-3" aria-label="Where, and in how many">
        {faults.map((draft) => (
          <FaultRow
            key={draft.fault}
            sheet={sheet}
            draft={draft}
            fault={faultOf(draft)}
            onChange={(part) => change(draft.fault, part)}
          />
        ))}
      </ul>
    </fieldset>
  );
}

/** So many places of one fault are marked at the most. */
const MOST_SPOTS = 20;

interface RowProps {
  sheet: Sheet;
  draft: FaultDraft;
  fault: string | null;
  onChange(part: Partial<FaultDraft>): void;
}

function FaultRow({ sheet, draft, fault, onChange }: RowProps) {
  const name = FAULT_NAMES[draft.fault];
  const id = `pieces-${draft.fault}`;
  return (
    <li className="flex flex-wrap items-center gap-3">
      <strong className="w-44">{name}</strong>
      {sheet.pours.length > 1 &&
        sheet.pours.map((pour, index) => {
          const isIn = draft.pourIndexes.includes(index);
          return (
            <button
              key={pour.id}
              type="button"
              aria-pressed={isIn}
              aria-label={`${name} in ${pour.letter}`}
              className={`flex min-h-11 min-w-14 cursor-pointer items-center gap-2 rounded-lg border-2 px-2 ${isIn ? 'live border-primary' : 'border-base-300'}`}
              onClick={() =>
                onChange({
                  pourIndexes: isIn
                    ? draft.pourIndexes.filter((each) => each !== index)
                    : [...draft.pourIndexes, index].sort((a, b) => a - b),
                })
              }
            >
              <span
                className="size-5 rounded border border-current"
                style={{ background: pourTint(pour).hex }}
              />
              {pour.letter}
            </button>
          );
        })}
      <label htmlFor={id} className="flex items-center gap-2">
        in
        <input
          id={id}
          className={`input min-h-11 w-20 ${fault === null ? '' : 'input-error'}`}
          inputMode="numeric"
          autoComplete="off"
          value={draft.pieces}
          aria-invalid={fault !== null}
          aria-describedby={`${id}-says`}
          onChange={({ target }) => onChange({ pieces: target.value })}
        />
        pieces
      </label>
      <span id={`${id}-says`} className="text-error text-sm">
        {fault}
      </span>
      <SpotMap
        sheet={sheet}
        spots={draft.spots ?? []}
        label={`Where on the piece: ${name}`}
        onMark={(spot) => onChange({ spots: [...(draft.spots ?? []), spot].slice(-MOST_SPOTS) })}
      />
      {draft.spots ? (
        <button
          type="button"
          className="btn btn-ghost min-h-11 px-2"
          onClick={() => onChange({ spots: undefined })}
        >
          Take the marks off
        </button>
      ) : (
        isKnown(sheet.mold.shape) && <span className="quiet text-sm">Press where it is, if you like.</span>
      )}
    </li>
  );
}
