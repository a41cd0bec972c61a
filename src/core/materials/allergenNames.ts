import { inciKey } from './inciName';

/** Which names of Regulation (EC) No 1223/2009, Annex III, a label goes by. */
export const ALLERGEN_LISTS = ['2023-1545', 'before'] as const;
export type AllergenList = (typeof ALLERGEN_LISTS)[number];

/** The day from which the longer list holds for all that is sold: Regulation (EU) 2023/1545, from memory. */
export const LONGER_LIST_FROM = '2028-07-31';

/** Named before Regulation (EU) 2023/1545 already. From memory. */
const BEFORE = {
  names: [
    'Alpha-Isomethyl Ionone',
    'Amyl Cinnamal',
    'Amylcinnamyl Alcohol',
    'Anise Alcohol',
    'Benzyl Alcohol',
    'Benzyl Benzoate',
    'Benzyl Cinnamate',
    'Benzyl Salicylate',
    'Cinnamal',
    'Cinnamyl Alcohol',
    'Citral',
    'Citronellol',
    'Coumarin',
    'Eugenol',
    'Evernia Furfuracea Extract',
    'Evernia Prunastri Extract',
    'Farnesol',
    'Geraniol',
    'Hexyl Cinnamal',
    'Hydroxycitronellal',
    'Isoeugenol',
    'Limonene',
    'Linalool',
    'Methyl 2-Octynoate',
  ],
};

/** Named since. From memory, as are the names that stand for several substances or extracts. */
const SINCE = {
  names: [
    'Acetyl Cedrene',
    'Alpha-Terpinene',
    'Amyl Salicylate',
    'Anethole',
    'Benzaldehyde',
    'Beta-Caryophyllene',
    'Camphor',
    'Cananga Odorata Oil/Extract',
    'Carvone',
    'Cedrus Atlantica Oil/Extract',
    'Cinnamomum Cassia Leaf Oil',
    'Cinnamomum Zeylanicum Bark Oil',
    'Citrus Aurantium Bergamia Peel Oil',
    'Citrus Aurantium Flower Oil',
    'Citrus Aurantium Peel Oil',
    'Citrus Limon Peel Oil',
    'Dimethyl Phenethyl Acetate',
    'Eucalyptus Globulus Oil',
    'Eugenia Caryophyllus Oil',
    'Eugenyl Acetate',
    'Geranyl Acetate',
    'Hexadecanolactone',
    'Hexamethylindanopyran',
    'Isoeugenyl Acetate',
    'Jasmine Oil/Extract',
    'Juniperus Virginiana Oil',
    'Laurus Nobilis Leaf Oil',
    'Lavandula Oil/Extract',
    'Lemongrass Oil',
    'Linalyl Acetate',
    'Mentha Piperita Oil',
    'Mentha Viridis Leaf Oil',
    'Menthol',
    'Methyl Salicylate',
    'Myroxylon Pereirae Oil/Extract',
    'Narcissus Oil/Extract',
    'Pelargonium Graveolens Flower Oil',
    'Pinene',
    'Pinus Mugo Oil/Extract',
    'Pinus Pumila Oil/Extract',
    'Pogostemon Cablin Oil',
    'Rose Flower Oil/Extract',
    'Rose Ketones',
    'Salicylaldehyde',
    'Santalol',
    'Santalum Album Oil',
    'Sclareol',
    'Terpineol',
    'Terpinolene',
    'Tetramethyl Acetyloctahydronaphthalenes',
    'Trimethylbenzenepropanol',
    'Trimethylcyclopentenyl Methylisopentenol',
    'Turpentine',
    'Vanillin',
  ],
};

const SINCE_KEYS: ReadonlySet<string> = new Set(SINCE.names.map(inciKey));
const KEYS: ReadonlySet<string> = new Set([...SINCE_KEYS, ...BEFORE.names.map(inciKey)]);

/** Whether a list names it. One that stands on neither is named by both: somebody typed it for a reason. */
export function isNamedBy(list: AllergenList, name: string): boolean {
  return list === '2023-1545' || !SINCE_KEYS.has(inciKey(name));
}

/** Names that are on neither list, as a misspelt one is. */
export function onNoList(names: readonly string[]): string[] {
  return names.filter((name) => !KEYS.has(inciKey(name)));
}
