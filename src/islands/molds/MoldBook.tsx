import { zodResolver } from '@hookform/resolvers/zod';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { type Control, useForm, useWatch } from 'react-hook-form';
import type { Mold } from '../../core/molds/mold';
import { isKnown, shapeCapacityMl } from '../../core/molds/shape';
import { type Showing, showPercent, showVolume } from '../../core/units/showQuantity';
import { options, SelectField, TextField } from '../shared/formFields';
import { MEASURED_NAMES, SHAPE_NAMES } from '../shared/names';
import { RecordForm } from '../shared/RecordForm';
import { Section } from '../shared/Section';
import { type StoredItem, useRecords } from '../shared/useRecords';
import { type MoldRead, type MoldTyped, moldFormSchema, readMold, typedMold } from './moldForm';

type StoredMold = StoredItem<Mold>;

/** Molds with what a cavity holds, how that was measured, and its section to scale. */
interface Props {
  start: StoredMold[];
  /** How full a new mold is said to be poured. */
  usualFill: number;
  showing: Showing;
}

export default function MoldBook({ start, usualFill, showing }: Props) {
  const { records, save, put } = useRecords<Mold>('/api/molds', start);
  const [open, setOpen] = useState<StoredMold | 'new' | null>(null);
  return (
    <div className="flex flex-col gap-4">
      <header className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-2xl font-semibold">Molds</h1>
        <button type="button" className="btn btn-primary" onClick={() => setOpen('new')}>
          <Plus size={20} aria-hidden="true" />
          New mold
        </button>
      </header>
      <div className={`grid items-start gap-4 ${open ? 'xl:grid-cols-[1fr_27rem]' : ''}`}>
        {open && (
          <div className="xl:order-last">
            <MoldEditor
              key={open === 'new' ? 'new' : `${open.item.id} ${open.revision}`}
              was={open === 'new' ? null : open}
              save={save}
              usualFill={usualFill}
              showing={showing}
              onTheirs={(theirs) => {
                put(theirs);
                setOpen(theirs);
              }}
              onDone={() => setOpen((now) => (now === open ? null : now))}
            />
          </div>
        )}
        {records.length === 0 && (
          <p className="plate p-5">
            The mold book is empty. Fill one cavity with water, weigh the water, and enter the grams as
            millilitres.
          </p>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-4">
          {records.map((stored) => (
            <li key={stored.item.id} className="plate p-3">
              <button
                type="button"
                className="w-full cursor-pointer rounded-lg text-left"
                onClick={() => setOpen(stored)}
              >
                <span className="flex h-24 items-center justify-center">
                  <Section mold={stored.item} pours={[]} locale={showing.locale} thumbnail />
                </span>
                <span className="mt-2 block text-lg leading-tight font-semibold">{stored.item.name}</span>
                <span className="quiet block text-sm">
                  {stored.item.cavities} × {showVolume(stored.item.capacityMl, showing.locale)}, usually
                  filled to {showPercent(stored.item.usualFillFraction, showing.locale)}
                </span>
                <span className="quiet block text-sm">
                  Measured by: {MEASURED_NAMES[stored.item.measuredBy].toLowerCase()}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}

interface EditorProps {
  usualFill: number;
  was: StoredMold | null;
  showing: Showing;
  save: ReturnType<typeof useRecords<Mold>>['save'];
  onTheirs(theirs: StoredMold): void;
  onDone(): void;
}

function MoldEditor({ was, usualFill, showing, save, onTheirs, onDone }: EditorProps) {
  const form = useForm<MoldTyped, unknown, MoldRead>({
    resolver: zodResolver(moldFormSchema),
    defaultValues: typedMold(was?.item ?? null, usualFill),
  });
  const { errors } = form.formState;
  const shape = useWatch({ control: form.control, name: 'shape' });
  const depthToo = shape === 'box' || shape === 'cylinder';
  return (
    <RecordForm<Mold>
      title={was ? was.item.name : 'New mold'}
      busy={form.formState.isSubmitting}
      was={was}
      save={save}
      onSubmit={(then) => void form.handleSubmit((read) => then(readMold(read)))()}
      onTheirs={onTheirs}
      onDone={onDone}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField label="Name" error={errors.name} registered={form.register('name')} />
        <TextField decimal label="Cavities" error={errors.cavities} registered={form.register('cavities')} />
        <TextField
          decimal
          label="One cavity holds"
          unit="mL"
          hint="Grams of water are millilitres. An ounce on the scale is not a fluid ounce."
          error={errors.capacity}
          registered={form.register('capacity')}
        />
        <SelectField label="Measured by" registered={form.register('measuredBy')}>
          {options(MEASURED_NAMES)}
        </SelectField>
        <TextField
          decimal
          label="Usually filled to"
          unit="%"
          error={errors.usualFill}
          registered={form.register('usualFill')}
        />
        <SelectField label="Shape inside" registered={form.register('shape')}>
          {options(SHAPE_NAMES)}
        </SelectField>
        {shape === 'box' && (
          <>
            <TextField
              decimal
              label="Length"
              unit="mm"
              error={errors.length}
              registered={form.register('length')}
            />
            <TextField
              decimal
              label="Width"
              unit="mm"
              error={errors.width}
              registered={form.register('width')}
            />
          </>
        )}
        {(shape === 'cylinder' || shape === 'hemisphere') && (
          <TextField
            decimal
            label="Diameter"
            unit="mm"
            error={errors.diameter}
            registered={form.register('diameter')}
          />
        )}
        {depthToo && (
          <TextField
            decimal
            label="Depth"
            unit="mm"
            error={errors.depth}
            registered={form.register('depth')}
          />
        )}
      </div>
      <Preview control={form.control} showing={showing} />
      <TextField label="Note" error={errors.note} registered={form.register('note')} />
    </RecordForm>
  );
}

const DISAGREES_ABOVE = 0.05;

/** The section as the fields say it, and whether capacity and dimensions agree. */
function Preview({ control, showing }: { control: Control<MoldTyped, unknown, MoldRead>; showing: Showing }) {
  const typed = useWatch({ control }) as MoldTyped;
  const read = moldFormSchema.safeParse({ ...typed, name: typed.name || 'mold' });
  if (!read.success) return null;
  const mold = { ...readMold(read.data), id: 'preview' };
  if (!isKnown(mold.shape)) return null;
  const byShapeMl = shapeCapacityMl(mold.shape);
  const off = byShapeMl / mold.capacityMl - 1;
  return (
    <div>
      <div className="flex h-40 justify-center">
        <Section mold={mold} pours={[]} locale={showing.locale} />
      </div>
      <p className="text-sm" role="status">
        By its dimensions a cavity holds {showVolume(byShapeMl, showing.locale)}.{' '}
        {Math.abs(off) > DISAGREES_ABOVE && (
          <strong className="text-warning">
            That is {showPercent(Math.abs(off), showing.locale)} {off > 0 ? 'more' : 'less'} than entered.
            Measure once more.
          </strong>
        )}
      </p>
    </div>
  );
}
