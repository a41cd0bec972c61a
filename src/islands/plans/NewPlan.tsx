import { zodResolver } from '@hookform/resolvers/zod';
import { Plus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import type { Base } from '../../core/materials/base';
import { USES } from '../../core/materials/fields';
import { barsPerCavity, cavitiesOf } from '../../core/molds/bars';
import type { Mold } from '../../core/molds/mold';
import { NO_MOLD_ID } from '../../core/molds/noMold';
import { unmolded } from '../../core/plan/intoMold';
import { batchText, parseBatch } from '../../core/plan/parseBatch';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { massUnit, type Showing } from '../../core/units/showQuantity';
import { z } from '../../core/zod';
import { explainBatchFault } from '../../words/en/plan/batchFault';
import { USE_NAMES } from '../../words/en/plan/useNames';
import { counted } from '../../words/en/plural';
import { callApi } from '../shared/api';
import { figureText, nameText, options, SelectField, TextField } from '../shared/formFields';
import { useShowing, withShowing } from '../shared/showing';

const pieceCount = figureText({ unit: '', least: 1, most: 100_000, whole: true });

/** A mold is filled so many times; without one a weight says how much is made. */
const formSchema = (showing: Showing) =>
  z
    .object({
      name: nameText(120),
      use: z.enum(USES),
      moldId: z.string(),
      baseId: z.string(),
      pieces: z.string(),
      weight: z.string(),
    })
    .transform(({ moldId, pieces, weight, ...named }, context) => {
      if (moldId !== NO_MOLD_ID) {
        const count = pieceCount.safeParse(pieces);
        if (count.success) return { ...named, howMuch: { moldId, pieces: count.data } };
        for (const { message } of count.error.issues)
          context.addIssue({ code: 'custom', path: ['pieces'], message });
        return z.NEVER;
      }
      const massG = parseBatch(weight, showing.system, []);
      if (massG.success) {
        const text = batchText(weight, showing.system);
        return { ...named, howMuch: unmolded({ by: 'base', massG: massG.data, text }) };
      }
      const message = explainBatchFault(massG.error, [], showing);
      context.addIssue({ code: 'custom', path: ['weight'], message });
      return z.NEVER;
    });

type Typed = z.input<ReturnType<typeof formSchema>>;
type Read = z.output<ReturnType<typeof formSchema>>;

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
function NewPlan({ start, molds, bases, isOpen = false, named = '' }: Props) {
  const showing = useShowing();
  const { system } = showing;
  const dialog = useRef<HTMLDialogElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (isOpen) dialog.current?.showModal();
  }, [isOpen]);
  const form = useForm<Typed, unknown, Read>({
    resolver: zodResolver(formSchema(showing)),
    defaultValues: {
      name: named,
      use: start.use,
      moldId: start.moldId,
      baseId: start.pours[0]?.baseId ?? '',
      pieces: String(start.pieces),
      weight: system === 'us' ? '1 lb' : '500 g',
    },
  });
  const { errors, isSubmitting } = form.formState;

  const isInMold = form.watch('moldId') !== NO_MOLD_ID;

  async function create({ name, use, baseId, howMuch }: Read) {
    setProblem(null);
    const mold = molds.find(({ id }) => id === howMuch.moldId);
    const plan: Plan = {
      ...start,
      name,
      use,
      fillFraction: mold?.usualFillFraction ?? start.fillFraction,
      ...howMuch,
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
            <option value={NO_MOLD_ID}>no mold yet</option>
          </SelectField>
          <SelectField label="Base" registered={form.register('baseId')}>
            {bases.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
          {isInMold ? (
            <TextField label="Pieces" error={errors.pieces} registered={form.register('pieces')} decimal />
          ) : (
            <TextField
              label="How much of it"
              unit={massUnit(system)}
              error={errors.weight}
              registered={form.register('weight')}
            />
          )}
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

export default withShowing(NewPlan);
