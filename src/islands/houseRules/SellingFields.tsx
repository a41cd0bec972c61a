import { useEffect, useState } from 'react';
import type { HouseChoices } from '../../core/houseRules/houseRules';
import type { LabelSheet } from '../../core/houseRules/selling';
import { overEdgeMm } from '../../core/label/labelSheet';
import type { FigureRule } from '../../core/units/parseFigure';
import { showNumber } from '../../core/units/showQuantity';
import { Choice } from '../shared/Choice';
import { FigureField } from '../shared/FigureField';
import { Line } from '../shared/Line';
import { useShowing } from '../shared/showing';

interface Props {
  choices: Pick<HouseChoices, 'maker' | 'labelSheet'>;
  onChange(part: Partial<HouseChoices>): void;
}

const MAKER = [
  ['name', 'Maker’s name', 120],
  ['address', 'Address', 200],
  ['contact', 'Telephone or address on the network, for reports', 120],
] as const;

const LENGTH: FigureRule = { unit: 'mm', least: 5, most: 300 };
const SPACE: FigureRule = { unit: 'mm', least: 0, most: 100 };

const SHEET: readonly [key: Exclude<keyof LabelSheet, 'paper'>, label: string, rule: FigureRule][] = [
  ['columns', 'Labels across', { unit: '', least: 1, most: 20, whole: true }],
  ['rows', 'Labels down', { unit: '', least: 1, most: 40, whole: true }],
  ['labelWidthMm', 'One is wide', LENGTH],
  ['labelHeightMm', 'One is high', LENGTH],
  ['leftMm', 'From the left edge', SPACE],
  ['topMm', 'From the upper edge', SPACE],
  ['gapXMm', 'Between two, across', SPACE],
  ['gapYMm', 'Between two, down', SPACE],
];

/** What stands on every label, and the sheets of stickers that they are printed on. */
export function SellingFields({ choices: { maker, labelSheet }, onChange }: Props) {
  const { locale } = useShowing();
  const overMm = overEdgeMm(labelSheet);
  const change = (part: Partial<LabelSheet>) => onChange({ labelSheet: { ...labelSheet, ...part } });
  return (
    <section className="plate flex flex-col gap-2 p-4" aria-labelledby="labels-title">
      <h2 id="labels-title" className="font-semibold">
        Labels
      </h2>
      {MAKER.map(([key, label, most]) => (
        <LineOnLeave
          key={key}
          label={label}
          value={maker[key]}
          most={most}
          onLeave={(text) => onChange({ maker: { ...maker, [key]: text } })}
        />
      ))}
      <h3 className="mt-1 text-sm font-semibold">Sheets of stickers</h3>
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="Paper"
          className="col-span-2"
          value={labelSheet.paper}
          onChange={(paper) => change({ paper: paper === 'letter' ? 'letter' : 'a4' })}
        >
          <option value="a4">A4, 210 × 297 mm</option>
          <option value="letter">Letter, 8½ × 11 in</option>
        </Choice>
        {SHEET.map(([key, label, rule]) => (
          <FigureField
            key={key}
            label={label}
            rule={rule}
            value={labelSheet[key]}
            onChange={(value) => change({ [key]: value })}
          />
        ))}
      </div>
      {overMm > 0.05 && (
        <p role="alert" className="text-error text-xs">
          The last labels reach {showNumber(overMm, 1, locale)} mm over the paper: take fewer, or smaller
          gaps.
        </p>
      )}
    </section>
  );
}

interface LeaveProps {
  label: string;
  value: string;
  most: number;
  onLeave(text: string): void;
}

/** A line that counts once it is left: what it was before is kept of the whole of it, not of each letter. */
function LineOnLeave({ label, value, most, onLeave }: LeaveProps) {
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  return (
    <Line
      label={label}
      value={text}
      most={most}
      onText={setText}
      onLeave={() => {
        if (text.trim() !== value) onLeave(text.trim());
      }}
    />
  );
}
