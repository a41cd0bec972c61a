import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { FORMS, type Product } from '../../core/product/product';
import type { FigureRule } from '../../core/units/parseFigure';
import { FORM_NAMES } from '../../words/en/label/labelNames';
import { FigureField } from '../shared/FigureField';
import { Line } from '../shared/Line';
import { MoneyField } from '../shared/MoneyField';
import { OneOf } from './OneOf';

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
const MOST = { parts: 12, packaging: 12, words: 4 };

/** What is in a pack, and what it is packed in. */
export function PackFields({ product, plans, packaging, onChange }: FieldsProps) {
  const { parts, packaging: packed } = product;
  const next = plans.find(({ id }) => !parts.some(({ planId }) => planId === id));
  const nextPacked = packaging.find(({ id }) => !packed.some(({ materialId }) => materialId === id));
  return (
    <>
      <OneOf
        label="Packed as"
        value={product.form}
        options={FORMS.map((form) => [form, FORM_NAMES[form]])}
        onPick={(form) => onChange({ form })}
      />
      {parts.map((part, place) => (
        <Row
          key={part.planId}
          what={nameOf(plans, part.planId)}
          isOnly={parts.length === 1}
          onRemove={() => onChange({ parts: parts.filter((_, index) => index !== place) })}
        >
          <OneOf
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
          <OneOf
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
