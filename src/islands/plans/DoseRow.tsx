import { ChevronRight, X } from 'lucide-react';
import { useId, useState } from 'react';
import type { Severity } from '../../core/checks/finding';
import type { Way } from '../../core/plan/waysToSay';
import { explainQuantityFault, parseQuantity } from '../../core/units/parseQuantity';

interface Props {
  name: string;
  kind: string;
  text: string;
  severity: Severity | null;
  figures: { mass: string; ofBase: string; ofProduct: string; exact: boolean } | undefined;
  ways: Way[];
  onText(text: string): void;
  onSayAs(text: string): void;
  /** Several lines were pasted. */
  onColumn(texts: string[]): void;
  onRemove(): void;
  onEnter(): void;
}

const BORDER: Record<Severity, string> = {
  stop: 'border-error border-2',
  caution: 'border-warning border-2',
  note: '',
};

/** One dose: as typed, what it comes to, and on demand every other way to say it. */
export function DoseRow(props: Props) {
  const { name, kind, text, severity, figures, ways, onText, onSayAs, onColumn, onRemove, onEnter } = props;
  const id = useId();
  const [open, setOpen] = useState(false);
  const parsed = parseQuantity(text);
  return (
    <>
      <tr className={parsed.success && !open ? '' : 'border-b-0'}>
        <th scope="row" className="font-normal">
          <span className="block leading-tight">{name}</span>
          <span className="quiet text-xs">{kind}</span>
        </th>
        <td>
          <input
            data-dose
            className={`input input-sm w-full pointer-coarse:min-h-11 ${severity ? BORDER[severity] : ''}`}
            aria-label={`Dose of ${name}`}
            aria-invalid={!parsed.success}
            aria-describedby={parsed.success ? undefined : id}
            autoComplete="off"
            spellCheck={false}
            maxLength={200}
            value={text}
            onChange={({ target }) => onText(target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter') onEnter();
            }}
            onPaste={(event) => {
              const lines = event.clipboardData
                .getData('text')
                .replace(/\r?\n$/, '')
                .split(/\r?\n/);
              if (lines.length < 2) return;
              event.preventDefault();
              onColumn(lines.map((line) => line.trim()));
            }}
          />
        </td>
        <td className="px-1 text-right text-lg">
          {figures ? (
            <button
              type="button"
              className="hover:bg-base-200 inline-flex min-h-11 cursor-pointer items-center rounded-lg px-1"
              aria-expanded={open}
              title="Other ways to say it"
              onClick={() => setOpen(!open)}
            >
              <ChevronRight
                size={14}
                className={`quiet mr-0.5 ${open ? 'rotate-90' : ''}`}
                aria-hidden="true"
              />
              {!figures.exact && (
                <span className="quiet">
                  ≈<span className="sr-only">approximately </span>
                </span>
              )}
              {figures.mass}
              <span className="sr-only"> {name}, other ways to say it</span>
            </button>
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
            onClick={onRemove}
          >
            <X size={18} />
          </button>
        </td>
      </tr>
      {!parsed.success && (
        <tr>
          <td colSpan={6} className="pt-0">
            <p id={id} className="text-error text-xs" role="alert">
              {explainQuantityFault(parsed.error)}
            </p>
          </td>
        </tr>
      )}
      {open && figures && (
        <tr>
          <td colSpan={6} className="pt-0">
            <ul className="flex flex-wrap gap-1" aria-label={`Other ways to say ${name}`}>
              {ways.map((way) => (
                <li key={way.text}>
                  <button
                    type="button"
                    className="btn btn-sm btn-secondary font-normal pointer-coarse:min-h-11"
                    onClick={() => {
                      onSayAs(way.text);
                      setOpen(false);
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
          </td>
        </tr>
      )}
    </>
  );
}
