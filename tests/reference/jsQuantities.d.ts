declare module 'js-quantities' {
  interface Qty {
    to(unit: string): Qty;
    scalar: number;
  }
  export default function qty(value: number, unit: string): Qty;
}
