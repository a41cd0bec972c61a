import { USUAL_MAKING } from '../../core/plan/making';
import { each, isObject, type Json, withDefaults, withField } from './fields';
import { completeMaterial } from './material';
import { completeMold } from './mold';

const TOTALS = { embedsG: 0, trimmedG: 0 };

/** A sheet that was frozen before shapes were counted: what has come into sheets since, as it was then. */
export function completeSheet(record: unknown): unknown {
  const sheet = withDefaults(record, { sizeFaults: [], making: USUAL_MAKING });
  const withMold = withField(withField(sheet, 'mold', completeMold), 'totals', (totals) =>
    withDefaults(totals, TOTALS),
  );
  return withField(withMold, 'pours', (pours) => each(pours, completePour));
}

function completePour(record: unknown): unknown {
  if (!isObject(record)) return record;
  const pour: Json = {
    way: {},
    embeds: [],
    embedsUnsized: [],
    displacedMl: 0,
    meltG: record.baseG,
    fromMm: null,
    toMm: null,
    surfaceMm: record.toMm ?? null,
    when: {},
    size: { by: 'parts', parts: 1 },
    unreadable: [],
    ...record,
  };
  const lines = withField(withField(pour, 'base', completeMaterial), 'lines', (all) =>
    each(all, completeLine),
  );
  return withField(
    withField(lines, 'embeds', (all) => each(all, (embed) => withDefaults(embed, { ofBase: null }))),
    'unreadable',
    (all) =>
      each(all, (unread) => withField(withDefaults(unread, { why: 'text' }), 'material', completeMaterial)),
  );
}

function completeLine(record: unknown): unknown {
  if (!isObject(record)) return record;
  const line = {
    addG: record.massG,
    saidAs: 'share',
    blend: null,
    wets: false,
    leaves: false,
    assumed: [],
    ...record,
  };
  return withField(line, 'material', completeMaterial);
}
