import { pourTint } from '../core/colour/pourTint';
import type { Material } from '../core/materials/material';
import { type Held, mixed, type Scrap, unmixed } from '../core/materials/scrap';
import { NOTHING_KNOWN } from '../core/materials/unknownMaterial';
import type { Aside } from '../core/pieces/aside';
import { batchLotNumber } from '../core/run/batchCode';
import { contentOfRun } from '../core/run/contentOfRun';
import { progress } from '../core/run/progress';
import type { Run, RunEvent } from '../core/run/run';
import { leftOf } from '../core/stock/stock';
import { moneyOf } from '../core/units/money';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';
import { Problem } from './problem';
import { addLot } from './stock';
import { costPerOne } from './usedLines';

/** Less is what is left of adding and taking off. */
const NOTHING = 1e-6;

/** What goes into a jar. */
interface IntoJar {
  name: string;
  massG: number;
  /** None for all pours. */
  pourIndexes: readonly number[];
}

/** What the jar of a run is called where nothing else is said. */
export function scrapName({ snapshot: { sheet } }: Run): string {
  return `Scrap of ${sheet.planName.replaceAll(';', ',')}`.slice(0, 80);
}

/**
 * Brings the shelf up to what was set aside: a lot of the jar, or of the pieces that the plan makes. Call inside the
 * transaction that keeps the event.
 */
export function setAside(
  workshop: Workshop,
  run: Run,
  event: Extract<RunEvent, { kind: 'set-aside' }>,
): void {
  const { to, massG, pieces, pourIndexes, asideId } = event;
  if (to.is === 'jar') putIntoScrapJar(workshop, run, { name: to.name, massG, pourIndexes }, asideId);
  if (to.is === 'pieces' && pieces !== null) keepPieces(workshop, run, { pieces, massG }, asideId);
}

/**
 * Takes back what was set aside.
 *
 * @throws Problem 409 where some of it has been used since
 */
export function takeAsideBack(workshop: Workshop, run: Run, asideId: string): void {
  const lot = orNull(() => workshop.lots.find(asideId))?.item;
  const aside = asideOf(run, asideId);
  if (!lot || !aside) return;
  const left = leftOf(workshop.lots.stockOf(lot.item.id).filter(({ id }) => id === asideId));
  if (left < lot.amount - NOTHING)
    throw new Problem(
      409,
      'used-since',
      'Some of it has been used since, so it can’t be taken back. Correct its lot on the shelf instead.',
    );
  const { materials, lots, now, newId } = workshop;
  const jar = orNull(() => materials.find(lot.item.id));
  if (jar?.item.kind === 'scrap') {
    const all = { massG: leftOf(lots.stockOf(jar.item.id)), holds: jar.item.holds };
    const part = { massG: aside.massG, holds: contentOf(run, aside.pourIndexes) };
    materials.update({ ...jar.item, holds: unmixed(all, part) }, jar.revision, now());
  }
  lots.addEntry({
    ...{ id: newId(), lotId: asideId, at: now(), kind: 'correction', change: -left, note: 'Taken back' },
    owner: null,
  });
}

/** As it was said before it was taken back. */
function asideOf({ events }: Run, asideId: string): Aside | null {
  for (const { occurredAt: at, event } of events)
    if (event.kind === 'set-aside' && event.asideId === asideId) return { ...event, at };
  return null;
}

function contentOf(run: Run, pourIndexes: readonly number[]): Held[] | null {
  return contentOfRun(run, progress(run), pourIndexes);
}

/**
 * Puts something into a scrap jar: a lot of the scrap of that name, which comes onto the shelf with the first of it. What
 * the jar holds is told anew. Call inside the transaction that keeps the event.
 */
export function putIntoScrapJar(
  workshop: Workshop,
  run: Run,
  { name, massG, pourIndexes }: IntoJar,
  lotId?: string,
): void {
  if (!(massG > 0)) return;
  const holds = contentOf(run, pourIndexes);
  const materialId = intoJar(workshop, run, { name, massG, pourIndexes }, holds);
  addRunLot(
    workshop,
    run,
    { materialId, amount: massG, costMinor: costOf(workshop, run, holds, massG) },
    lotId,
  );
}

