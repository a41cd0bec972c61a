/** The least that a jug melts, g; 0 where any weight melts. */
export const LEAST_MELT_LIMITS_G = [0, 5000] as const;
