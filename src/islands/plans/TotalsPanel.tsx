import { lazy, type ReactNode, Suspense } from 'react';
import { cavitiesFilled } from '../../core/molds/filled';
import { hasMold } from '../../core/molds/noMold';
import { slicesOf } from '../../core/molds/slicing';
import { piecesOfSheet } from '../../core/plan/piecesOfSheet';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { addUpAsShown, showMass, showPercent, showVolume } from '../../core/units/showQuantity';
import { type JugOfMelt, meltsOf } from '../../core/work/loads';
import { wholeSheet } from '../../core/work/rounds';
import { besideWords } from '../../words/en/plan/piecesWords';
import { counted, listed, plural } from '../../words/en/plural';
import { inclusionAmount } from '../../words/en/work/inclusionAmount';
import { meltsWords } from '../../words/en/work/meltsWords';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

const LeftOver = lazy(() => import('./LeftOver'));

const SecondMold = lazy(() => import('./SecondMold'));
const EvenlyInstead = lazy(() => import('./EvenlyInstead'));

interface Props {
  file: PlanFile;
  sheet: Sheet | null;
}

/** What the plan comes to. */
export function TotalsPanel({ file, sheet }: Props) {
  const { rules } = usePlanPage();
  const showing = useShowing();
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
  const { totals, fills, mold } = sheet;
  const { batch } = file.plan;
  const pieces = piecesOfSheet(sheet);
  const beside = besideWords(pieces, sheet, showing);
  const cavities = cavitiesFilled(sheet, fills);
  const slices = slicesOf(mold);
  const roomMl = sheet.pours.reduce((sum, { displacedMl }) => sum + displacedMl, totals.intoMoldMl);
  const melts = meltsOf(sheet, rules);
  const { system } = showing;
  const inJugsG = addUpAsShown([...melts.map(({ needG }) => needG), totals.additionsG], system);
  const intoMoldG = addUpAsShown([inJugsG], system) - addUpAsShown([totals.leftInJugG], system);
  return (
    <section
      className="plate p-3 xl:min-h-0 xl:overflow-y-auto"
      aria-labelledby="totals-title"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what may scroll must be reachable by key
      tabIndex={0}
    >
      <h2 id="totals-title" className="sr-only">
        Totals
      </h2>
      {hasMold(sheet) ? (
        <>
          <p className="text-lg leading-tight">
            <strong>{pieces.first}</strong> {plural(pieces.first, 'piece', 'pieces')} of{' '}
            <strong className="live rounded px-1">{showMass(totals.pieceG, showing)}</strong>
            {beside.length > 0 && <span className="text-sm"> and {listed(beside)}</span>}
          </p>
          <p className="quiet mb-1 text-xs">
            {totals.rounds === 1 ? 'one filling' : `${totals.rounds} fillings`} of {mold.cavities}{' '}
            {mold.cavities === 1 ? 'cavity' : 'cavities'}, {showVolume(roomMl / fills, showing.locale)} each
            {batch?.gives === 'fill' && `, filled to ${showPercent(sheet.fillFraction, showing.locale, 0)}`}
          </p>
        </>
      ) : (
        <p className="mb-1 text-lg leading-tight">
          <strong className="live rounded px-1">{showMass(totals.intoMoldG, showing)}</strong> to pour,{' '}
          {showVolume(totals.intoMoldMl, showing.locale)}. No mold yet.
        </p>
      )}
      {(totals.rounds > 1 || sheet.secondMold) && (
        <Suspense fallback={<div className="mb-1 h-13" />}>
          <SecondMold plan={file.plan} sheet={sheet} />
        </Suspense>
      )}
      {pieces.part && batch && hasMold(sheet) && (
        <Suspense>
          <EvenlyInstead file={file} batch={batch} sheet={sheet} />
        </Suspense>
      )}
      {slices && slices.bars > 0 && (
        <p className="mb-1 text-sm">
          <strong>{counted(Math.ceil(cavities.first), 'loaf', 'loaves')}</strong> of{' '}
          {showMass(totals.fillG, showing)}, sliced into{' '}
          <strong>{counted(sheet.piecesMade, 'bar', 'bars')}</strong>, trims{' '}
          <span className="whitespace-nowrap">
            {showMass(totals.fillG * cavities.first * slices.trimShare, showing)}
          </span>
        </p>
      )}
      <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-sm">
        {melts.map((melt) => (
          <Melt key={melt.letters.join()} melt={melt} isOnly={sheet.pours.length === 1} />
        ))}
        <Row what="Additions" figure={showMass(totals.additionsG, showing)} />
        <Row
          what={melts.length > 1 ? 'In the jugs' : 'In the jug'}
          figure={<strong>{showMass(inJugsG, showing)}</strong>}
        />
        <Row what="Stays on the walls" figure={showMass(totals.leftInJugG, showing)} />
        <Row
          what={hasMold(sheet) ? 'Into the mold' : 'To pour'}
          figure={<strong>{showMass(intoMoldG, showing)}</strong>}
        />
        {totals.laidG > 0 && <Row what="Laid on or under" figure={showMass(totals.laidG, showing)} />}
        {sheet.pours.flatMap(({ letter, embeds }) =>
          embeds.map((embed) => (
            <Row
              key={`${letter} ${embed.embedIndex}`}
              what={
                embed.kind === 'plan' ? (
                  <a className="link" href={`/plans/${embed.id}`}>
                    Make {embed.name} first
                  </a>
                ) : (
                  `Set in: ${embed.name}`
                )
              }
              figure={inclusionAmount(embed, wholeSheet(sheet), showing)}
            />
          )),
        )}
        {totals.trimmedG > 0 && <Row what="Cut off again" figure={showMass(totals.trimmedG, showing)} />}
      </dl>
    </section>
  );
}

/** The base of one jug, what is cut for it, and what of that is left over. */
function Melt({ melt, isOnly }: { melt: JugOfMelt; isOnly: boolean }) {
  const showing = useShowing();
  const { spareMold } = usePlanPage();
  const { letters, baseName, needG, cutG, jugName, isLeast, leftOverG } = melt;
  const details = [
    `cut ${showMass(cutG, showing)}${isLeast ? ', the least that melts well' : ''}`,
    meltsWords(melt, showing),
    jugName ?? '',
    leftOverG > 0.05 ? `${showMass(leftOverG, showing)} left over with its doses` : '',
  ].filter((text) => text !== '');
  return (
    <>
      <dt>
        <span className="quiet">
          {baseName}
          {!isOnly && ` for ${letters.length > 1 ? `${letters[0]} to ${letters.at(-1)}` : letters[0]}`}
        </span>
        <span
          className="quiet block text-xs leading-tight"
          title={
            leftOverG > 0.05 && !spareMold
              ? 'For the scrap jar, or a spare mold of the house rules'
              : undefined
          }
        >
          {details.join(', ')}
          {spareMold && leftOverG > 0.05 && (
            <Suspense>
              <LeftOver melt={melt} mold={spareMold} />
            </Suspense>
          )}
        </span>
      </dt>
      <dd className="text-right">{showMass(needG, showing)}</dd>
    </>
  );
}

function Row({ what, figure }: { what: ReactNode; figure: ReactNode }) {
  return (
    <>
      <dt className="quiet">{what}</dt>
      <dd className="text-right">{figure}</dd>
    </>
  );
}
