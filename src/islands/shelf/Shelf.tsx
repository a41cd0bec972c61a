import { zodResolver } from '@hookform/resolvers/zod';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { MATERIAL_KINDS, type Material } from '../../core/materials/material';
import { type Showing, showNumber, showPercent } from '../../core/units/showQuantity';
import { KIND_NAMES, SKIN_NAMES } from '../shared/names';
import { RecordForm } from '../shared/RecordForm';
import { type StoredItem, useRecords } from '../shared/useRecords';
import { MaterialFields } from './MaterialFields';
import {
  type MaterialRead,
  type MaterialTyped,
  materialFormSchema,
  readMaterial,
  typedMaterial,
} from './materialForm';

type StoredMaterial = StoredItem<Material>;

interface Props {
  start: StoredMaterial[];
  /** The material whose form is open from the start. */
  asked: string | null;
  showing: Showing;
}

/** Materials with their limits; unknown is said as “not known”, never as zero. */
export default function Shelf({ start, asked, showing }: Props) {
  const { records, save, put } = useRecords<Material>('/api/materials', start);
  const [open, setOpen] = useState<StoredMaterial | 'new' | null>(
    () => start.find(({ item }) => item.id === asked) ?? null,
  );
  const [search, setSearch] = useState('');
  const found = records.filter(({ item }) => item.name.toLowerCase().includes(search.trim().toLowerCase()));

  return (
    <div className="flex flex-col gap-4">
      <header className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-2xl font-semibold">Shelf</h1>
        <input
          type="search"
          className="input min-h-11 w-56"
          placeholder="Search by name"
          aria-label="Search the shelf by name"
          value={search}
          onChange={({ target }) => setSearch(target.value)}
        />
        <button type="button" className="btn btn-primary" onClick={() => setOpen('new')}>
          <Plus size={20} aria-hidden="true" />
          New material
        </button>
      </header>
      <div className={`grid items-start gap-4 ${open ? 'xl:grid-cols-[1fr_27rem]' : ''}`}>
        {open && (
          <div className="xl:order-last">
            <MaterialEditor
              key={open === 'new' ? 'new' : `${open.item.id} ${open.revision}`}
              was={open === 'new' ? null : open}
              save={save}
              locale={showing.locale}
              onTheirs={(theirs) => {
                put(theirs);
                setOpen(theirs);
              }}
              onDone={() => setOpen(null)}
            />
          </div>
        )}
        <div className="flex flex-col gap-4">
          {records.length === 0 && (
            <p className="plate p-5">
              The shelf is empty. Begin with a base: press “New material” and choose Base.
            </p>
          )}
          {records.length > 0 && found.length === 0 && (
            <p className="plate p-5">Nothing on the shelf is called that.</p>
          )}
          {MATERIAL_KINDS.map((kind) => (
            <KindTable
              key={kind}
              title={`${KIND_NAMES[kind]}s`}
              records={found.filter(({ item }) => item.kind === kind)}
              showing={showing}
              onOpen={setOpen}
            />
          ))}
        </div>
      </div>
    </div>
  );
}

interface EditorProps {
  was: StoredMaterial | null;
  locale: string;
  save: ReturnType<typeof useRecords<Material>>['save'];
  onTheirs(theirs: StoredMaterial): void;
  onDone(): void;
}

function MaterialEditor({ was, locale, save, onTheirs, onDone }: EditorProps) {
  const form = useForm<MaterialTyped, unknown, MaterialRead>({
    resolver: zodResolver(materialFormSchema),
    defaultValues: typedMaterial(was?.item ?? null),
  });
  return (
    <FormProvider {...form}>
      <RecordForm<Material>
        title={was ? was.item.name : 'New material'}
        busy={form.formState.isSubmitting}
        was={was}
        save={save}
        onSubmit={(then) => void form.handleSubmit((read) => then(readMaterial(read)))()}
        onTheirs={onTheirs}
        onDone={onDone}
      >
        <MaterialFields isNew={was === null} locale={locale} />
      </RecordForm>
    </FormProvider>
  );
}

interface TableProps {
  title: string;
  records: StoredMaterial[];
  showing: Showing;
  onOpen(stored: StoredMaterial): void;
}

function KindTable({ title, records, showing, onOpen }: TableProps) {
  const [first] = records;
  if (!first) return null;
  const heads = facts(first.item, showing).map(([head]) => head);
  return (
    <section className="plate overflow-x-auto p-3" aria-label={title}>
      <table className="table-sm table">
        <thead>
          <tr className="text-base-content">
            <th scope="col" className="w-52 text-base font-semibold">
              {title}
            </th>
            {heads.map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {records.map((stored) => (
            <tr key={stored.item.id}>
              <th scope="row" className="p-0 font-normal">
                <button
                  type="button"
                  className="link link-hover min-h-11 w-full px-3 text-left font-semibold"
                  onClick={() => onOpen(stored)}
                >
                  {stored.item.name}
                </button>
              </th>
              {facts(stored.item, showing).map(([head, fact]) => (
                <td key={head} className={`whitespace-nowrap ${fact === null ? 'quiet italic' : ''}`}>
                  {fact ?? 'not known'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What a row tells of a material: head and figure, null where nobody knows. */
function facts(material: Material, { locale }: Showing): [string, string | null][] {
  const percent = (fraction: number | null) => (fraction === null ? null : showPercent(fraction, locale));
  const { densityGPerMl } = material;
  const density: [string, string | null] = [
    'Density',
    densityGPerMl === null ? null : `${showNumber(densityGPerMl, 3, locale, 2)} g/mL`,
  ];
  if (material.kind === 'base') {
    return [
      density,
      ['Fragrance cap', percent(material.fragranceCapOfBase)],
      ['Additions cap', percent(material.additionsCapOfBase)],
    ];
  }
  return [
    density,
    ['Limit, of product', percent(material.maxOfProduct)],
    ['On skin', material.skin === 'unknown' ? null : SKIN_NAMES[material.skin]],
  ];
}
