import { USUAL_EVAPORATION } from '../src/core/heat/air';
import { bondOf, meet } from '../src/core/heat/bond';
import {
  CELLS_BELOW,
  emptyCavity,
  endsOf,
  type HeatCavity,
  layerSlabs,
  type Surroundings,
  sideWM3K,
} from '../src/core/heat/cavity';
import { conduct } from '../src/core/heat/conduct';
import { dewOn, loosePiece } from '../src/core/heat/dew';
import { meltInBursts } from '../src/core/heat/melt';
import { coreC, SKIN_M, skinDepthM } from '../src/core/heat/skin';
import { copyOf, poured, type Stack } from '../src/core/heat/stack';
import { SILICONE, SOAP, SOFTWOOD, type Substance, SYNDET } from '../src/core/heat/substance';

/** One line of “practice against model”. All of the practice is common practice, no source. */
export interface PracticeRow {
  practice: string;
  model: string;
  verdict: 'agrees' | 'misses' | 'agrees with a margin';
}

const ROOM = { tempC: 21, humidity: 0.5 };
const AROUND: Surroundings = {
  room: ROOM,
  evaporating: USUAL_EVAPORATION,
  filmWM2K: 8,
  lossScale: 1,
};
const FINE = { mostK: 0.5, longestS: 300 };

function box(lengthM: number, widthM: number, wall: HeatCavity['wall']): HeatCavity {
  return {
    areaM2: lengthM * widthM,
    perimeterM: 2 * (lengthM + widthM),
    widthM: Math.min(lengthM, widthM),
    wall,
  };
}

const IN_SILICONE = { substance: SILICONE, thicknessM: 0.003 };
const REFERENCE = box(0.109, 0.085, IN_SILICONE);
const SMALL_BAR = box(0.08, 0.055, IN_SILICONE);
const EMBED = box(0.04, 0.03, IN_SILICONE);
const LOAF = box(0.24, 0.07, { substance: SOFTWOOD, thicknessM: 0.012 });

function pourOf(cavity: HeatCavity, thicknessM: number, tempC: number, soap: Substance): Stack {
  return poured(
    emptyCavity(cavity, AROUND),
    layerSlabs(soap, thicknessM, tempC, sideWM3K(cavity, AROUND, soap)),
  );
}

/** Minutes until a pour carries; what is left in `stack` is that moment. */
function skinMin(stack: Stack, cavity: HeatCavity): number {
  const [before, after] = [
    { timeS: 0, depth: 0 },
    { timeS: 0, depth: 0 },
  ];
  conduct(
    stack,
    endsOf(cavity, AROUND),
    36_000,
    (timeS, now) => {
      Object.assign(before, after);
      Object.assign(after, { timeS, depth: skinDepthM(now, CELLS_BELOW) });
      return after.depth >= SKIN_M;
    },
    FINE,
  );
  return (
    (before.timeS + ((after.timeS - before.timeS) * (SKIN_M - before.depth)) / (after.depth - before.depth)) /
    60
  );
}

/** Minutes until the core is as cold as this. */
function coreMin(cavity: HeatCavity, thicknessM: number, pourC: number, atC: number, soap = SOAP): number {
  return (
    conduct(
      pourOf(cavity, thicknessM, pourC, soap),
      endsOf(cavity, AROUND),
      200_000,
      (_, now) => coreC(now, CELLS_BELOW) <= atC,
      FINE,
    ) / 60
  );
}

function skinsMin(cavity: HeatCavity, pours: readonly [thicknessMm: number, pourC: number][]): number[] {
  return pours.map(([mm, tempC]) => skinMin(pourOf(cavity, mm / 1000, tempC, SOAP), cavity));
}

/** A pour of 10 mm on one of 10 mm, poured so long after its skin. */
function meetings(afterS: number, heatsC: readonly number[]) {
  const stack = pourOf(REFERENCE, 0.01, 55, SOAP);
  skinMin(stack, REFERENCE);
  const ends = endsOf(REFERENCE, AROUND);
  if (afterS > 0) conduct(stack, ends, afterS, undefined, FINE);
  return heatsC.map((tempC) =>
    meet(
      copyOf(stack),
      CELLS_BELOW,
      layerSlabs(SOAP, 0.01, tempC, sideWM3K(REFERENCE, AROUND, SOAP)),
      ends,
      'stream',
      FINE,
    ),
  );
}

const list = (figures: readonly number[], decimals: number) =>
  figures.map((figure) => figure.toFixed(decimals)).join(' / ');
const within = (figures: readonly number[], low: number, high: number) =>
  figures.every((figure) => figure >= low && figure <= high);

