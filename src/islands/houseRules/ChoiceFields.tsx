import type { HouseChoices } from '../../core/houseRules/houseRules';
import { CHOICES } from './choices';

interface Props {
  choices: HouseChoices;
  onChange(part: Partial<HouseChoices>): void;
}

/** Where crafters differ: each choice with what speaks for it. */
export function ChoiceFields({ choices, onChange }: Props) {
  return (Object.keys(CHOICES) as (keyof typeof CHOICES)[]).map((key) => (
    <fieldset key={key} className="plate p-4">
      <legend className="float-left mb-1 w-full font-semibold">{CHOICES[key].title}</legend>
      <p className="quiet clear-both mb-2 text-sm">{CHOICES[key].reason}</p>
      {Object.entries(CHOICES[key].options).map(([value, name]) => (
        <label key={value} className="flex min-h-11 cursor-pointer items-center gap-3">
          <input
            type="radio"
            className="radio radio-sm"
            name={key}
            checked={choices[key] === value}
            onChange={() => onChange({ [key]: value })}
          />
          {name}
        </label>
      ))}
    </fieldset>
  ));
}
