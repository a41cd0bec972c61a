/** A field's name where a row says already what it is of: said in full to whoever does not see the row. */
export function OfWhat({ label, of }: { label: string; of: string }) {
  return (
    <>
      {label}
      <span className="sr-only"> of {of}</span>
    </>
  );
}
