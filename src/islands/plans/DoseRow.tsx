import { ChevronRight, X } from 'lucide-react';
import { lazy, memo, Suspense, useId, useState } from 'react';
import { parseQuantity } from '../../core/units/parseQuantity';
import type { DoseRowProps } from './doseRowProps';
import { SEVERITY_BORDER } from './doseSeverity';

const DoseDetails = lazy(() => import('./DoseDetails'));
const DoseFault = lazy(() => import('./DoseFault'));

/** A row is drawn anew only when something that it shows has changed: a key in one dose leaves most others as they are. */
function showsTheSame(before: DoseRowProps, after: DoseRowProps): boolean {
  const shown = ({ index, name, kind, text, severity, figures, parts, wetIn, counts, laid }: DoseRowProps) =>
    JSON.stringify([index, name, kind, text, severity, figures, parts, wetIn, counts, laid]);
  return (
    before.dispersants === after.dispersants &&
    before.actions === after.actions &&
    shown(before) === shown(after)
  );
}

/** One dose: as typed, what it comes to, and on demand every other way to say it. */
export const DoseRow = memo(function DoseRow(props: DoseRowProps) {
  const { index, name, kind, text, severity, figures, parts, actions } = props;
  const id = useId();
  const [open, setOpen] = useState(false);
  const parsed = parseQuantity(text);
  return (
    <>
      <tr className={parsed.success && !open && parts.length === 0 ? '' : 'border-b-0!'}>
        <th scope="row" className="font-normal">
          <span className="block leading-tight">{name}</span>
          <span className="quiet text-xs">
            {kind}
            {figures?.byEye && `, ${figures.byEye}`}
          </span>
        </th>
        <td>
          <DoseField
            name={name}
            index={index}
            text={text}
            border={severity ? SEVERITY_BORDER[severity] : ''}
            faultId={parsed.success ? undefined : id}
            actions={actions}
          />
        </td>
        <td className="px-1 text-right text-lg">
          {figures ? (
            <MassButton name={name} figures={figures} open={open} onToggle={() => setOpen(!open)} />
          ) : (
            '–'
          )}
        </td>
        <td className="text-right">{figures?.ofBase ?? '–'}</td>
        <td className="text-right">{figures?.ofProduct ?? '–'}</td>
        <td className="px-0">
          <button
            type="button"
            className="btn btn-ghost btn-square min-h-11 min-w-11"
            aria-label={`Take out ${name}`}
            onClick={() => actions.onRemove(index)}
          >
            <X size={18} />
          </button>
        </td>
      </tr>
      {!parsed.success && (
        <tr>
          <td colSpan={6} className="pt-0">
            <Suspense>
              <DoseFault
                id={id}
                text={text}
                fault={parsed.error}
                onMeant={(meant) => actions.onSayAs(index, meant)}
              />
            </Suspense>
          </td>
        </tr>
      )}
      {parts.length > 0 && (
        <tr className={open ? 'border-b-0!' : ''}>
          <td colSpan={6} className="pt-0">
            <ul className="quiet text-xs" aria-label={`Parts of ${name}`}>
              {parts.map((part) => (
                <li key={part.name}>
                  {part.mass} {part.name}, {part.how}
                </li>
              ))}
            </ul>
          </td>
        </tr>
      )}
      {open && figures && (
        <tr>
          <td colSpan={6} className="pt-0">
            <Suspense>
              <DoseDetails {...props} onDone={() => setOpen(false)} />
            </Suspense>
          </td>
        </tr>
      )}
    </>
  );
}, showsTheSame);

interface FieldProps extends Pick<DoseRowProps, 'name' | 'index' | 'text' | 'actions'> {
  border: string;
  /** Where it is said why the text can't be read; undefined while it can. */
  faultId: string | undefined;
}

/** A dose as it is typed; several lines that are pasted go into the rows below too. */
function DoseField({ name, index, text, border, faultId, actions }: FieldProps) {
  return (
    <input
      data-dose
      className={`input input-sm w-full pointer-coarse:min-h-11 ${border}`}
      aria-label={`Dose of ${name}`}
      aria-invalid={faultId !== undefined}
      aria-describedby={faultId}
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      value={text}
      onChange={({ target }) => actions.onText(index, target.value)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') actions.onEnter(index);
      }}
      onPaste={(event) => {
        const lines = event.clipboardData
          .getData('text')
          .replace(/\r?\n$/, '')
          .split(/\r?\n/);
        if (lines.length < 2) return;
        event.preventDefault();
        actions.onColumn(
          index,
          lines.map((line) => line.trim()),
        );
      }}
    />
  );
}

interface MassProps extends Pick<DoseRowProps, 'name'> {
  figures: NonNullable<DoseRowProps['figures']>;
  open: boolean;
  onToggle(): void;
}

/** What a dose comes to; opens every other way to say it. */
function MassButton({ name, figures, open, onToggle }: MassProps) {
  return (
    <button
      type="button"
      className="hover:bg-base-200 inline-flex min-h-11 cursor-pointer items-center rounded-lg px-1"
      aria-expanded={open}
      title="Other ways to say it"
      onClick={onToggle}
    >
      <ChevronRight size={14} className={`quiet mr-0.5 ${open ? 'rotate-90' : ''}`} aria-hidden="true" />
      {!figures.exact && figures.count === null && (
        <span className="quiet">
          ≈<span className="sr-only">approximately </span>
        </span>
      )}
      {figures.count === null ? (
        figures.mass
      ) : (
        <span className="flex flex-col items-end leading-tight">
          <span className="whitespace-nowrap text-base">{figures.count}</span>
          <span className="quiet text-xs">{figures.mass}</span>
        </span>
      )}
      <span className="sr-only"> {name}, other ways to say it</span>
    </button>
  );
}
