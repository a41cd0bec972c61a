/** A share of base as it is typed into a plan: to three figures, such as “0.524 %”. */
export function doseText(ofBase: number): string {
  return `${Number((ofBase * 100).toPrecision(3))} %`;
}
