interface Props {
  moldId: string | null;
  molds: readonly { id: string; name: string }[];
  onChange(moldId: string | null): void;
}

/** Where what is left over goes, once and for all. */
export function SpareMold({ moldId, molds, onChange }: Props) {
  const isThere = moldId === null || molds.some(({ id }) => id === moldId);
  return (
    <label className="flex flex-col text-xs">
      <span className="quiet">What is left over goes into</span>
      <select
        className="select select-sm w-full pointer-coarse:min-h-11"
        value={moldId ?? ''}
        onChange={({ target: { value } }) => onChange(value === '' ? null : value)}
      >
        <option value="">the scrap jar</option>
        {molds.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
        {!isThere && <option value={moldId ?? ''}>a mold that is not there any more</option>}
      </select>
    </label>
  );
}
