import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { LABEL_LAYOUTS } from '../../core/label/labelLayout';
import { isUs, LABEL_RULES, LIST_PLACES } from '../../core/label/labelRules';
import { ALLERGEN_LISTS } from '../../core/materials/allergenNames';
import { FORMS, type Product } from '../../core/product/product';
import type { FigureRule } from '../../core/units/parseFigure';
import {
  ALLERGEN_LIST_NAMES,
  FORM_NAMES,
  LAYOUT_NAMES,
  LIST_OF_BEFORE_NOTE,
  LIST_PLACE_NAMES,
  NOTICE_NOTE,
  RULE_NAMES,
} from '../../words/en/label/labelNames';
import { Choice } from '../shared/Choice';
import { FigureField } from '../shared/FigureField';
import { Line } from '../shared/Line';
import { MoneyField } from '../shared/MoneyField';

export interface Named {
  id: string;
  name: string;
}

export interface FieldsProps {
  product: Product;
  plans: readonly Named[];
  packaging: readonly Named[];
  onChange(part: Partial<Product>): void;
}

const PIECES: FigureRule = { unit: '', least: 1, most: 100, whole: true };
const MONTHS: FigureRule = { unit: '', least: 1, most: 120, whole: true };
const WIDTH: FigureRule = { unit: 'mm', least: 15, most: 400 };
const HEIGHT: FigureRule = { unit: 'mm', least: 10, most: 300 };
const FACE: FigureRule = { unit: 'cm²', least: 0, most: 10_000 };
const MM2_PER_CM2 = 100;
const MOST = { parts: 12, packaging: 12, words: 4 };

/** What is in a pack, and what it is packed in. */
export function PackFields({ product, plans, packaging, onChange }: FieldsProps) {
  const { parts, packaging: packed } = product;
  const next = plans.find(({ id }) => !parts.some(({ planId }) => planId === id));
  const nextPacked = packaging.find(({ id }) => !packed.some(({ materialId }) => materialId === id));
  return (
    <>
      <Pick
        label="Packed as"
        value={product.form}
        options={FORMS.map((form) => [form, FORM_NAMES[form]])}
        onPick={(form) => onChange({ form: form as Product['form'] })}
      />
      {parts.map((part, place) => (
        <Row
          key={part.planId}
          what={nameOf(plans, part.planId)}
          isOnly={parts.length === 1}
          onRemove={() => onChange({ parts: parts.filter((_, index) => index !== place) })}
        >
          <Pick
            label="Pieces of"
            value={part.planId}
            options={plans
              .filter(({ id }) => id === part.planId || !parts.some(({ planId }) => planId === id))
              .map(({ id, name }) => [id, name])}
            onPick={(planId) =>
              onChange({ parts: parts.map((each, index) => (index === place ? { ...each, planId } : each)) })
            }
          />
          <FigureField
            label="In a pack"
            className="w-20"
            rule={PIECES}
            value={part.pieces}
            onChange={(pieces) =>
              onChange({ parts: parts.map((each, index) => (index === place ? { ...each, pieces } : each)) })
            }
          />
        </Row>
      ))}
      {next && parts.length < MOST.parts && (
        <Add
          label="Pieces of another plan"
          onAdd={() => onChange({ parts: [...parts, { planId: next.id, pieces: 1 }] })}
        />
      )}
      {packed.map((each, place) => (
        <Row
          key={each.materialId}
          what={nameOf(packaging, each.materialId)}
          onRemove={() => onChange({ packaging: packed.filter((_, index) => index !== place) })}
        >
          <Pick
            label="Packed in"
            value={each.materialId}
            options={packaging
              .filter(
                ({ id }) => id === each.materialId || !packed.some(({ materialId }) => materialId === id),
              )
              .map(({ id, name }) => [id, name])}
            onPick={(materialId) =>
              onChange({
                packaging: packed.map((one, index) => (index === place ? { ...one, materialId } : one)),
              })
            }
          />
          <FigureField
            label="A pack"
            className="w-20"
            rule={PIECES}
            value={each.count}
            onChange={(count) =>
              onChange({ packaging: packed.map((one, index) => (index === place ? { ...one, count } : one)) })
            }
          />
        </Row>
      ))}
      {nextPacked && packed.length < MOST.packaging && (
        <Add
          label="Packaging of the pack"
          onAdd={() => onChange({ packaging: [...packed, { materialId: nextPacked.id, count: 1 }] })}
        />
      )}
    </>
  );
}

interface PriceFieldsProps extends Pick<FieldsProps, 'product' | 'onChange'> {
  currency: string;
}

/** What a pack is sold for. */
export function PriceFields({ product: { prices }, currency, onChange }: PriceFieldsProps) {
  return (
    <div className="grid grid-cols-2 items-start gap-2">
      <MoneyField
        label="Retail price, with tax"
        value={prices.retail}
        currency={currency}
        none="None set."
        onChange={(retail) => onChange({ prices: { ...prices, retail } })}
      />
      <MoneyField
        label="Wholesale price, with tax"
        value={prices.wholesale}
        currency={currency}
        none="None set."
        onChange={(wholesale) => onChange({ prices: { ...prices, wholesale } })}
      />
    </div>
  );
}

