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

/** Common practice, no source: bottles differ, so a drop is never exact. */
export const DEFAULT_ML_PER_DROP = 0.05;
