import { barsPerCavity, pieceShare } from '../../core/molds/bars';
import { moldSchema } from '../../core/molds/moldSchema';
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
  return inBars(withField(withMold, 'pours', (pours) => each(pours, completePour)));
}

/** A piece was what came out of a cavity, also of one that is sliced into bars. */
function inBars(record: unknown): unknown {
  if (!isObject(record) || 'fills' in record || !isObject(record.totals)) return record;
  const mold = moldSchema.safeParse(record.mold);
  const { pieces, totals } = record;
  if (!mold.success || typeof pieces !== 'number' || typeof totals.pieceG !== 'number') return record;
  const bars = barsPerCavity(mold.data);
  return {
    ...record,
    pieces: pieces * bars,
    fills: pieces,
    piecesMade: pieces * bars,
    totals: { ...totals, fillG: totals.pieceG, pieceG: totals.pieceG * pieceShare(mold.data) },
  };
}

function completePour(record: unknown, place: number): unknown {
  if (!isObject(record)) return record;
  const pour: Json = {
    id: `p${place + 1}`,
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
    each(all, (line) => completeLine(line, place)),
  );
  return withField(
    withField(lines, 'embeds', (all) =>
      each(all, (embed) =>
        withDefaults(embed, { ofBase: null, embedId: `p${place + 1}-${embedIndexOf(embed)}` }),
      ),
    ),
    'unreadable',
    (all) =>
      each(all, (unread) => withField(withDefaults(unread, { why: 'text' }), 'material', completeMaterial)),
  );
}

function completeLine(record: unknown, pour: number): unknown {
  if (!isObject(record)) return record;
  const line = {
    doseId: `p${pour + 1}-${record.doseIndex}`,
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

function embedIndexOf(embed: unknown): unknown {
  return isObject(embed) ? embed.embedIndex : 0;
}
