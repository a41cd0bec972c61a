import type { Ingredients } from '../ingredients/ingredients';
import type { LabelPiece, LabelSize, Side } from './labelLayout';
import { frontAreaMm2, labelPieces, MARGIN_MM, roomMm2 } from './labelLayout';
import {
  type LabelRules,
  LOWEST_SHARE,
  netHeightIsOf,
  netHeightMm,
  standsLow,
  textHeightMm,
} from './labelRules';
import { type Layer, type LayerStripe, withStripe } from './layerStripe';
import { JAR_MM, monthsIn, type OpenJar, openJar } from './openJar';
import { type Block, type Box, type FontMetrics, type PanelText, type SetLine, typeset } from './typeset';

/** What one plan's pieces bring to a label. */
export interface LabelPart {
  planId: string;
  planName: string;
  /** In one pack. */
  pieces: number;
  /** The run that they are of; null for a draft, by the plan. */
  run: { id: string; code: string | null; madeAt: string } | null;
  /** Whole grams that may be said of each; null where nothing can. */
  netG: number | null;
  /** null where something melted again is not known. */
  ingredients: Ingredients | null;
  /** Every base is soap, so that it may be called so. */
  isSoap: boolean;
  /** As they lie in a piece, from its floor up. */
  layers: Layer[];
}

/** What a text of a label is. */
export type TextKind =
  | 'name'
  | 'identity'
  | 'draft'
  | 'net'
  | 'ingredients'
  | 'directions'
  | 'cautions'
  | 'origin'
  | 'good'
  | 'batch'
  | 'maker'
  | 'figures';

export interface LabelTexts {
  front: { kind: TextKind; text: string }[];
  net: string | null;
  /** Months after opening, as they stand in the symbol of an open jar; null where there is none. */
  jar: string | null;
  back: { kind: TextKind; text: string }[];
}

/** Squares and bars that are printed, in modules. */
export interface LabelCodes {
  /** Rows of a square, true where it is dark. */
  qr: boolean[][] | null;
  /** Widths of bars and of spaces in turn, a bar first, and what is read below them. */
  bars: { widths: number[]; text: string } | null;
}

export interface SetPiece extends LabelPiece {
  lines: SetLine<TextKind>[];
  qr: { box: Box; rows: boolean[][] } | null;
  bars: { box: Box; widths: number[] } | null;
  jar: OpenJar | null;
  stripe: LayerStripe | null;
}

/** What does not fit on a label. */
export type FitFault =
  | { code: 'no-room'; side: Side; missingMm: number }
  | { code: 'too-wide'; side: Side; words: string[] }
  /** From the foot of the panel up: it stands in the lowest part of it. */
  | { code: 'net-too-high'; standsMm: number; allowedMm: number };

export interface SetLabel {
  pieces: SetPiece[];
  faults: FitFault[];
  /** Least heights that were held to, mm. */
  heights: {
    /** null where the net quantity is not known: its height goes by it. */
    netMm: number | null;
    textMm: number;
  };
}

export interface LabelAsked {
  rules: LabelRules;
  size: LabelSize;
  /** Of the pack, mm², where it is larger than the front. */
  faceMm2: number | null;
  /** All of a pack. */
  netG: number;
  texts: LabelTexts;
  /** Of each plan, where they are shown in their colours. */
  layers: Layer[][];
  codes: LabelCodes;
}

/** A square is read by a telephone from this size on, mm: common practice, no source. */
const QR_MM = 13;
/** Bars at four fifths of their nominal size, the least that is allowed: a module of 0.264 mm (GS1 General Specifications, 5.2; from memory). */
const MODULE_MM = 0.264;
const BARS_MM = 18.3;
/** Left and right of bars, modules. */
const QUIET = 11;
/** Below bars, for their figures, which are as high as leaves a gap. */
const FIGURES_MM = 2.6;
const FIGURE_HEIGHT_MM = 1.8;
const APART_MM = 2;

/** Sets the texts of a label by the rules it is written by. */
export function setLabel(
  { rules, size, faceMm2, netG, texts, layers, codes }: LabelAsked,
  font: FontMetrics,
): SetLabel {
  const pieces = labelPieces(size);
  const panelMm2 = Math.max(faceMm2 ?? 0, frontAreaMm2(pieces));
  const netMm = netHeightMm(rules, netG, panelMm2);
  const textMm = textHeightMm(rules, roomMm2(pieces));
  const isLow = standsLow(rules, panelMm2);
  const blocks = blocksBy({ netMm, textMm, rules }, font);
  const faults: FitFault[] = [];
  const written = pieces.map((piece): SetPiece => {
    const set: SetPiece = { ...piece, lines: [], qr: null, bars: null, jar: null, stripe: null };
    for (const { side, box } of piece.places) {
      const { room, content, figures, ...drawn } =
        side === 'front'
          ? { ...withStripe(box, layers), content: frontText(texts, blocks), figures: [] }
          : {
              ...withCodes(box, codes, texts.jar, font),
              content: { blocks: texts.back.map(blocks), isCentred: false },
            };
      const { lines, missingMm, tooWide } = typeset(room, content, font);
      Object.assign(set, drawn);
      set.lines.push(...lines, ...figures);
      if (missingMm > 0.005) faults.push({ code: 'no-room', side, missingMm });
      if (tooWide.length > 0) faults.push({ code: 'too-wide', side, words: tooWide });
      if (side === 'front' && isLow) faults.push(...tooHigh(lines, box, font));
    }
    return set;
  });
  return { pieces: written, faults, heights: { netMm: texts.net === null ? null : netMm, textMm } };
}

