import type { PriceEnding, Pricing } from '../../core/houseRules/pricing';
import type { FigureRule } from '../../core/units/parseFigure';
import { Choice } from '../shared/Choice';
import { FigureField } from '../shared/FigureField';

interface Props {
  pricing: Pricing;
  onChange(pricing: Pricing): void;
}

const PERCENT: FigureRule = { unit: '%', least: 0, most: 95 };
const MARK_UP: FigureRule = { unit: '%', least: 0, most: 2000 };

const ENDINGS: Record<PriceEnding, string> = {
  none: 'as it comes',
  half: '.00 or .50',
  ninety: '.90',
  'ninety-five': '.95',
  'ninety-nine': '.99',
  whole: 'whole units',
};

const FIELDS = [
  ['wholesaleMargin', 'Margin at wholesale', PERCENT],
  ['fee', 'Fees, of what is paid', PERCENT],
  ['tax', 'Tax, on the price without it', PERCENT],
] as const;

/** How prices are made of costs. */
export function PricingFields({ pricing, onChange }: Props) {
  const percent = (
    key: 'margin' | 'markUp' | 'wholesaleMargin' | 'fee' | 'tax',
    label: string,
    rule: FigureRule,
  ) => (
    <FigureField
      key={key}
      label={label}
      rule={rule}
      value={Number((pricing[key] * 100).toPrecision(12))}
      onChange={(value) => onChange({ ...pricing, [key]: Number((value / 100).toPrecision(12)) })}
    />
  );
  return (
    <>
      <Choice
        label="Prices are made by"
        value={pricing.by}
        onChange={(chosen) => onChange({ ...pricing, by: chosen === 'margin' ? 'margin' : 'mark-up' })}
      >
        <option value="margin">a margin of the price</option>
        <option value="mark-up">a mark-up on the cost</option>
      </Choice>
      {pricing.by === 'margin'
        ? percent('margin', 'Margin at retail', PERCENT)
        : percent('markUp', 'Mark-up at retail', MARK_UP)}
      {FIELDS.map(([key, label, rule]) => percent(key, label, rule))}
      <Choice
        label="Prices end on"
        value={pricing.ending}
        onChange={(chosen) => onChange({ ...pricing, ending: chosen as PriceEnding })}
      >
        {Object.entries(ENDINGS).map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </Choice>
    </>
  );
}
