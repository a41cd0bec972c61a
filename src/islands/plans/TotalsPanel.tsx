import { lazy, type ReactNode, Suspense } from 'react';
import { slicesOf } from '../../core/molds/slicing';
import { partFill } from '../../core/plan/partFill';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { addUpAsShown, showMass, showPercent, showVolume } from '../../core/units/showQuantity';
import { type JugOfMelt, meltsOf } from '../../core/work/loads';
import { partWords } from '../../words/en/plan/partWords';
import { counted, plural } from '../../words/en/plural';
import { inclusionAmount } from '../../words/en/work/inclusionWords';
import { meltsWords } from '../../words/en/work/meltsWords';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

const LeftOver = lazy(() => import('./LeftOver'));

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
  const { totals, pieces, fills, mold } = sheet;
  const { batch } = file.plan;
  const part = partFill(sheet);
  const whole = part ? part.whole : pieces;
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
      <p className="text-lg leading-tight">
        <strong>{whole}</strong> {plural(whole, 'piece', 'pieces')} of{' '}
        <strong className="live rounded px-1">{showMass(totals.pieceG, showing)}</strong>
        {part && <span className="text-sm"> and {partWords(part, sheet, showing)}</span>}
      </p>
      <p className="quiet mb-1 text-xs">
        {totals.rounds === 1 ? 'one filling' : `${totals.rounds} fillings`} of {mold.cavities}{' '}
        {mold.cavities === 1 ? 'cavity' : 'cavities'}, {showVolume(roomMl / fills, showing.locale)} each
        {batch?.gives === 'fill' && `, filled to ${showPercent(sheet.fillFraction, showing.locale, 0)}`}
      </p>
      {part && batch && (
        <Suspense>
          <EvenlyInstead file={file} batch={batch} sheet={sheet} />
        </Suspense>
      )}
      {slices && slices.bars > 0 && (
        <p className="mb-1 text-sm">
          <strong>{counted(Math.ceil(fills), 'loaf', 'loaves')}</strong> of {showMass(totals.fillG, showing)},
          sliced into <strong>{counted(sheet.piecesMade, 'bar', 'bars')}</strong>, trims{' '}
          <span className="whitespace-nowrap">
            {showMass(totals.fillG * fills * slices.trimShare, showing)}
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
        <Row what="Into the mold" figure={<strong>{showMass(intoMoldG, showing)}</strong>} />
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
              figure={inclusionAmount(embed, { fills, of: fills }, showing)}
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
              ? 'What is left over goes into the scrap jar, or a spare mold of the house rules'
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
