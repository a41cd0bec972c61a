/** Names that packs use for one thing. Common practice, no source. */
const SAME: Record<string, string> = {
  water: 'aqua',
  'aqua (water)': 'aqua',
  'water (aqua)': 'aqua',
  'aqua/water': 'aqua',
  'water/aqua': 'aqua',
  fragrance: 'parfum',
  'parfum (fragrance)': 'parfum',
  'fragrance (parfum)': 'parfum',
  'parfum/fragrance': 'parfum',
  perfume: 'parfum',
  glycerine: 'glycerin',
};

/** What a name of a list is known by, however it was written: “ Sodium  stearate.” and “SODIUM STEARATE” are one. */
export function inciKey(name: string): string {
  const plain = name
    .normalize('NFKC')
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/\s*\/\s*/g, '/')
    .replace(/[.;,\s*]+$/g, '')
    .trim();
  return Object.hasOwn(SAME, plain) ? (SAME[plain] ?? plain) : plain;
}
