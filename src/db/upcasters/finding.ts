import { later } from '../../core/schedule/clock';
import { each, isObject, type Json, withField } from './fields';

/** What a finding said of itself before each code had its own fields: figures by name, yes as 1, kinds by their place in a list. */
interface Told {
  figures: Record<string, number | undefined>;
  text: string;
  fix: unknown;
}

type Fields = (told: Told) => Json;

// Lists by whose places a finding was told, as they stood then.
const SIZE_FAULTS = [
  'over-brim',
  'over-fill',
  'below-fill',
  'nothing-left',
  'needs-shape',
  'already-higher',
  'no-such-disc',
  'spills',
  'embeds-outgrow',
];
const RELATION_FAULTS = ['relation-to-nothing', 'relation-to-several', 'relation-without-end'];
const ORIGINS = ['nut', 'soy', 'milk', 'cereal', 'bee', 'animal'];
const ASSUMPTIONS = ['density', 'spoon-density', 'drop-size', 'block-mass'];
const FACTS = ['vanillin', 'allergens', 'origins'];
const UNFIT_FOR_USE = [
  'hair-salt',
  'hair-botanical',
  'hair-grit',
  'hair-glitter',
  'face-glitter',
  'face-salt',
  'face-fragrance',
];
const WAYS = ['nothing-beside', 'dropped-last', 'dye-pockets', 'trimmed-between', 'ball-at-once', 'two-jugs'];
const EMBEDS = [
  'embed-has-no-size',
  'embed-too-tall',
  'embed-out-of-pour',
  'embed-floats',
  'embed-sinks',
  'embed-made-ahead',
  'embed-in-itself',
];
const JUGS = ['no-jug-to-go-on-in', 'jug-of-another-base', 'carried-in-jug', 'too-much-in-jug'];
const EFFECTS = ['colour', 'glitter', 'salt', 'other'];
const FREEZER = [
  'heat-freezer-too-long',
  'heat-freezer-tacky',
  'heat-freezer-dew',
  'heat-freezer-dry',
] as const;

const number = (value: number | undefined) => value ?? 0;
const isYes = (value: number | undefined) => value === 1;
const orNull = (value: number | undefined) => value ?? null;
const named = (list: readonly string[], place: number | undefined) => list[number(place)] ?? list[0] ?? '';
/** Of figures that are named by their keys, those that are there. */
const keysOf = (list: readonly string[], { figures }: Told) => list.filter((key) => figures[key]);

const caps: Fields = ({ figures: { ofBase, cap, apart } }) => ({
  ofBase: number(ofBase),
  cap: number(cap),
  apart: number(apart),
});
const nothing: Fields = () => ({});

