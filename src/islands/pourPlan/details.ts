/** What the pour plan opens to. */
export const DETAILS = {
  curves: 'Curves',
  list: 'As a list',
  making: 'Room & time',
  whatIf: 'What if',
  teach: 'Teach it',
} as const;

export type Detail = keyof typeof DETAILS;
