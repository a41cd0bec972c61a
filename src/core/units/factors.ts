/**
 * The only conversion factors in the product.
 *
 * Exact by definition. Source: NIST Handbook 44, Appendix C (General Tables of Units of Measurement), and
 * NIST SP 811, Appendix B: 1 lb = 453.592 37 g; 1 in = 25.4 mm; 1 US gallon = 231 in³.
 */
export const G_PER_LB = 453.59237;
export const G_PER_OZ = G_PER_LB / 16;

const ML_PER_CUBIC_INCH = 16.387064;
export const ML_PER_US_FL_OZ = (231 * ML_PER_CUBIC_INCH) / 128;
export const ML_PER_US_TBSP = ML_PER_US_FL_OZ / 2;
export const ML_PER_US_TSP = ML_PER_US_TBSP / 3;
export const ML_PER_US_CUP = ML_PER_US_FL_OZ * 8;
export const ML_PER_US_PINT = ML_PER_US_CUP * 2;
export const ML_PER_US_QUART = ML_PER_US_PINT * 2;
export const ML_PER_US_GALLON = 231 * ML_PER_CUBIC_INCH;
export const G_PER_GRAIN = G_PER_LB / 7000;

/** Common practice, no source: bottles differ, so a drop is never exact. */
export const DEFAULT_ML_PER_DROP = 0.05;

/** Common practice, no source: half of an eighth of a teaspoon between two fingers. */
export const ML_PER_PINCH = ML_PER_US_TSP / 16;
/** Common practice, no source: a heaped spoon holds about half as much again as a level one. */
export const HEAPED = 1.5;
/** The spoons of a German recipe: Esslöffel and Teelöffel. Common practice, no source. */
export const ML_PER_ESSLOEFFEL = 15;
export const ML_PER_TEELOEFFEL = 5;
