import type { HouseRules } from '../houseRules/houseRules';
import { moldsFilled } from '../molds/filled';
import type { Sheet, SheetPour } from '../plan/sheet';
import { type Addition, additionsBefore } from '../pours/additions';
import { isBare, layerGroups } from '../pours/layers';
import { pourTempC } from '../pours/pourTemp';
import { layTasks } from './layTasks';
import { type JugRules, type MeltOfFilling, meltsOfFilling } from './loads';
import { mustWrap } from './mustWrap';
import { fillsOfRound, partOfRound, wholeSheet } from './rounds';
import type { Task } from './task';

/** What of the house rules decides what is to be done. */
export type WorkRules = JugRules & Pick<HouseRules, 'pourCeiling' | 'freezer' | 'wrap' | 'spritz'>;

/** All tasks of a sheet, round by round: the one account of what is to be done. */
export function tasksOf(sheet: Sheet, rules: WorkRules, rounds = sheet.totals.rounds): Task[] {
  return Array.from({ length: rounds }, (_, round) => tasksOfRound(sheet, rules, round)).flat();
}

/**
 * The tasks of one round, in an order in which they can be done one after the other: each layer melted, dosed, cooled
 * and poured load by load, then set, taken out, cut and wrapped.
 */
export function tasksOfRound(sheet: Sheet, rules: WorkRules, round: number): Task[] {
  const fills = fillsOfRound(sheet, round);
  const melts = meltsOfFilling(sheet, fills, rules);
  const isLast = round === sheet.totals.rounds - 1;
  const share = partOfRound(sheet, round).cavities / wholeSheet(sheet).cavities;
  const layers = layerGroups(sheet.pours);
  const additions = sheet.pours.map(({ lines }) => additionsBefore(lines));
  const of: RoundOf = { sheet, rules, round, share, melts, layers, additions };
  const tasks: Task[] = [];
  let below: string[] = round === 0 ? [] : [roundId(round - 1, 'wash')];
  let poured: string[] = [];
  for (const pourIndexes of layers) {
    const layer = layerTasks(of, pourIndexes, below, poured);
    tasks.push(...layer);
    below = layer.filter((task) => task.kind === 'skin' || isSetOn(task)).map(({ id }) => id);
    poured = layer.filter((task) => task.kind === 'pour' || isSetOn(task)).map(({ id }) => id);
  }
  tasks.push(...afterTasks(of, below, isLast));
  return tasks;
}

/** What hands put on a layer once it is poured. */
function isSetOn(task: Task): boolean {
  if (task.kind === 'inclusions') return !task.isFilling;
  return task.kind === 'lay' && (task.where === 'on-liquid' || task.where === 'on-skin');
}

interface RoundOf {
  sheet: Sheet;
  rules: WorkRules;
  round: number;
  /** Of all cavities that are filled: what is laid is shared out among them. */
  share: number;
  melts: readonly MeltOfFilling[];
  layers: readonly (readonly number[])[];
  /** What is added to the jug of each pour before it, the same for each load. */
  additions: readonly (readonly Addition[])[];
}

/** `r2/unmold`: counted from 1, as people count. */
function roundId(round: number, what: string): string {
  return `r${round + 1}/${what}`;
}

/** `r2/B/l1/base`. */
export function pourTaskId(round: number, letter: string, load: number, what: string): string {
  return roundId(round, `${letter}/l${load + 1}/${what}`);
}

/**
 * A layer, load by load, and its skin last. `below` is what must be over before it is poured, `poured` what hands did to
 * the layer below.
 */