/** What is said of it, in each language of the label. */
export function WordFields({ product: { words }, onChange }: Pick<FieldsProps, 'product' | 'onChange'>) {
  const change = (place: number, part: Partial<Product['words'][number]>) =>
    onChange({ words: words.map((each, index) => (index === place ? { ...each, ...part } : each)) });
  return (
    <>
      {words.map((each, place) => {
        const of = words.length > 1 ? ` (${each.language || place + 1})` : '';
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: languages are in the order of the label
          <fieldset key={place} className="border-base-300 flex flex-col gap-2 border-t pt-2 first:border-0">
            <div className="flex items-end gap-2">
              <Line
                label="Language"
                value={each.language}
                most={20}
                needed
                className="w-24"
                onText={(language) => change(place, { language })}
              />
              <Line
                label={`What it is${of}`}
                hint="cleansing bar"
                value={each.identity}
                most={400}
                className="flex-1"
                onText={(identity) => change(place, { identity })}
              />
              {words.length > 1 && (
                <button
                  type="button"
                  className="btn btn-ghost btn-square min-h-11 min-w-11"
                  aria-label={`Take out ${each.language}`}
                  onClick={() => onChange({ words: words.filter((_, index) => index !== place) })}
                >
                  <X size={18} />
                </button>
              )}
            </div>
            <Line
              label={`Directions${of}`}
              value={each.directions}
              most={400}
              onText={(directions) => change(place, { directions })}
            />
            <Line
              label={`Cautions${of}`}
              value={each.cautions}
              most={400}
              onText={(cautions) => change(place, { cautions })}
            />
            <Line
              label={`Origin${of}`}
              value={each.origin}
              most={400}
              onText={(origin) => change(place, { origin })}
            />
          </fieldset>
        );
      })}
      {words.length < MOST.words && (
        <Add
          label="Another language"
          onAdd={() =>
            onChange({
              words: [
                ...words,
                { language: `${words.length + 1}`, identity: '', directions: '', cautions: '', origin: '' },
              ],
            })
          }
        />
      )}
    </>
  );
}

/** By which rules, and how it is cut. */
export function LabelFields({ product, onChange }: Pick<FieldsProps, 'product' | 'onChange'>) {
  const { label, good, rules, barcode } = product;
  const cut = (part: Partial<Product['label']>) => onChange({ label: { ...label, ...part } });
  const isRound = label.layout === 'round';
  return (
    <div className="grid grid-cols-2 items-start gap-2">
      <Pick
        label="By the rules of"
        value={rules}
        options={LABEL_RULES.map((each) => [each, RULE_NAMES[each]])}
        onPick={(next) => onChange({ rules: next as Product['rules'] })}
      />
      <Pick
        label="Cut as"
        value={label.layout}
        options={LABEL_LAYOUTS.map((each) => [each, LAYOUT_NAMES[each]])}
        onPick={(layout) => cut({ layout: layout as Product['label']['layout'] })}
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
          <Pick
            label="Allergens by"
            value={product.allergenList}
            options={ALLERGEN_LISTS.map((each) => [each, ALLERGEN_LIST_NAMES[each]])}
            onPick={(next) => onChange({ allergenList: next as Product['allergenList'] })}
          />
          {product.allergenList === 'before' && <p className="quiet text-sm">{LIST_OF_BEFORE_NOTE}</p>}
          <Pick
            label="Ingredients stand"
            value={label.listOn}
            options={LIST_PLACES.map((each) => [each, LIST_PLACE_NAMES[each]])}
            onPick={(next) => cut({ listOn: next as Product['label']['listOn'] })}
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
      <Pick
        label="Good until"
        value={good.by}
        options={[
          ['date', 'a date'],
          ['opened', 'after it is opened'],
        ]}
        onPick={(by) => onChange({ good: { ...good, by: by === 'opened' ? 'opened' : 'date' } })}
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
      <label className="col-span-2 flex min-h-11 cursor-pointer items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox"
          checked={label.hasQr}
          onChange={({ target }) => cut({ hasQr: target.checked })}
        />
        the batch code as a QR code
      </label>
      <label className="col-span-2 flex min-h-11 cursor-pointer items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox"
          checked={label.hasLayers}
          onChange={({ target }) => cut({ hasLayers: target.checked })}
        />
        its layers in their colours
      </label>
    </div>
  );
}

function nameOf(all: readonly Named[], id: string): string {
  return all.find((each) => each.id === id)?.name ?? id;
}

function Row({
  what,
  isOnly = false,
  onRemove,
  children,
}: {
  what: string;
  isOnly?: boolean;
  onRemove(): void;
  children: ReactNode;
}) {
  return (
    <div className="flex items-end gap-2">
      {children}
      {!isOnly && (
        <button
          type="button"
          className="btn btn-ghost btn-square min-h-11 min-w-11"
          aria-label={`Take out ${what}`}
          onClick={onRemove}
        >
          <X size={18} />
        </button>
      )}
    </div>
  );
}

function Add({ label, onAdd }: { label: string; onAdd(): void }) {
  return (
    <button type="button" className="btn btn-ghost btn-sm min-h-11 self-start" onClick={onAdd}>
      <Plus size={18} aria-hidden="true" />
      {label}
    </button>
  );
}

interface PickProps {
  label: string;
  value: string;
  options: readonly (readonly [value: string, name: string])[];
  onPick(value: string): void;
}

function Pick({ label, value, options, onPick }: PickProps) {
  return (
    <Choice label={label} value={value} className="flex-1" onChange={onPick}>
      {options.map(([each, name]) => (
        <option key={each} value={each}>
          {name}
        </option>
      ))}
    </Choice>
  );
}
