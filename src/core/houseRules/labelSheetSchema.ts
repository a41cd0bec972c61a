import { z } from '../zod';

const lengthMm = z.number().min(5).max(300);
const spaceMm = z.number().min(0).max(100);

/** The grid of a sheet of stickers. */
export const labelSheetSchema = z.strictObject({
  paper: z.enum(['a4', 'letter']),
  columns: z.int().min(1).max(20),
  rows: z.int().min(1).max(40),
  labelWidthMm: lengthMm,
  labelHeightMm: lengthMm,
  /** From the edges of the paper to the first label. */
  leftMm: spaceMm,
  topMm: spaceMm,
  /** Between two labels. */
  gapXMm: spaceMm,
  gapYMm: spaceMm,
});