/** The model against what crafters see, room 21 °C and 50 %, poured at 55 °C unless said. */
export function practiceTable(): PracticeRow[] {
  const rows: PracticeRow[] = [];
  const row = (
    practice: string,
    model: string,
    agrees: boolean,
    otherwise: PracticeRow['verdict'] = 'misses',
  ) => rows.push({ practice, model, verdict: agrees ? 'agrees' : otherwise });

  const skins = skinsMin(REFERENCE, [
    [10, 52],
    [10, 55],
    [10, 60],
  ]);
  row(
    '100 g, 10 mm: a skin in 5 to 10 min',
    `${list(skins, 1)} min poured at 52 / 55 / 60 °C`,
    within(skins, 5, 10),
  );
  const embeds = skinsMin(EMBED, [
    [5, 55],
    [6.5, 55],
    [8, 55],
  ]);
  row(
    'thin embed: a skin in 4 to 5 min',
    `${list(embeds, 1)} min for 5 / 6.5 / 8 mm`,
    within([embeds[2] ?? 0], 4, 5.5) && within(embeds, 2.5, 5.5),
  );
  const bars = [20, 25].map((mm) => coreMin(SMALL_BAR, mm / 1000, 55, 32));
  row(
    'small bar out in 1 to 2 h',
    `${list(bars, 0)} min to a core of 32 °C for 20 / 25 mm`,
    within(bars, 60, 120),
  );
  const tray = [32, 26].map((atC) => coreMin(box(0.25, 0.2, IN_SILICONE), 0.03, 55, atC) / 60);
  row(
    'tray of three layers, 30 mm: 4 to 8 h',
    `${list(tray, 1)} h to a core of 32 / 26 °C`,
    within(tray, 4, 8),
    'agrees with a margin',
  );
  const loaf = [32, 26].map((atC) => coreMin(LOAF, 0.06, 55, atC) / 60);
  row(
    'loaf of 1.1 kg in wood: overnight',
    `${list(loaf, 1)} h to a core of 32 / 26 °C`,
    within(loaf, 8, 14),
    'agrees with a margin',
  );
  const fresh = meetings(0, [52, 54, 57, 60, 65]);
  row(
    'at or below 52 to 54 °C on a fresh skin, hotter breaks through',
    `re-melts ${list(
      fresh.slice(0, 3).map(({ remeltM }) => remeltM * 1000),
      2,
    )} mm at 52 / 54 / 57 °C; ${fresh
      .slice(3)
      .map((each) => bondOf(each))
      .join(' / ')} at 60 / 65 °C`,
    fresh.slice(0, 2).every((each) => bondOf(each) === 'good') &&
      fresh.slice(3).every((each) => bondOf(each) === 'broken'),
  );
  const old = meetings(1800, [52, 54, 57, 62]);
  row(
    'left for 30 min and more: 52 to 54 °C no longer bonds',
    `${old.map((each) => bondOf(each)).join(' / ')} at 52 / 54 / 57 / 62 °C`,
    old.slice(0, 2).every((each) => bondOf(each) === 'weak') &&
      bondOf(old[3] ?? { remeltM: 0, bridgeM: 0 }) === 'good',
  );
  const melts = [100, 255, 1000].map((massG) =>
    meltInBursts({ massG, substance: SOAP, fromC: 21, toC: 65, ceilingC: 71, powerW: 1000 }).bursts.reduce(
      (sum, { lengthS, power }) => sum + lengthS * power,
      0,
    ),
  );
  row(
    'microwave: 100 g in 30 s, 255 g in 2 min, 1 kg in more than 2 min',
    `${list(melts, 0)} s of full power at 1000 W`,
    within([melts[0] ?? 0], 20, 45) && within([melts[1] ?? 0], 80, 180) && within([melts[2] ?? 0], 120, 600),
  );
  const syndet = coreMin(SMALL_BAR, 0.025, 55, 28, SYNDET);
  row(
    'syndet bar out in 2 h, hard in 1 to 2 days',
    `${syndet.toFixed(0)} min to a core of 28 °C; its hardening is not thermal`,
    within([syndet], 75, 150),
  );
  const dews = [25, 6.5].map((mm) => dewOn(loosePiece(SOAP, mm / 1000, -18), ROOM, FREE_LENGTH_M));
  row(
    'out of the freezer it gathers water',
    `${dews.map(({ aboveDewS, dryS }, i) => `${[25, 6.5][i]} mm from −18 °C: above the dew point after ${(aboveDewS / 60).toFixed(0)} min, dry after ${(dryS / 60).toFixed(0)}`).join('; ')}`,
    dews.every(({ mostGM2 }) => mostGM2 > 5),
  );
  return rows;
}

/** Area over perimeter of a bar that stands free. */
const FREE_LENGTH_M = 0.03;

/** The table as Markdown. */
export function practiceMarkdown(): string {
  return [
    '| practice (common practice, no source) | model | |',
    '|---|---|---|',
    ...practiceTable().map(
      ({ practice, model, verdict }) =>
        `| ${practice} | ${model} | ${verdict === 'misses' ? '**misses**' : verdict} |`,
    ),
  ].join('\n');
}
