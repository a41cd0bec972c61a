import { LABEL_LAYOUTS } from '../../core/label/labelLayout';
import { isUs, LABEL_RULES, LIST_PLACES } from '../../core/label/labelRules';
import { ALLERGEN_LISTS } from '../../core/materials/allergenNames';
import type { Product } from '../../core/product/product';
import type { FigureRule } from '../../core/units/parseFigure';
import {
  ALLERGEN_LIST_NAMES,
  LAYOUT_NAMES,
  LIST_OF_BEFORE_NOTE,
  LIST_PLACE_NAMES,
  NOTICE_NOTE,
  RULE_NAMES,
} from '../../words/en/label/labelNames';
import { FigureField } from '../shared/FigureField';
import { Line } from '../shared/Line';
import { Tick } from '../shared/Tick';
import { OneOf } from './OneOf';
import type { FieldsProps } from './ProductFields';

const MONTHS: FigureRule = { unit: '', least: 1, most: 120, whole: true };
const WIDTH: FigureRule = { unit: 'mm', least: 15, most: 400 };
const HEIGHT: FigureRule = { unit: 'mm', least: 10, most: 300 };
const FACE: FigureRule = { unit: 'cm²', least: 0, most: 10_000 };
const MM2_PER_CM2 = 100;

/** By which rules, and how it is cut. */
export function LabelFields({ product, onChange }: Pick<FieldsProps, 'product' | 'onChange'>) {
  const { label, good, rules, barcode } = product;
  const cut = (part: Partial<Product['label']>) => onChange({ label: { ...label, ...part } });
  const isRound = label.layout === 'round';
  return (
    <div className="grid grid-cols-2 items-start gap-2">
      <OneOf
        label="By the rules of"
        value={rules}
        options={LABEL_RULES.map((each) => [each, RULE_NAMES[each]])}
        onPick={(next) => onChange({ rules: next })}
      />
      <OneOf
        label="Cut as"
        value={label.layout}
        options={LABEL_LAYOUTS.map((each) => [each, LAYOUT_NAMES[each]])}
        onPick={(layout) => cut({ layout })}
      />
      <FigureField
        label={isRound ? 'Across' : label.layout === 'band' ? 'Long' : 'Wide'}
        rule={WIDTH}
        value={label.widthMm}
        onChange={(widthMm) => cut({ widthMm })}
      />
      {!isRound && (
        <FigureField
          label="High"
          rule={HEIGHT}
          value={label.heightMm}
          onChange={(heightMm) => cut({ heightMm })}
        />
      )}
      {!isUs(rules) && (
        <div className="col-span-2 flex flex-col">
          <OneOf
            label="Allergens by"
            value={product.allergenList}
            options={ALLERGEN_LISTS.map((each) => [each, ALLERGEN_LIST_NAMES[each]])}
            onPick={(allergenList) => onChange({ allergenList })}
          />
          {product.allergenList === 'before' && <p className="quiet text-sm">{LIST_OF_BEFORE_NOTE}</p>}
          <OneOf
            label="Ingredients stand"
            value={label.listOn}
            options={LIST_PLACES.map((each) => [each, LIST_PLACE_NAMES[each]])}
            onPick={(listOn) => cut({ listOn })}
          />
          {label.listOn === 'notice' && (
            <p className="quiet text-sm">
              {NOTICE_NOTE}{' '}
              <a className="link" href="/products/notice">
                The notice
              </a>
            </p>
          )}
        </div>
      )}
      {isUs(rules) && (
        <FigureField
          label="Face of the pack, where it is larger; 0: the label’s"
          className="col-span-2"
          rule={FACE}
          value={(label.faceMm2 ?? 0) / MM2_PER_CM2}
          onChange={(cm2) => cut({ faceMm2: cm2 === 0 ? null : cm2 * MM2_PER_CM2 })}
        />
      )}
      <OneOf
        label="Good until"
        value={good.by}
        options={[
          ['date', 'a date'],
          ['opened', 'after it is opened'],
        ]}
        onPick={(by) => onChange({ good: { ...good, by } })}
      />
      <FigureField
        label="Months"
        rule={MONTHS}
        value={good.months}
        onChange={(months) => onChange({ good: { ...good, months } })}
      />
      <Line
        label="Number of the goods, EAN or UPC"
        value={barcode ?? ''}
        most={13}
        className="col-span-2"
        onText={(text) => onChange({ barcode: text.trim() === '' ? null : text.trim() })}
      />
      <div className="col-span-2">
        <Tick label="the batch code as a QR code" isOn={label.hasQr} onChange={(hasQr) => cut({ hasQr })} />
        <Tick
          label="its layers in their colours"
          isOn={label.hasLayers}
          onChange={(hasLayers) => cut({ hasLayers })}
        />
      </div>
    </div>
  );
}
