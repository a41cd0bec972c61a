import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fontkit from '@pdf-lib/fontkit';
import type { FontMetrics } from '../core/label/typeset';
import type { FontFiles } from '../formats/label/labelPdf';

const FAMILY = '@expo-google-fonts/atkinson-hyperlegible-next';
const FILES = {
  regular: `${FAMILY}/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf`,
  bold: `${FAMILY}/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf`,
};

/** The fonts of labels, as their files are, and what is measured of them. */
export interface LabelFont extends FontFiles {
  metrics: FontMetrics;
}

let known: LabelFont | undefined;

/** Read once a thread. */
export function labelFont(): LabelFont {
  if (known) return known;
  const { resolve } = createRequire(import.meta.url);
  const [regular, bold] = [readFileSync(resolve(FILES.regular)), readFileSync(resolve(FILES.bold))];
  const [thin, thick] = [fontkit.create(regular), fontkit.create(bold)];
  const em = thin.unitsPerEm;
  known = {
    regular,
    bold,
    metrics: {
      capital: thin.capHeight / em,
      lowerCase: thin.xHeight / em,
      ascent: thin.ascent / em,
      descent: -thin.descent / em,
      width: (text, isBold) => (isBold ? thick : thin).layout(text).advanceWidth / em,
    },
  };
  return known;
}
