import { Choice } from '../shared/Choice';

interface Props<Value extends string> {
  label: string;
  value: Value;
  options: readonly (readonly [value: Value, name: string])[];
  onPick(value: Value): void;
}

/** A choice among named values. */
export function OneOf<Value extends string>({ label, value, options, onPick }: Props<Value>) {
  return (
    <Choice label={label} value={value} className="flex-1" onChange={(next) => onPick(next as Value)}>
      {options.map(([each, name]) => (
        <option key={each} value={each}>
          {name}
        </option>
      ))}
    </Choice>
  );
}
