/** An invented purchase, told from today backwards. */
export interface DemoLot {
  materialId: string;
  number: string;
  boughtDaysAgo: number;
  amount: number;
  price: string | null;
  discountFraction?: number;
  /** Days from today; below zero it is past. */
  bestBeforeInDays?: number;
  openedDaysAgo?: number;
  note?: string;
}

export const LOTS: readonly DemoLot[] = [
  {
    materialId: 'glaze',
    number: 'GL-2231',
    boughtDaysAgo: 29,
    amount: 11500,
    price: '86',
    discountFraction: 0.1,
  },
  { materialId: 'chalk', number: 'CH-0914', boughtDaysAgo: 29, amount: 1800, price: '15.2' },
  { materialId: 'hold', number: 'HO-118', boughtDaysAgo: 28, amount: 3000, price: '31.5' },
  {
    materialId: 'drystone',
    number: 'DS-47',
    boughtDaysAgo: 28,
    amount: 5000,
    price: '44',
    discountFraction: 0.05,
  },
  { materialId: 'cream-lane', number: 'CL-09', boughtDaysAgo: 20, amount: 1000, price: '11.8' },
  { materialId: 'softwater', number: 'SW-301', boughtDaysAgo: 25, amount: 2200, price: '33' },
  {
    materialId: 'bay-rope',
    number: 'B7-12',
    boughtDaysAgo: 29,
    amount: 100,
    price: '9.4',
    bestBeforeInDays: 60,
    openedDaysAgo: 13,
  },
  {
    materialId: 'bay-rope',
    number: 'B8-03',
    boughtDaysAgo: 8,
    amount: 100,
    price: '9.8',
    bestBeforeInDays: 420,
  },
  {
    materialId: 'lime-peel',
    number: 'LP-5',
    boughtDaysAgo: 29,
    amount: 14,
    price: '2.1',
    bestBeforeInDays: 25,
  },
  {
    materialId: 'harbour-mist',
    number: 'HM-66',
    boughtDaysAgo: 27,
    amount: 250,
    price: '18.5',
    bestBeforeInDays: 300,
  },
  { materialId: 'bellmetal-rose', number: 'BR-2', boughtDaysAgo: 27, amount: 30, price: '6.2' },
  {
    materialId: 'custard-tart',
    number: 'CT-19',
    boughtDaysAgo: 15,
    amount: 50,
    price: '5.4',
    bestBeforeInDays: 500,
  },
  { materialId: 'slate-mica', number: 'SM-1', boughtDaysAgo: 29, amount: 25, price: '4.3' },
  { materialId: 'quay-blue', number: 'QB-3', boughtDaysAgo: 29, amount: 30, price: '3.9' },
  { materialId: 'olive-grit', number: 'OG-8', boughtDaysAgo: 29, amount: 500, price: '6.5' },
  {
    materialId: 'oat-protein',
    number: 'OP-14',
    boughtDaysAgo: 26,
    amount: 100,
    price: '8',
    bestBeforeInDays: 140,
  },
  {
    materialId: 'panthenol',
    number: 'PA-75',
    boughtDaysAgo: 26,
    amount: 100,
    price: '7.5',
    bestBeforeInDays: 260,
  },
  {
    materialId: 'nettle-extract',
    number: 'NE-2',
    boughtDaysAgo: 26,
    amount: 50,
    price: '4.1',
    bestBeforeInDays: -5,
    openedDaysAgo: 25,
    note: 'Kept in the fridge.',
  },
  { materialId: 'alcohol', number: 'AL-9', boughtDaysAgo: 26, amount: 790, price: '8.9' },
  { materialId: 'glycerin', number: 'GY-4', boughtDaysAgo: 26, amount: 500, price: '5.2' },
  { materialId: 'still-pale', number: 'SP-1', boughtDaysAgo: 15, amount: 100, price: '6.9' },
  { materialId: 'moss-offcuts', number: 'Jar 1', boughtDaysAgo: 12, amount: 410, price: null },
  { materialId: 'flint-offcuts', number: 'Jar 2', boughtDaysAgo: 9, amount: 320, price: null },
  { materialId: 'wrap-band', number: 'WB-200', boughtDaysAgo: 22, amount: 36, price: '5' },
];
