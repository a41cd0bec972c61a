import { Copy, Download, Printer, Redo2, Scale, Undo2 } from 'lucide-react';
import { type ReactNode, useEffect, useState } from 'react';
import { USES, type Use } from '../../core/materials/fields';
import type { Mold } from '../../core/molds/mold';
import { NO_MOLD_ID } from '../../core/molds/noMold';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { LotStock } from '../../core/stock/stock';
import { USE_NAMES } from '../../words/en/plan/useNames';
import { Choice } from '../shared/Choice';
import { FigureField } from '../shared/FigureField';
import type { SaveState } from '../shared/saveQueue';
import { useShowing } from '../shared/showing';
import { HowMuch } from './HowMuch';
import { usePlanPage } from './planContext';
import { useNewRecord } from './useNewRecord';
import type { usePlanActions } from './usePlanActions';

interface Props {
  plan: Plan;
  saved: StoredPlan;
  molds: Mold[];
  /** Null until a stop is mended. */
  sheet: Sheet | null;
  /** Lots of the first pour's base. */
  lots: readonly LotStock[];
  saveState: SaveState;
  stopped: boolean;
  canUndo: boolean;
  canRedo: boolean;
  undo(): void;
  redo(): void;
  actions: ReturnType<typeof usePlanActions>;
}

const LOSS = { unit: '%', least: 0, most: 50 };

export function PlanBar(props: Props) {
  const { edit, rules } = usePlanPage();
  const { plan, molds, sheet, lots } = props;
  const { system } = useShowing();
  const setMold = async (moldId: string) => {
    const { intoMold } = await import('../../core/plan/intoMold');
    // One that was made this moment is not among the molds yet.
    const mold = molds.find(({ id }) => id === moldId) ?? {
      id: moldId,
      usualFillFraction: rules.fillFraction,
    };
    edit(intoMold(plan, moldId === NO_MOLD_ID ? null : mold, sheet, system), 'mold');
  };
  const { newOption, newForm, choosing } = useNewRecord({ what: 'mold', onMade: (id) => void setMold(id) });
  return (
    <header className="plate flex flex-wrap items-start gap-x-2 gap-y-1 px-3 py-1.5">
      <NameField name={plan.name} onChange={(name) => edit({ ...plan, name }, 'name')} />
      <Choice
        label="For"
        value={plan.use}
        className="w-31"
        onChange={(use) => edit({ ...plan, use: use as Use }, 'use')}
      >
        {USES.map((use) => (
          <option key={use} value={use}>
            {USE_NAMES[use]}
          </option>
        ))}
      </Choice>
      <Choice label="Mold" value={plan.moldId} className="w-33" onChange={choosing((id) => void setMold(id))}>
        {molds.map((mold) => (
          <option key={mold.id} value={mold.id}>
            {mold.name}
          </option>
        ))}
        <option value={NO_MOLD_ID} disabled={!sheet}>
          no mold yet
        </option>
        {newOption}
      </Choice>
      {newForm}
      <HowMuch plan={plan} sheet={sheet} lots={lots} />
      <FigureField
        label="Stays in jug"
        className="w-18"
        value={plan.jugLossFraction * 100}
        rule={LOSS}
        onChange={(percent) => edit({ ...plan, jugLossFraction: percent / 100 }, 'loss')}
      />
      <Actions {...props} />
    </header>
  );
}

function Actions({ plan, saved, saveState, stopped, canUndo, canRedo, undo, redo, actions }: Props) {
  const hasMold = plan.moldId !== NO_MOLD_ID;
  return (
    <div className="ml-auto flex flex-wrap items-center self-center">
      <SavedLine state={saveState} saved={saved} />
      <IconButton label="Undo" disabled={!canUndo} onClick={undo}>
        <Undo2 size={20} />
      </IconButton>
      <IconButton label="Redo" disabled={!canRedo} onClick={redo}>
        <Redo2 size={20} />
      </IconButton>
      <IconButton label="Duplicate" onClick={actions.duplicate}>
        <Copy size={20} />
      </IconButton>
      <IconButton label="Save as a file" onClick={actions.exportFile}>
        <Download size={20} />
      </IconButton>
      <IconButton label="Bench sheet, to print" onClick={actions.print}>
        <Printer size={20} />
      </IconButton>
      <BenchButton stopped={stopped} hasMold={hasMold} onBench={actions.toTheBench} />
    </div>
  );
}

interface BenchProps {
  stopped: boolean;
  hasMold: boolean;
  onBench(): Promise<void>;
}

function BenchButton({ stopped, hasMold, onBench }: BenchProps) {
  const [busy, setBusy] = useState(false);
  return (
    <button
      type="button"
      className="btn btn-primary ml-1 min-h-11 px-3"
      disabled={stopped || busy || !hasMold}
      title={
        stopped
          ? 'A stop among the checks keeps this plan from the bench'
          : hasMold
            ? undefined
            : 'Choose a mold first'
      }
      onClick={async () => {
        setBusy(true);
        await onBench();
        setBusy(false);
      }}
    >
      <Scale size={20} aria-hidden="true" />
      To the bench
    </button>
  );
}

const STATE_WORDS = {
  saved: 'Saved',
  unsaved: 'Not saved yet',
  saving: 'Saving …',
  failed: 'Not saved',
  conflict: 'Changed elsewhere',
};

function SavedLine({ state, saved }: { state: SaveState; saved: StoredPlan }) {
  const failed = state.kind === 'failed';
  return (
    <p className="mr-1 min-w-20 max-w-36 text-right text-xs leading-tight" role="status">
      <span className={failed || state.kind === 'conflict' ? 'text-error font-semibold' : ''}>
        {STATE_WORDS[state.kind]}
      </span>
      {failed && <span className="text-error block">{state.problem.detail}</span>}
      <a href={`/plans/${saved.id}/versions`} className="quiet block underline">
        Version {saved.version}
      </a>
    </p>
  );
}

function NameField({ name, onChange }: { name: string; onChange(name: string): void }) {
  const [text, setText] = useState(name);
  const fault =
    text.trim() === ''
      ? 'A plan needs a name.'
      : text.trim().length > 120
        ? '120 characters at the most.'
        : null;
  useEffect(() => setText((before) => (before.trim() === name ? before : name)), [name]);
  return (
    <div className="flex w-28 min-w-28 grow flex-col">
      <label htmlFor="plan-name" className="quiet text-xs">
        Plan
      </label>
      <input
        id="plan-name"
        className={`input input-sm w-full pointer-coarse:min-h-11 font-semibold ${fault ? 'input-error' : ''}`}
        autoComplete="off"
        value={text}
        aria-invalid={fault !== null}
        aria-describedby={fault ? 'plan-name-why' : undefined}
        onChange={({ target }) => {
          setText(target.value);
          const typed = target.value.trim();
          if (typed !== '' && typed.length <= 120) onChange(typed);
        }}
      />
      {fault && (
        <p id="plan-name-why" role="alert" className="text-error text-xs">
          {fault}
        </p>
      )}
    </div>
  );
}

interface IconButtonProps {
  label: string;
  disabled?: boolean;
  children: ReactNode;
  onClick(): void;
}

function IconButton({ label, disabled, children, onClick }: IconButtonProps) {
  return (
    <button
      type="button"
      className="btn btn-ghost btn-square min-h-11 min-w-11"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