function layerTasks(
  of: RoundOf,
  pourIndexes: readonly number[],
  below: readonly string[],
  poured: readonly string[],
): Task[] {
  const { sheet, rules, round } = of;
  const [lead = 0] = pourIndexes;
  const letter = sheet.pours[lead]?.letter ?? '';
  const loads = loadsOfLayer(of.melts, pourIndexes);
  const tempC = pourTempC(sheet, lead, rules);
  const laid = pourIndexes.flatMap((pourIndex) => {
    const pour = sheet.pours[pourIndex];
    if (!pour || pour.laid.length === 0) return [];
    const id = (what: string) => pourTaskId(round, pour.letter, 0, what);
    return [layTasks(pour, { round, pourIndexes: [pourIndex], load: 0, loads: 1 }, of.share, id)];
  });
  const tasks: Task[] = [];
  const own: string[] = [];
  for (let load = 0; load < loads; load++) {
    const common = { round, pourIndexes: [...pourIndexes], load, loads };
    const spritz: Task[] =
      load === 0 && rules.spritz === 'always' && !isBare(sheet.pours, lead)
        ? [{ ...common, id: pourTaskId(round, letter, load, 'spritz'), kind: 'spritz', needs: [...poured] }]
        : [];
    const ready = pourIndexes.flatMap((pourIndex) => jugTasks(of, pourIndex, load, tempC));
    const filling = load === 0 ? inclusions(of, pourIndexes, true, load, loads, []) : [];
    const laidBefore =
      load === 0 ? laid.flatMap(({ lays }) => [...lays('under', poured), ...lays('between-goes', [])]) : [];
    const dishes = load === 0 ? laid.flatMap(({ weighings }) => weighings) : [];
    const pourId = pourTaskId(round, letter, load, 'pour');
    const pour: Task = {
      ...common,
      id: pourId,
      kind: 'pour',
      tempC,
      needs: [
        ...lastOfEach(ready),
        ...[...filling, ...laidBefore, ...spritz].map(({ id }) => id),
        ...below,
        ...own.slice(-1),
      ],
    };
    own.push(pourId);
    tasks.push(...ready, ...dishes, ...filling, ...laidBefore, ...spritz, pour);
  }
  const set = [
    ...inclusions(of, pourIndexes, false, loads - 1, loads, own.slice(-1)),
    ...laid.flatMap(({ lays }) => lays('on-liquid', own.slice(-1))),
  ];
  const skin: Task = {
    id: roundId(round, `${letter}/skin`),
    kind: 'skin',
    round,
    pourIndexes: [...pourIndexes],
    load: 0,
    loads: 1,
    // It carries so long after it was poured, whatever is set into it meanwhile.
    needs: own.slice(-1),
  };
  return [...tasks, ...set, skin, ...laid.flatMap(({ lays }) => lays('on-skin', own.slice(-1)))];
}

/** The last task of each jug: what a pour waits for. */
function lastOfEach(tasks: readonly Task[]): string[] {
  const last = new Map<number, string>();
  for (const { pourIndexes, id } of tasks) last.set(pourIndexes[0] ?? 0, id);
  return [...last.values()];
}

/** As many as the pour of the layer that takes most; what goes on in another's jug takes as many as that. */
function loadsOfLayer(melts: readonly MeltOfFilling[], pourIndexes: readonly number[]): number {
  const own = melts.filter(({ group }) => group.some((index) => pourIndexes.includes(index)));
  return Math.max(1, ...own.map((melt) => melt.melts));
}

/** From the base on the scale to a jug that is ready to pour; nothing where the pour has fewer loads than its layer. */
function jugTasks(of: RoundOf, pourIndex: number, load: number, tempC: number): Task[] {
  const { sheet, round, melts, layers } = of;
  const pour = sheet.pours[pourIndex];
  const melt = melts.find(({ group }) => group.includes(pourIndex));
  if (!pour || !melt || load >= melt.melts) return [];
  const [head = pourIndex] = melt.group;
  const headLetter = sheet.pours[head]?.letter ?? pour.letter;
  const id = (what: string) => pourTaskId(round, pour.letter, load, what);
  const baseId = pourTaskId(round, headLetter, load, 'base');
  const common = { round, pourIndexes: [pourIndex], load, loads: melt.melts };
  const isHead = head === pourIndex;
  // What goes on in the jug of an earlier layer waits until that is poured.
  const layer = layers.find((group) => group.includes(pourIndex)) ?? [pourIndex];
  const before = melt.group.findLast((each) => each < pourIndex && !layer.includes(each));
  const jugReady =
    before === undefined ? [pourTaskId(round, headLetter, load, 'melt')] : pouredIds(of, before, load);
  const melting: Task[] = isHead
    ? [
        {
          ...common,
          pourIndexes: [...melt.group],
          id: baseId,
          kind: 'weigh-base',
          massG: pour.meltG * melt.ofAll,
          cutG: melt.cutG,
          needs: [],
        },
        {
          ...common,
          pourIndexes: [...melt.group],
          id: id('melt'),
          kind: 'melt',
          massG: melt.cutG,
          needs: [baseId],
        },
      ]
    : [];
  const additions = of.additions[pourIndex] ?? [];
  const doses = additions.map((addition) =>
    doseTask(addition, pour, common, melt.ofAll, { baseId, jugReady, additions, id }),
  );
  const cool: Task = {
    ...common,
    id: id('cool'),
    kind: 'cool',
    tempC,
    needs: [...jugReady, ...doses.filter(intoJug).map((each) => each.id)],
  };
  return [...melting, ...doses, cool];
}

