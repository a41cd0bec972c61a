import { zodResolver } from '@hookform/resolvers/zod';
import { Plus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import type { Base } from '../../core/materials/base';
import { USES } from '../../core/materials/fields';
import { barsPerCavity, cavitiesOf } from '../../core/molds/bars';
import type { Mold } from '../../core/molds/mold';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { z } from '../../core/zod';
import { USE_NAMES } from '../../words/en/plan/useNames';
import { counted } from '../../words/en/plural';
import { callApi } from '../shared/api';
import { figureText, nameText, options, SelectField, TextField } from '../shared/formFields';

const formSchema = z.object({
  name: nameText(120),
  use: z.enum(USES),
  moldId: z.string(),
  baseId: z.string(),
  pieces: figureText({ unit: '', least: 1, most: 100_000, whole: true }),
});

type Typed = z.input<typeof formSchema>;
type Read = z.output<typeof formSchema>;

interface Props {
  start: Plan;
  molds: Mold[];
  bases: Base[];
  /** It was asked for on another page already. */
  isOpen?: boolean;
  /** A name to begin with. */
  named?: string;
}

/** A few words to begin a plan with; everything else is decided in its workspace. */
export default function NewPlan({ start, molds, bases, isOpen = false, named = '' }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (isOpen) dialog.current?.showModal();
  }, [isOpen]);
  const form = useForm<Typed, unknown, Read>({
    resolver: zodResolver(formSchema),
    defaultValues: {
      name: named,
      use: start.use,
      moldId: start.moldId,
      baseId: start.pours[0]?.baseId ?? '',
      pieces: String(start.pieces),
    },
  });
  const { errors, isSubmitting } = form.formState;

  async function create({ name, use, moldId, baseId, pieces }: Read) {
    setProblem(null);
    const mold = molds.find(({ id }) => id === moldId);
    const plan: Plan = {
      ...start,
      name,
      use,
      moldId,
      pieces,
      fillFraction: mold?.usualFillFraction ?? start.fillFraction,
      pours: [{ id: 'p1', baseId, size: { by: 'parts', parts: 1 }, doses: [] }],
    };
    const answer = await callApi<StoredPlan>('POST', '/api/plans', plan);
    if (!answer.success) {
      setProblem(answer.error.detail);
      return;
    }
    location.assign(`/plans/${answer.data.id}`);
    // Stay busy while the page changes: a second press must not make a second plan.
    await new Promise(() => {});
  }

  return (
    <>
      <button type="button" className="btn btn-primary" onClick={() => dialog.current?.showModal()}>
        <Plus size={20} aria-hidden="true" />
        New plan
      </button>
      <dialog ref={dialog} className="modal" aria-labelledby="new-plan-title">
        <form
          className="modal-box plate flex flex-col gap-3 shadow-none"
          onSubmit={form.handleSubmit(create)}
          noValidate
        >
          <h2 id="new-plan-title" className="text-xl font-semibold">
            New plan
          </h2>
          <TextField label="Name" error={errors.name} registered={form.register('name')} />
          <SelectField label="For" registered={form.register('use')}>
            {options(USE_NAMES)}
          </SelectField>
          <SelectField
            label="Mold"
            registered={form.register('moldId', {
              onChange: ({ target }) => {
                const mold = molds.find(({ id }) => id === target.value);
                if (mold && !form.formState.dirtyFields.pieces)
                  form.setValue('pieces', String(cavitiesOf(mold) * barsPerCavity(mold)));
              },
            })}
          >
            {molds.map(({ id, name, cavities }) => (
              <option key={id} value={id}>
                {name}, {counted(cavities, 'cavity', 'cavities')}
              </option>
            ))}
          </SelectField>
          <SelectField label="Base" registered={form.register('baseId')}>
            {bases.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
          <TextField label="Pieces" error={errors.pieces} registered={form.register('pieces')} decimal />
          {problem && (
            <p role="alert" className="text-error">
              {problem}
            </p>
          )}
          <div className="modal-action">
            <button type="button" className="btn btn-ghost" onClick={() => dialog.current?.close()}>
              Not now
            </button>
            <button type="submit" className="btn btn-primary" disabled={isSubmitting}>
              Begin
            </button>
          </div>
        </form>
      </dialog>
    </>
  );
}
