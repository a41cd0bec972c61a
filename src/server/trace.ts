import { actOf, backOf } from '../core/goods/goods';
import { goodPiecesSeen } from '../core/inspection/inspection';
import type { Aside } from '../core/pieces/aside';
import { batchLotNumber, codeOfLotNumber } from '../core/run/batchCode';
import { progress } from '../core/run/progress';
import type { StockEntry } from '../core/stock/stock';
import { type TraceSource, traceLot, traceRun } from '../core/trace/trace';
import { orNull } from './broken';
import { goodsOfRun } from './goods';
import type { Workshop } from './openWorkshop';
import { notFound } from './problem';
import { findRun } from './runs';
import { turnWhenLong } from './turn';

/** Less is what is left of taking and giving back. */
const NOTHING = 1e-6;

/** A batch that holds something of a lot. */
export interface TracedBatch {
  runId: string;
  code: string | null;
  planName: string;
  startedAt: string;
  /** Good pieces, by inspection or as it was said at the end; null while nobody has said. */
  goodPieces: number | null;
  /** How it ended; null while it is on the bench. */
  ended: 'finished' | 'abandoned' | null;
  complaints: number;
  /** What of it is kept elsewhere than among its bars: in jars, as pieces and as samples. */
  asides: Aside[];
  /** Packs with its pieces, by what they are sold as. */
  packs: { product: string; entries: StockEntry[] }[];
  /** Of its pours. */
  letters: string[];
  /** Of the lot itself or of what it came through last, in g, or in pieces of what is counted. */
  amount: number;
  /** Numbers of the lots of the scrap jar that it came through. */
  through: string[];
  /** It is there and can't be read. */
  isBroken: boolean;
}

/** A lot that something of is in a batch. */
export interface TracedSource {
  lotId: string;
  number: string;
  materialId: string;
  materialName: string;
  amount: number;
  /** Codes of the batches that it came through. */
  through: string[];
}

/**
 * Every batch that holds something of a lot.
 *
 * @throws Problem 404
 */
export async function traceOfLot(workshop: Workshop, lotId: string) {
  const { lots, materials } = workshop;
  const lot = lots.find(lotId)?.item;
  if (!lot) throw notFound('lot', lotId);
  const found = traceLot(lotId, sourceOf(workshop));
  const numberOf = (id: string) => orNull(() => lots.find(id))?.item.number ?? id;
  const batches: TracedBatch[] = [];
  for (const { runId, amount, through } of found) {
    await turnWhenLong();
    batches.push({ ...batchOf(workshop, runId), amount, through: through.map(numberOf) });
  }
  // One that came to hold of it in two ways is one batch.
  const each = [...new Map(batches.map((batch) => [batch.runId, batch])).values()];
  return {
    lot,
    batchCount: each.length,
    goodPieces: each.reduce((sum, { goodPieces }) => sum + (goodPieces ?? 0), 0),
    batches,
    materialName: orNull(() => materials.find(lot.item.id))?.item.name ?? lot.item.id,
  };
}

/**
 * Every lot that something of is in a batch.
 *
 * @throws Problem 404
 */
export function traceOfRun(workshop: Workshop, runId: string): TracedSource[] {
  const { lots, materials } = workshop;
  findRun(workshop, runId);
  return traceRun(runId, sourceOf(workshop)).flatMap(({ lotId, amount, through }) => {
    const lot = orNull(() => lots.find(lotId))?.item;
    if (!lot) return [];
    return [
      {
        ...{ lotId, number: lot.number, materialId: lot.item.id, amount },
        materialName: orNull(() => materials.find(lot.item.id))?.item.name ?? lot.item.id,
        through: through.map((id) => orNull(() => findRun(workshop, id))?.code ?? id),
      },
    ];
  });
}

function batchOf(workshop: Workshop, runId: string): Omit<TracedBatch, 'amount' | 'through'> {
  const run = orNull(() => workshop.runs.find(runId));
  if (!run)
    return {
      ...{ runId, code: null, planName: '', startedAt: '', goodPieces: null, ended: null, complaints: 0 },
      ...{ asides: [], packs: [], letters: [], isBroken: true },
    };
  const so = progress(run);
  const { sheet } = run.snapshot;
  const seen = goodPiecesSeen(so.inspections, sheet.totals.rounds);
  return {
    runId,
    ...{ code: run.code, planName: sheet.planName, startedAt: run.startedAt, isBroken: false },
    goodPieces: seen ?? (so.ended?.kind === 'finished' ? so.ended.goodPieces : null),
    ended: so.ended?.kind ?? null,
    complaints: so.complaints.length,
    asides: so.asides.filter(({ to }) => to.is !== 'waste'),
    packs: goodsOfRun(workshop, runId).map(({ lot, entries }) => ({
      product: orNull(() => workshop.products.find(lot.item.id))?.item.name ?? lot.item.id,
      entries,
    })),
    letters: sheet.pours.map(({ letter }) => letter),
  };
}

/** By the entries of the stock, and by the codes that lots of the scrap jar are called after. */
function sourceOf({ lots, materials, runs }: Workshop): TraceSource {
  // What a batch leaves is scrap, or pieces to be set in.
  const isLeft = (lotId: string) => {
    const materialId = orNull(() => lots.find(lotId))?.item.item.id;
    const kind = materialId === undefined ? null : orNull(() => materials.find(materialId))?.item.kind;
    return kind === 'scrap' || kind === 'piece';
  };
  return {
    runsOfLot(lotId) {
      const entries = lots.entriesOfLot(lotId);
      const byRuns = sums(entries, ({ owner }) => (owner?.kind === 'run' ? owner.id : null));
      // What packs are packed in is with the pieces of all their batches; they are packed under the id of their lot.
      const byPacks = sums(entries, actOf).flatMap(([packedId, amount]) =>
        (orNull(() => lots.find(packedId))?.item.madeOf ?? []).map(({ runId }): [string, number] => [
          runId,
          amount,
        ]),
      );
      return [...byRuns, ...byPacks].map(([runId, amount]) => ({ runId, amount }));
    },
    lotsOfRun(runId) {
      const packs = lots
        .withRun(runId)
        .flatMap(({ item: { id } }) =>
          [id, backOf(id)].flatMap((act) => lots.entriesOf({ kind: 'act', id: act })),
        );
      const entries = [...lots.entriesOfRun(runId), ...packs];
      return sums(entries, (entry) => entry.lotId).map(([lotId, amount]) => ({ lotId, amount }));
    },
    lotsLeftBy(runId) {
      const code = runs.codeOf(runId);
      return code === null ? [] : lots.idsNumbered(batchLotNumber(code)).filter(isLeft);
    },
    runThatLeft(lotId) {
      const code = codeOfLotNumber(orNull(() => lots.find(lotId))?.item.number ?? '');
      return code === null || !isLeft(lotId) ? null : runs.idOfCode(code);
    },
  };
}

type Entry = ReturnType<Workshop['lots']['entriesOfLot']>[number];

/** What was used and not given back, by whatever it is counted by. */
function sums(entries: readonly Entry[], by: (entry: Entry) => string | null): [string, number][] {
  const taken = new Map<string, number>();
  for (const entry of entries) {
    const key = by(entry);
    if (key !== null && (entry.kind === 'used' || entry.kind === 'returned'))
      taken.set(key, (taken.get(key) ?? 0) - entry.change);
  }
  return [...taken].filter(([, amount]) => amount > NOTHING);
}
