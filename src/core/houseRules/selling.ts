import type { z } from '../zod';
import type { labelSheetSchema } from './labelSheetSchema';
import type { makerSchema } from './makerSchema';

export type Maker = z.infer<typeof makerSchema>;

/** A sheet of stickers as it is bought: labels in rows and columns. */
export type LabelSheet = z.infer<typeof labelSheetSchema>;

/** What a house that has said nothing prints: no name, and an own grid on A4. */
export const NO_MAKER: Maker = { name: '', address: '', contact: '' };
export const USUAL_SHEET: LabelSheet = {
  paper: 'a4',
  columns: 2,
  rows: 5,
  labelWidthMm: 96,
  labelHeightMm: 54,
  leftMm: 7,
  topMm: 9.5,
  gapXMm: 4,
  gapYMm: 2,
};