function intoJug(task: Task): boolean {
  return task.kind === 'stir-in' || (task.kind === 'weigh-dose' && task.into === 'jug');
}

function pouredIds({ sheet, round, layers }: RoundOf, pourIndex: number, load: number): string[] {
  const lead = layers.find((group) => group.includes(pourIndex))?.[0] ?? pourIndex;
  return [pourTaskId(round, sheet.pours[lead]?.letter ?? '', load, 'pour')];
}

/** Of the jug that a dose goes into: what it waits for, by ids. */
interface JugOfDose {
  baseId: string;
  jugReady: readonly string[];
  additions: readonly Addition[];
  id(what: string): string;
}

function doseTask(
  addition: Addition,
  pour: SheetPour,
  common: Pick<Task, 'round' | 'pourIndexes' | 'load' | 'loads'>,
  share: number,
  { baseId, jugReady, additions, id }: JugOfDose,
): Task {
  if (addition.kind === 'stir-in') {
    const { lineIndexes, from } = addition;
    const weighed = additions.filter((each) => each.kind === 'weigh' && lineIndexes.includes(each.lineIndex));
    const needs = [...weighed.map((each) => id(each.id)), ...jugReady];
    return { id: id(addition.id), kind: 'stir-in', lineIndexes, from, needs, ...common };
  }
  const { lineIndex, into } = addition;
  // The spread comes last: what V8 adds to one costs it many times as much, and a crowded plan has thousands of these.
  return {
    id: id(addition.id),
    kind: 'weigh-dose',
    massG: (pour.lines[lineIndex]?.addG ?? 0) * share,
    lineIndex,
    into,
    // Into a cup or a beaker it may be weighed before the jug is melted: only its weight must be known.
    needs: into === 'jug' ? [baseId, ...jugReady] : [baseId],
    ...common,
  };
}

/** Fillings are shared out before their pour, pieces set in after it. Common practice, no source. */
function inclusions(
  { sheet, round }: RoundOf,
  pourIndexes: readonly number[],
  isFilling: boolean,
  load: number,
  loads: number,
  needs: readonly string[],
): Task[] {
  return pourIndexes.flatMap((pourIndex): Task[] => {
    const pour = sheet.pours[pourIndex];
    const embedIndexes = (pour?.embeds ?? [])
      .filter(({ perPiece }) => (perPiece === null) === isFilling)
      .map(({ embedIndex }) => embedIndex);
    if (!pour || embedIndexes.length === 0) return [];
    return [
      {
        id: pourTaskId(round, pour.letter, load, isFilling ? 'filling' : 'inclusions'),
        kind: 'inclusions',
        round,
        pourIndexes: [pourIndex],
        load,
        loads,
        needs: [...needs],
        embedIndexes,
        isFilling,
      },
    ];
  });
}

/** What is done once everything is poured. */
function afterTasks({ sheet, rules, round }: RoundOf, below: readonly string[], isLast: boolean): Task[] {
  const common = { round, pourIndexes: [], load: 0, loads: 1 };
  const tasks: Task[] = [];
  let needs = [...below];
  const add = (kind: 'freezer' | 'set' | 'unmold' | 'wash' | 'cut-bars' | 'harden' | 'wrap') => {
    const id = roundId(round, kind);
    tasks.push({ ...common, id, kind, needs });
    // Wiping the mold holds nothing up but the next round, and bars harden in their wrap.
    if (kind !== 'wash' && kind !== 'harden') needs = [id];
  };
  if (sheet.making.freezerMin !== null && rules.freezer !== 'never') add('freezer');
  add('set');
  add('unmold');
  if (!isLast) add('wash');
  if (moldsFilled(sheet, sheet.fills).some(({ sliceMm }) => sliceMm !== null)) add('cut-bars');
  if (sheet.pours.some(({ base: { hardensH } }) => (hardensH ?? 0) > 0)) add('harden');
  if (sheet.packaging.length > 0 || mustWrap(sheet, rules)) add('wrap');
  return tasks;
}
