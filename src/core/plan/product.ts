/**
 * Percent of base and percent of product.
 *
 * Caps of a base are said of the base's weight; supplier and safety limits are said of the finished product:
 * ofProduct = ofBase / (1 + sum of all ofBase).
 */
export function productShare(ofBase: number, additionsOfBase: number): number {
  return ofBase / (1 + additionsOfBase);
}

/**
 * The dose, of base, that is exactly `ofProduct` of the product, beside `othersOfBase` of everything else.
 *
 * @throws RangeError when `ofProduct` is one or more: nothing but the material would be left
 */
export function baseShare(ofProduct: number, othersOfBase: number): number {
  if (!(ofProduct >= 0 && ofProduct < 1)) throw new RangeError('ofProduct must be at least 0 and below 1');
  return (ofProduct * (1 + othersOfBase)) / (1 - ofProduct);
}