function frontText(
  { front, net }: LabelTexts,
  blocks: (text: { kind: TextKind; text: string }) => Block<TextKind>,
): PanelText<TextKind> {
  return {
    blocks: front.map(blocks),
    foot: net === null ? undefined : blocks({ kind: 'net', text: net }),
    isCentred: true,
  };
}

/** The net quantity, where it reaches out of the lowest part of the panel. */
function tooHigh(lines: readonly SetLine<TextKind>[], box: Box, { capital }: FontMetrics): FitFault[] {
  const net = lines.filter(({ kind }) => kind === 'net');
  if (net.length === 0) return [];
  const topMm = Math.min(...net.map(({ baselineMm, sizeMm }) => baselineMm - capital * sizeMm));
  const standsMm = box.yMm + box.heightMm + MARGIN_MM - topMm;
  const allowedMm = LOWEST_SHARE * (box.heightMm + 2 * MARGIN_MM);
  return standsMm > allowedMm + 0.005 ? [{ code: 'net-too-high', standsMm, allowedMm }] : [];
}

/** How large each text is set: as the rules have it at the least. */
function blocksBy(
  { netMm, textMm, rules }: { netMm: number; textMm: number; rules: LabelRules },
  { capital, lowerCase }: FontMetrics,
) {
  const textSizeMm = textMm / lowerCase;
  const netSizeMm = netMm / (netHeightIsOf(rules) === 'capital' ? capital : lowerCase);
  const sizes: Partial<Record<TextKind, [leastMm: number, bestMm: number]>> = {
    name: [textSizeMm * 1.3, Math.max(textSizeMm * 1.3, 7)],
    identity: [textSizeMm * 1.1, Math.max(textSizeMm * 1.1, 4)],
    net: [netSizeMm, netSizeMm * 1.2],
  };
  return ({ kind, text }: { kind: TextKind; text: string }): Block<TextKind> => {
    const [leastMm, bestMm] = sizes[kind] ?? [textSizeMm, textSizeMm * 1.6];
    return { kind, text, isBold: BOLD.has(kind), isTitle: TITLES.has(kind), leastMm, bestMm };
  };
}

const BOLD: ReadonlySet<TextKind> = new Set(['name', 'net', 'cautions', 'draft']);

/** What is rather set a little smaller than in one more line. */
const TITLES: ReadonlySet<TextKind> = new Set(['name', 'identity', 'net']);

interface PlacedCodes extends Pick<SetPiece, 'qr' | 'bars' | 'jar'> {
  /** What is left above them. */
  room: Box;
  figures: SetLine<TextKind>[];
}

/** Codes and the open jar along the foot of a place; the jar stands above them where they leave it no room. */
function withCodes(
  box: Box,
  { qr, bars }: LabelCodes,
  months: string | null,
  font: FontMetrics,
): PlacedCodes {
  const codesMm = Math.max(qr ? QR_MM : 0, bars ? BARS_MM + FIGURES_MM : 0);
  const [qrWide, barsWide] = [
    qr ? QR_MM + APART_MM : 0,
    bars ? (sum(bars.widths) + QUIET) * MODULE_MM + APART_MM : 0,
  ];
  const isBeside = qrWide + JAR_MM.width + barsWide <= box.widthMm;
  const jarMm = months === null ? 0 : JAR_MM.height;
  const heightMm = isBeside || codesMm === 0 ? Math.max(codesMm, jarMm) : codesMm + jarMm + APART_MM;
  if (heightMm === 0) return { room: box, qr: null, bars: null, jar: null, figures: [] };
  const footMm = box.yMm + box.heightMm;
  const barsBox = bars && {
    xMm: box.xMm + box.widthMm - (sum(bars.widths) + QUIET) * MODULE_MM,
    yMm: footMm - BARS_MM - FIGURES_MM,
    widthMm: sum(bars.widths) * MODULE_MM,
    heightMm: BARS_MM,
  };
  const jarBox: Box = {
    xMm: box.xMm + (isBeside ? qrWide : 0),
    yMm: footMm - (isBeside ? jarMm : heightMm),
    widthMm: JAR_MM.width,
    heightMm: JAR_MM.height,
  };
  return {
    room: { ...box, heightMm: Math.max(1, box.heightMm - heightMm - APART_MM) },
    qr: qr && {
      rows: qr,
      box: { xMm: box.xMm, yMm: footMm - QR_MM, widthMm: QR_MM, heightMm: QR_MM },
    },
    bars: bars && barsBox && { widths: bars.widths, box: barsBox },
    jar: months === null ? null : openJar(jarBox),
    figures: [
      ...(bars && barsBox ? [figuresBelow(barsBox, bars.text, font)] : []),
      ...(months === null
        ? []
        : [{ kind: 'good' as const, text: months, isBold: true, ...monthsIn(jarBox, months, font) }]),
    ],
  };
}

/** The number that bars stand for, in the middle below them. */
function figuresBelow(bars: Box, text: string, { capital, width }: FontMetrics): SetLine<TextKind> {
  const sizeMm = FIGURE_HEIGHT_MM / capital;
  return {
    ...{ kind: 'figures', text, isBold: false, sizeMm },
    xMm: bars.xMm + (bars.widthMm - width(text, false) * sizeMm) / 2,
    baselineMm: bars.yMm + bars.heightMm + FIGURES_MM,
  };
}

function sum(figures: readonly number[]): number {
  return figures.reduce((all, each) => all + each, 0);
}
