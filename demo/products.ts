import type { Product } from '../src/core/product/product';

/** What the invented workshop sells, by the ids of its plans. */
export function products(plans: { bareFace: string; ropewalk: string; nettle: string }): Product[] {
  return [
    {
      id: 'bare-face',
      name: 'Bare Face',
      form: 'single',
      parts: [{ planId: plans.bareFace, pieces: 1 }],
      packaging: [],
      words: [
        {
          language: 'en',
          identity: 'cleansing bar for the face',
          directions: 'Wet, lather in the hands, rinse.',
          cautions: 'Keep out of the eyes.',
          origin: 'Made by hand at Quillmarsh',
        },
      ],
      rules: 'eu-cosmetic',
      allergenList: '2023-1545',
      good: { by: 'date', months: 18 },
      barcode: null,
      prices: { retail: '6.5', wholesale: '4.2' },
      label: {
        layout: 'sticker',
        widthMm: 96,
        heightMm: 54,
        faceMm2: null,
        hasQr: true,
        hasLayers: true,
        listOn: 'label',
      },
    },
    {
      id: 'pebble-bag',
      name: 'Guest Pebbles, twelve in a bag',
      form: 'set',
      parts: [{ planId: plans.ropewalk, pieces: 12 }],
      packaging: [],
      words: [
        {
          language: 'en',
          identity: 'hand soaps',
          directions: 'One for a guest, or two.',
          cautions: 'Not for eating.',
          origin: 'Made by hand at Quillmarsh',
        },
      ],
      rules: 'eu-cosmetic',
      allergenList: '2023-1545',
      good: { by: 'date', months: 12 },
      barcode: null,
      prices: { retail: '7.5', wholesale: '5' },
      label: {
        layout: 'tag',
        widthMm: 55,
        heightMm: 90,
        faceMm2: null,
        hasQr: false,
        hasLayers: true,
        listOn: 'label',
      },
    },
    {
      id: 'head-bar',
      name: 'Nettle & Lime',
      form: 'single',
      parts: [{ planId: plans.nettle, pieces: 1 }],
      packaging: [],
      words: [
        {
          language: 'en',
          identity: 'cleansing bar for the hair',
          directions: 'Rub over wet hair, lather, rinse.',
          cautions: 'Keep out of the eyes.',
          origin: '',
        },
      ],
      rules: 'eu-cosmetic',
      allergenList: '2023-1545',
      good: { by: 'date', months: 18 },
      barcode: null,
      prices: { retail: '8.9', wholesale: null },
      label: {
        layout: 'band',
        widthMm: 210,
        heightMm: 40,
        faceMm2: null,
        hasQr: false,
        hasLayers: true,
        listOn: 'label',
      },
    },
  ];
}
