import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { stirredDensity } from '../../core/materials/defaults';
import { isCounted, isDoseable, type Material } from '../../core/materials/material';
import { parseQuantity } from '../../core/units/parseQuantity';
import { writeFigure } from '../../core/units/writeQuantity';
import type { TextContext } from '../../formats/records/fieldText';
import { LOT_FIELDS, readLot, writeLot } from '../../formats/records/lotText';
import type { RecordTexts } from '../../formats/records/recordText';
import { type ApiProblem, callApi } from '../shared/api';
import { TextField } from '../shared/formFields';
import { today } from '../shared/today';
import type { LotView } from './lotView';

interface Props {
  material: Material;
  was: LotView | null;
  currency: string;
  onSaved(view: LotView): void;
  onClose(): void;
}

const CONTEXT: TextContext = { decimal: 'either', idOf: () => undefined, nameOf: (id) => id };

/** The label of a lot. The amount may be typed in any unit; a volume is weighed by the material's density. */
export function LotForm({ material, was, currency, onSaved, onClose }: Props) {
  const form = useForm<RecordTexts>({
    defaultValues: was
      ? writeLot(was.item, CONTEXT)
      : { ...Object.fromEntries(LOT_FIELDS.map(({ key, first }) => [key, first])), boughtOn: today() },
    resolver: (texts) => {
      const read = readLot(material.id, { ...texts, amount: inGrams(texts.amount ?? '', material) }, CONTEXT);
      if (read.success) return { values: texts, errors: {} };
      return {
        values: {},
        errors: Object.fromEntries(
          read.error.map(({ key, reason }) => [
            key,
            {
              type: 'custom',
              message: key === 'amount' && isCounted(material.kind) ? 'Write how many pieces came.' : reason,
            },
          ]),
        ),
      };
    },
  });
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const { errors, isSubmitting } = form.formState;

  async function submit(texts: RecordTexts) {
    const read = readLot(material.id, { ...texts, amount: inGrams(texts.amount ?? '', material) }, CONTEXT);
    if (!read.success) return;
    const answer = was
      ? await callApi<LotView>('PUT', `/api/lots/${was.item.id}`, {
          item: { ...read.data, id: was.item.id },
          revision: was.revision,
        })
      : await callApi<LotView>('POST', '/api/lots', read.data);
    if (answer.success) onSaved(answer.data);
    else setProblem(answer.error);
  }

  return (
    <form
      className="my-2"
      aria-label={was ? `Label of lot ${was.item.number}` : 'New lot'}
      noValidate
      onSubmit={form.handleSubmit(submit)}
    >
      <div className="grid gap-x-3 gap-y-2 sm:grid-cols-3">
        {LOT_FIELDS.map(({ key, label, unit }) => (
          <TextField
            key={key}
            label={label}
            {...unitOf(key, unit, material, currency)}
            {...(hintOf(key, material) ? { hint: hintOf(key, material) } : {})}
            type={key.endsWith('On') || key === 'bestBefore' ? 'date' : 'text'}
            error={errors[key]}
            registered={form.register(key)}
          />
        ))}
      </div>
      {problem && (
        <p role="alert" className="text-error text-sm font-semibold">
          {problem.detail}
        </p>
      )}
      <div className="mt-2 flex justify-end gap-2">
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          Close
        </button>
        <button type="submit" className="btn btn-primary" disabled={isSubmitting}>
          {was ? 'Save the label' : 'Put the lot there'}
        </button>
      </div>
    </form>
  );
}

/** Every figure stands beside its unit: an amount in grams or pieces, a price in the workshop’s currency. */
function unitOf(
  key: string,
  unit: string | undefined,
  { kind }: Material,
  currency: string,
): { unit?: string } {
  if (key === 'price' || key === 'postage') return { unit: currency };
  if (key === 'amount') return { unit: isCounted(kind) ? 'pieces' : 'g' };
  return unit ? { unit } : {};
}

function hintOf(key: string, { kind }: Material): string {
  if (key !== 'amount') return '';
  return isCounted(kind) ? '' : 'Or in any unit: 1 lb, 250 mL';
}

/** An amount with its unit as plain grams; what is not understood stays as it was typed. */
function inGrams(text: string, material: Material): string {
  const parsed = parseQuantity(text, ['mass', 'volume']);
  if (!parsed.success) return text;
  if (parsed.data.kind === 'mass') return writeFigure(parsed.data.massG, 6);
  if (parsed.data.kind !== 'volume' || !isDoseable(material) || material.kind === 'blend') return text;
  return writeFigure(parsed.data.volumeMl * stirredDensity(material).value, 6);
}
