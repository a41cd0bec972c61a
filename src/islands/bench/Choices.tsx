interface Props<Value> {
  legend: string;
  name: string;
  options: readonly (readonly [Value, string])[];
  value: Value;
  onChange(value: Value): void;
}

/** One of a few, each as large as a wet finger needs. */
export function Choices<Value extends string | null>({
  legend,
  name,
  options,
  value,
  onChange,
}: Props<Value>) {
  return (
    <fieldset>
      <legend className="mb-1 text-lg font-semibold">{legend}</legend>
      <div className="flex flex-wrap gap-3">
        {options.map(([each, words]) => (
          <label
            key={words}
            className={`border-primary flex min-h-16 min-w-32 cursor-pointer items-center gap-3 rounded-lg border-2 px-4 text-xl ${value === each ? 'live' : ''}`}
          >
            <input
              type="radio"
              name={name}
              className="radio"
              checked={value === each}
              onChange={() => onChange(each)}
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
