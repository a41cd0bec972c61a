declare module 'js-quantities' {
  interface Qty {
    to(unit: string): Qty;
    scalar: number;
  }
  interface MakeQty {
    (value: number, unit: string): Qty;
    /** null when it is not understood. */
    parse(text: string): Qty | null;
  }
  const qty: MakeQty;
  export default qty;
}
