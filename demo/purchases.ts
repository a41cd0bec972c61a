import type { Purchase } from '../src/core/purchase/purchase';

/** What the invented workshop waits for. */
export function purchase(orderedOn: string): Purchase {
  return {
    ...{
      id: 'from-wharfside',
      name: 'Wharfside Wares',
      orderedOn,
      postage: '4.80',
      note: 'Comes with the boat.',
    },
    lines: [
      { materialId: 'harbour-mist', amount: 100, price: '13.50' },
      { materialId: 'panthenol', amount: 250, price: '9.90' },
    ],
  };
}
