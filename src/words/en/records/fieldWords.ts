/** What a person reads of a field. */
export interface FieldWords {
  label: string;
  hint?: string;
  /** Where it is more than the unit that is read: “% of base”. */
  unit?: string;
}
