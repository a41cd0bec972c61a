import { pourTint } from '../../core/colour/pourTint';
import type { Sheet } from '../../core/plan/sheet';

/** What the colours of the drawing rest on. */
export function TintNote({ sheet }: { sheet: Sheet }) {
  const tints = sheet.pours.map(pourTint);
  const unknown = [...new Set(tints.flatMap((tint) => tint.unknown))];
  const isEstimate = tints.some((tint) => tint.isEstimate && tint.unknown.length === 0);
  if (unknown.length === 0 && !isEstimate) return null;
  return (
    <p className="quiet text-xs">
      {unknown.length > 0 && `Without the colour of ${unknown.join(', ')}: tell it on the Shelf. `}
      {isEstimate && 'Colours are an estimate until a sample is matched on the Shelf.'}
    </p>
  );
}