/** The fields of each code by what its finding said before; a code that became several says which it is. */
const FIELDS: Record<string, Fields> = {
  'pour-sizes': ({ figures: { fault, offMl, offMm } }) => ({
    fault: named(SIZE_FAULTS, fault),
    offMl: number(offMl),
    offMm: orNull(offMm),
    about: '',
  }),
  'pour-ways': ({ figures: { kind, nearlyMm } }) => ({
    fault: named(WAYS, kind),
    nearlyMm: orNull(nearlyMm),
  }),
  'one-jug': ({ figures: { fault, overG } }) => ({
    code: named(JUGS, fault),
    ...(fault === JUGS.indexOf('too-much-in-jug') ? { overG: number(overG) } : {}),
  }),
  'jug-too-small': ({ figures: { melts, cutG, wholeMl, fillings }, text }) => ({
    letters: text.split(', '),
    melts: number(melts),
    cutG: number(cutG),
    wholeMl: number(wholeMl),
    fillings: fillings ?? 1,
  }),
  'no-room-for-base': ({ figures: { additionsMl, roomMl } }) => ({
    additionsMl: number(additionsMl),
    roomMl: number(roomMl),
  }),
  'not-computed': ({ text }) => ({ cause: text }),
  'embeds-fit': ({ figures: { kind, overMm, densityGPerMl, jugGPerMl, count } }) => ({
    code: named(EMBEDS, kind),
    ...(overMm === undefined ? {} : { overMm }),
    ...(densityGPerMl === undefined ? {} : { densityGPerMl, jugGPerMl: number(jugGPerMl) }),
    ...(count === undefined ? {} : { count }),
  }),
  'dose-unreadable': ({ text }) => ({ text }),
  'dose-reads-otherwise': ({ text }) => ({ text }),
  'relation-unresolved': ({ text, figures: { fault } }) => ({ text, fault: named(RELATION_FAULTS, fault) }),
  'not-for-skin': nothing,
  'candle-only': nothing,
  'food-colour': nothing,
  'over-supplier-limit': ({ figures: { ofProduct, limit, mendOfBase, ofBar, pours } }) => ({
    ofProduct: number(ofProduct),
    limit: number(limit),
    fixOfBase: number(mendOfBase),
    ofBar: number(ofBar),
    pours: pours ?? 1,
  }),
  'fragrance-over-cap': caps,
  'oils-over-cap': caps,
  'liquids-over-cap': caps,
  'additions-over-cap': caps,
  'grit-too-coarse': ({ figures: { grainMm, most, forFace, unknown } }) => ({
    grainMm: isYes(unknown) ? null : number(grainMm),
    mostMm: number(most),
    forFace: isYes(forFace),
  }),
  'unfit-for-use': ({ figures: { why } }) => ({ why: named(UNFIT_FOR_USE, why) }),
  'unknown-limit': ({ figures: { releaseUnknown } }) => ({ releaseUnknown: isYes(releaseUnknown) }),
  vanillin: ({ figures: { stabiliserG, vanillinOfPour, off }, text }) =>
    number(stabiliserG) > 0
      ? { code: 'stabiliser-out-of-step', stabiliser: text, off: number(off) }
      : {
          code: 'vanillin-browns',
          stabiliser: text === '' ? null : text,
          vanillinOfBase: number(vanillinOfPour),
        },
  'dye-bleeds': ({ figures: { unknown }, text }) => ({
    against: text.split(' and '),
    unknown: isYes(unknown),
  }),
  overdone: ({ figures: { ofBase, most, effect } }) => ({
    ofBase: number(ofBase),
    most: number(most),
    effect: named(EFFECTS, effect),
  }),
  'too-much-colour': ({ figures: { ofMost, colorants, pours } }) => ({
    ofMost: number(ofMost),
    colorants: colorants ?? 2,
    pours: pours ?? 1,
  }),
  'below-working-range': ({ figures: { ofBase, least, isScent } }) => ({
    ofBase: number(ofBase),
    least: number(least),
    isScent: isYes(isScent),
  }),
  'solids-move': ({ figures: { floats, unknown }, text }) => ({
    baseName: text,
    floats: isYes(floats),
    unknown: isYes(unknown),
  }),
  'botanical-browns': nothing,
  'scale-fit': scaleFields,
  'stock-short': ({ figures: { need, left, counted } }) => ({
    need: number(need),
    left: number(left),
    isCounted: isYes(counted),
  }),
  'lot-past-date': ({ text }) => ({ bestBefore: text }),
  allergens: ({ figures }) => ({
    named: Object.entries(figures).map(([name, ofProduct]) => ({ name, ofProduct })),
  }),
  origins: ({ figures: { origin } }) => ({ origin: named(ORIGINS, origin) }),
  'facts-missing': (told) => ({ facts: keysOf(FACTS, told) }),
  'stand-in-figures': (told) => ({
    figures: keysOf(ASSUMPTIONS, told),
    isBase: isYes(told.figures.isBase),
  }),
  'mold-too-hot': ({ figures: { atC, mostC } }) => ({
    atC: number(atC),
    mostC: number(mostC),
    coolerC: Math.floor(number(mostC) - 3),
  }),
  'pour-over-ceiling': ({ figures: { atC, mostC } }) => ({ atC: number(atC), mostC: number(mostC) }),
  'freezer-refused': ({ figures: { dewC } }) => ({ dewPointC: number(dewC) }),
  'heat-breaks-through': ({ figures: { share, atC, likely, early } }) => ({
    share: number(share),
    atC: number(atC),
    isLikely: isYes(likely),
    isEarly: isYes(early),
  }),
  'heat-weak-bond': ({
    figures: { share, atC, afterS, latestS, waits, likely, fromC, toC, mendsTime },
    fix,
  }) => ({
    share: number(share),
    atC: number(atC),
    afterS: number(afterS),
    latestS: number(latestS),
    waits: isYes(waits),
    isLikely: isYes(likely),
    rewarm: fromC === undefined || toC === undefined ? null : { fromC, toC },
    fixes: fix === null ? null : isYes(mendsTime) ? 'moment' : 'heat',
  }),
  'heat-jug-too-thick': ({ figures: { lowC, middleC, tooThickC, pourS, likely } }) => ({
    lowC: number(lowC),
    middleC: number(middleC),
    tooThickC: number(tooThickC),
    pourS: number(pourS),
    isLikely: isYes(likely),
  }),
  'heat-grain-moves': ({ figures: { movesMm, staysBelowC }, text }) => ({
    baseName: text,
    movesMm: number(movesMm),
    staysBelowC: orNull(staysBelowC),
  }),
  'heat-freezer': freezerFields,
  'heat-too-late': ({ figures: { lateS, neededS, never }, text }) => ({
    wantedAt: text,
    lateS: number(lateS),
    neededS: number(neededS),
    never: isYes(never),
  }),
  'heat-sweats': ({ figures: { humidity, waterActivity } }) => ({
    humidity: number(humidity),
    waterActivity: number(waterActivity),
  }),
  'heat-points-melt': ({ figures: { thinnestMm, pointsStayBelowC } }) => ({
    thinnestMm: orNull(thinnestMm),
    pointsStayBelowC: number(pointsStayBelowC),
  }),
  'heat-hot-on-skin': ({ figures: { atC, ruleC } }) => ({ atC: number(atC), ruleC: number(ruleC) }),
  'heat-never-out': ({ figures: { wantedC, roomC, cut } }) => ({
    wantedC: number(wantedC),
    roomC: number(roomC),
    isForCutting: isYes(cut),
  }),
};

