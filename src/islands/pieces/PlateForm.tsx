import type { ReactNode } from 'react';

interface Props {
  /** It was pressed, and not all of it can be read. */
  isRefused: boolean;
  sending: boolean;
  /** What its button says. */
  label: string;
  onSave(): void;
  children: ReactNode;
  /** What stands below its button. */
  below?: ReactNode;
}

/** A form at the rack, for large fingers: it says when nothing was saved. */
export function PlateForm({ isRefused, sending, label, onSave, children, below }: Props) {
  return (
    <form
      className="plate flex flex-col gap-5 p-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onSave();
      }}
    >
      {children}
      {isRefused && (
        <p role="alert" className="text-error">
          Something above can’t be read yet. Nothing was saved.
        </p>
      )}
      <button type="submit" className="btn btn-primary h-16 text-2xl" disabled={sending} aria-busy={sending}>
        {sending ? 'Writing it down …' : label}
      </button>
      {below && <p className="quiet">{below}</p>}
    </form>
  );
}
