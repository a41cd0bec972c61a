interface Props {
  /** It was pressed, and not all of it can be read. */
  isRefused: boolean;
  sending: boolean;
  label: string;
}

/** The end of a form at the rack. */
export function SaveFoot({ isRefused, sending, label }: Props) {
  return (
    <>
      {isRefused && (
        <p role="alert" className="text-error">
          Something above can’t be read yet. Nothing was saved.
        </p>
      )}
      <button type="submit" className="btn btn-primary h-16 text-2xl" disabled={sending} aria-busy={sending}>
        {sending ? 'Writing it down …' : label}
      </button>
    </>
  );
}