/** The jar with what comes to it, or a new one: its id. */
function intoJar(
  { materials, lots, now, newId }: Workshop,
  run: Run,
  { name, massG, pourIndexes }: IntoJar,
  holds: Held[] | null,
): string {
  const { pours } = run.snapshot.sheet;
  const melts = 1 + Math.max(0, ...pours.map(({ remelt }) => remelt?.melts ?? 0));
  const known = materials.all().find(({ item }) => item.kind === 'scrap' && item.name === name);
  if (known?.item.kind === 'scrap') {
    const before: Scrap = known.item;
    const leftG = leftOf(lots.stockOf(before.id));
    const next: Scrap =
      leftG > NOTHING
        ? {
            ...before,
            holds: mixed({ massG: leftG, holds: before.holds }, { massG, holds }),
            melts: Math.max(melts, before.melts),
          }
        : { ...before, holds, melts };
    materials.update({ ...next, archived: false }, known.revision, now());
    return before.id;
  }
  const own = pours.filter((_, index) => pourIndexes.length === 0 || pourIndexes.includes(index));
  const [most] = own.toSorted((a, b) => b.intoMoldG - a.intoMoldG);
  const scrap: Material = {
    ...{ ...NOTHING_KNOWN, kind: 'scrap', id: newId(), name },
    densityGPerMl: most ? Number((most.jugG / most.jugVolumeMl).toFixed(4)) : null,
    colour: most ? pourTint(most).hex : null,
    holds,
    melts,
  };
  materials.insert(scrap, now());
  return scrap.id;
}

/**
 * Keeps pieces to be set into others: on the shelf under their plan's id, where what sets them in finds them.
 *
 * @throws Problem 409 where something else has that id
 */
function keepPieces(
  workshop: Workshop,
  run: Run,
  { pieces, massG }: { pieces: number; massG: number },
  lotId: string,
): void {
  const { materials, now } = workshop;
  const { sheet } = run.snapshot;
  const known = materials.find(run.planId);
  if (known && known.item.kind !== 'piece')
    throw new Problem(409, 'id-taken', `“${known.item.name}” on the shelf has the id of this plan.`);
  const pieceG = Number((massG / pieces).toFixed(2));
  const densityGPerMl = sheet.totals.intoMoldG / sheet.totals.intoMoldMl;
  const pieceMl = Number((pieceG / densityGPerMl).toFixed(2));
  if (known?.item.kind === 'piece')
    materials.update({ ...known.item, pieceG, pieceMl, archived: false }, known.revision, now());
  else
    materials.insert(
      {
        ...NOTHING_KNOWN,
        kind: 'piece',
        id: run.planId,
        name: sheet.planName.replaceAll(';', ',').slice(0, 80),
        ...{ pieceG, pieceMl, heightMm: null },
      },
      now(),
    );
  const holds = contentOf(run, []);
  addRunLot(
    workshop,
    run,
    { materialId: run.planId, amount: pieces, costMinor: costOf(workshop, run, holds, massG) },
    lotId,
  );
}

/** What something costs by what it holds, at what this run paid for it; null where a price is not known. */
function costOf(workshop: Workshop, run: Run, holds: readonly Held[] | null, massG: number): number | null {
  if (holds === null) return null;
  const each = costPerOne(workshop, run);
  let sum = 0;
  for (const { materialId, ofScrap } of holds) {
    const minor = each.get(materialId) ?? null;
    if (minor === null) return null;
    sum += minor * ofScrap * massG;
  }
  return sum;
}

/** A lot that a run leaves: called after its batch, so that what it goes into is traced back to it. */
function addRunLot(
  workshop: Workshop,
  run: Run,
  { materialId, amount, costMinor }: { materialId: string; amount: number; costMinor: number | null },
  lotId?: string,
): void {
  const day = workshop.now().slice(0, 10);
  const lot = {
    ...{ item: { kind: 'material' as const, id: materialId }, boughtOn: day, discountFraction: 0, amount },
    number: run.code === null ? `Run of ${day}` : batchLotNumber(run.code),
    price: costMinor === null ? null : moneyOf(Math.round(costMinor)),
    ...{ bestBefore: null, openedOn: null, note: '' },
  };
  addLot(workshop, lot, lotId);
}
