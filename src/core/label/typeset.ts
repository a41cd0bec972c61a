/** What is measured of a font, as shares of its size. */
export interface FontMetrics {
  /** Height of capitals and figures. */
  capital: number;
  /** Height of a lower-case o. */
  lowerCase: number;
  ascent: number;
  descent: number;
  width(text: string, isBold: boolean): number;
}

/** A place to write on, mm from the upper left corner. */
export interface Box {
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
}

/** A text that is broken into lines. */
export interface Block<Kind extends string = string> {
  kind: Kind;
  text: string;
  isBold: boolean;
  /** Stands in fewer lines where a little smaller it does. */
  isTitle?: boolean;
  /** Sizes of the font, mm: never less, and no more than what looks well. */
  leastMm: number;
  bestMm: number;
}

export interface SetLine<Kind extends string = string> {
  kind: Kind;
  text: string;
  isBold: boolean;
  sizeMm: number;
  xMm: number;
  baselineMm: number;
}

export interface SetPanel<Kind extends string = string> {
  lines: SetLine<Kind>[];
  /** So much more room it takes at the least sizes, mm of height; 0 where everything fits. */
  missingMm: number;
  /** Words that are wider than the place at their least size. */
  tooWide: string[];
}

export interface PanelText<Kind extends string = string> {
  blocks: readonly Block<Kind>[];
  /** Stands at the foot of the place. */
  foot?: Block<Kind> | undefined;
  isCentred: boolean;
}

/** Lines of one block lie so far apart, of its size; two blocks so much farther. */
const LEADING = 1.22;
const BETWEEN = 0.35;
/** From the best sizes down to the least, in so many steps. */
const STEPS = 24;
/** A title is set so much smaller at the most to save a line. */
const TITLE_SHARE = 0.75;

/**
 * Sets texts into a place: as large as fits, between their best and their least sizes, all in the same proportion. What
 * does not fit at the least sizes is set at them and told; nothing is made smaller.
 */
export function typeset<Kind extends string>(
  box: Box,
  { blocks, foot, isCentred }: PanelText<Kind>,
  font: FontMetrics,
): SetPanel<Kind> {
  const all = foot ? [...blocks, foot] : [...blocks];
  const sizeAt = ({ leastMm, bestMm }: Block, share: number) =>
    leastMm + share * Math.max(0, bestMm - leastMm);
  const wrapped = (block: Block<Kind>, share: number) => {
    const fullMm = sizeAt(block, share);
    const at = (sizeMm: number) => ({ block, sizeMm, ...broken(block, box.widthMm / sizeMm, font) });
    const full = at(fullMm);
    if (!block.isTitle || full.lines.length < 2) return full;
    const leastMm = Math.max(Math.min(block.leastMm, fullMm), fullMm * TITLE_SHARE);
    for (let step = 1; step <= STEPS; step++) {
      const smaller = at(fullMm + (step / STEPS) * (leastMm - fullMm));
      if (smaller.lines.length < full.lines.length) return smaller;
    }
    return full;
  };
  const heightOf = (set: ReturnType<typeof wrapped>[]) =>
    set.reduce(
      (sum, { sizeMm, lines }, place) =>
        sum + lines.length * sizeMm * LEADING + (place > 0 ? sizeMm * BETWEEN : 0),
      0,
    );
  for (let step = STEPS; step >= 0; step--) {
    const set = all.map((block) => wrapped(block, step / STEPS));
    const heightMm = heightOf(set);
    const tooWide = set.flatMap((each) => each.tooWide);
    if (step > 0 && (heightMm > box.heightMm || tooWide.length > 0)) continue;
    return {
      lines: placed(box, set, foot !== undefined, isCentred, font),
      missingMm: Math.max(0, heightMm - box.heightMm),
      tooWide,
    };
  }
  throw new RangeError('no steps to set text in');
}

interface Broken {
  lines: { text: string; widthEm: number }[];
  tooWide: string[];
}

/** A space that no line ends at: between a figure and its unit. */
const KEPT_TOGETHER = '\u00a0';

/** Lines of a text in a width, both in sizes of the font. */
function broken({ text, isBold }: Block, widthEm: number, font: FontMetrics): Broken {
  const lines: Broken['lines'] = [];
  const tooWide: string[] = [];
  for (const paragraph of text.split('\n')) {
    let line = '';
    const close = () => {
      const told = line.replaceAll(KEPT_TOGETHER, ' ');
      lines.push({ text: told, widthEm: font.width(told, isBold) });
    };
    for (const word of paragraph.split(' ')) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (line !== '' && font.width(longer, isBold) > widthEm) {
        close();
        line = word;
      } else line = longer;
      if (font.width(word, isBold) > widthEm) tooWide.push(word);
    }
    close();
  }
  return { lines, tooWide };
}

function placed<Kind extends string>(
  box: Box,
  set: ({ block: Block<Kind>; sizeMm: number } & Broken)[],
  hasFoot: boolean,
  isCentred: boolean,
  { ascent, descent }: FontMetrics,
): SetLine<Kind>[] {
  const lines: SetLine<Kind>[] = [];
  let topMm = box.yMm;
  set.forEach(({ block, sizeMm, lines: own }, place) => {
    const heightMm = own.length * sizeMm * LEADING;
    if (hasFoot && place === set.length - 1)
      topMm = Math.max(topMm + sizeMm * BETWEEN, box.yMm + box.heightMm - heightMm);
    else if (place > 0) topMm += sizeMm * BETWEEN;
    own.forEach(({ text, widthEm }, row) => {
      const inLine = (LEADING - ascent - descent) / 2 + ascent;
      lines.push({
        kind: block.kind,
        text,
        isBold: block.isBold,
        sizeMm,
        xMm: box.xMm + (isCentred ? Math.max(0, (box.widthMm - widthEm * sizeMm) / 2) : 0),
        baselineMm: topMm + (row * LEADING + inLine) * sizeMm,
      });
    });
    topMm += heightMm;
  });
  return lines;
}