function scaleFields({ figures, text }: Told): Json {
  if (isYes(figures.noScales)) return { code: 'no-scales' };
  const massG = number(figures.massG);
  if (isYes(figures.tooHeavy))
    return { code: 'over-scale-capacity', massG, capacityG: number(figures.massCapG) };
  const { gramsStepG, gramsError, pieces } = figures;
  return {
    scaleName: text,
    massG,
    stepG: number(figures.stepG),
    error: number(figures.error),
    most: number(figures.most),
    inGrams: number(gramsStepG) > 0 ? { stepG: gramsStepG, error: number(gramsError) } : null,
    pieces: number(pieces) > 0 ? pieces : null,
    dilutedError: number(figures.dilutedError),
    isLiquid: isYes(figures.liquid),
  };
}

function freezerFields({ figures, text }: Told): Json {
  const code = FREEZER[number(figures.kind)] ?? 'heat-freezer-dew';
  const dewPointC = number(figures.dewC);
  const dryS = number(figures.dryS);
  switch (code) {
    case 'heat-freezer-too-long':
      return { code, freezerMin: number(figures.freezerMin), mostMin: number(figures.mostMin), dewPointC };
    case 'heat-freezer-tacky':
      return { code, unknown: isYes(figures.unknown) };
    case 'heat-freezer-dry':
      return { code, dewPointC };
    case 'heat-freezer-dew':
      return {
        code,
        dewPointC,
        dryS,
        beginsAt: text === '' ? null : text,
        dryAt: text === '' ? null : later(text, number(figures.outS) + dryS),
      };
  }
}

/** A finding with the fields of its own code, and an id; what has them already is left as it is. */
export function findingWithFields(record: unknown, place: number): unknown {
  if (!isObject(record) || !isObject(record.figures) || typeof record.code !== 'string') return record;
  const { figures, text = '', mend = null, ...rest } = record;
  const fields = FIELDS[record.code];
  if (fields === undefined) return record;
  const told = {
    figures: figures as Told['figures'],
    text: String(text),
    fix: mend,
  };
  const fix = each(mend, editWithKind);
  return { ...rest, fix, id: `${record.code}/${place}`, ...fields(told) };
}

function editWithKind(record: unknown): unknown {
  if (!isObject(record)) return record;
  const { edit, ...rest } = record;
  return { ...rest, kind: edit };
}

/** A snapshot whose findings said what they found as figures by name. */
export function snapshotWithFields(record: unknown): unknown {
  return withField(record, 'findings', (findings) => each(findings, findingWithFields));
}
