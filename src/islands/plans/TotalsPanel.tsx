import { slicesOf } from '../../core/molds/slicing';
import type { Sheet } from '../../core/plan/sheet';
import { type Showing, showMass, showVolume } from '../../core/units/showQuantity';

/** What the plan comes to. */
export function TotalsPanel({ sheet, showing }: { sheet: Sheet | null; showing: Showing }) {
  if (!sheet) {
    return (
      <section className="plate p-3" aria-labelledby="totals-title">
        <h2 id="totals-title" className="font-semibold">
          Totals
        </h2>
        <p className="quiet">None until the stop below is mended.</p>
      </section>
    );
  }
  const { totals, pieces, mold } = sheet;
  const slices = slicesOf(mold);
  return (
    <section className="plate p-3" aria-labelledby="totals-title">
      <h2 id="totals-title" className="sr-only">
        Totals
      </h2>
      <p className="text-lg leading-tight">
        <strong>{pieces}</strong> {pieces === 1 ? 'piece' : 'pieces'} of{' '}
        <strong className="live rounded px-1">{showMass(totals.pieceG, showing)}</strong>
      </p>
      <p className="quiet mb-1 text-xs">
        {totals.rounds === 1 ? 'one filling' : `${totals.rounds} fillings`} of {mold.cavities}{' '}
        {mold.cavities === 1 ? 'cavity' : 'cavities'},{' '}
        {showVolume(totals.intoMoldMl / pieces, showing.locale)} each
      </p>
      {slices && slices.bars > 0 && (
        <p className="mb-1 text-sm">
          Sliced into <strong>{slices.bars * pieces}</strong> bars of{' '}
          <strong>{showMass(totals.pieceG * slices.barShare, showing)}</strong>, trims{' '}
          {showMass(totals.intoMoldG * slices.trimShare, showing)}
        </p>
      )}
      <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-sm">
        {sheet.pours.map((pour) => (
          <Row
            key={pour.letter}
            what={
              sheet.pours.length > 1 ? `Melt for ${pour.letter}, ${pour.base.name}` : `Melt ${pour.base.name}`
            }
            figure={showMass(pour.baseG, showing)}
          />
        ))}
        <Row what="Additions" figure={showMass(totals.additionsG, showing)} />
        <Row what="In the jug" figure={showMass(totals.jugG, showing)} />
        <Row what="Stays in the jug" figure={showMass(totals.leftInJugG, showing)} />
      </dl>
    </section>
  );
}

function Row({ what, figure }: { what: string; figure: string }) {
  return (
    <>
      <dt className="quiet">{what}</dt>
      <dd className="text-right">{figure}</dd>
    </>
  );
}
