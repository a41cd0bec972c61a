import { lazy, Suspense } from 'react';
import type { CheckContext, Finding } from '../../core/checks/finding';
import { hasMold } from '../../core/molds/noMold';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { ScheduledTask } from '../../core/schedule/scheduledTask';
import type { StockByMaterial } from '../../core/stock/fromShelf';
import { AnotherBase } from './AnotherBase';
import { OpenedLater } from './OpenedLater';
import { SectionPanel } from './SectionPanel';

const PlanCost = lazy(() => import('./PlanCost'));
const PlanIngredients = lazy(() => import('./PlanIngredients'));
const RecipeOut = lazy(() => import('./RecipeOut'));
const WhichMold = lazy(() => import('./WhichMold'));
const WorkBackwards = lazy(() => import('./WorkBackwards'));

interface Props {
  file: PlanFile;
  sheet: Sheet | null;
  pourIndex: number;
  /** Of the sheet. */
  findings: Finding[];
  context: CheckContext;
  stock: StockByMaterial;
  /** Of its pour plan; null while there is none. */
  tasks: readonly ScheduledTask[] | null;
}

/** One cavity cut through, and what is asked of the plan backwards. */
export function SectionColumn({ file, sheet, pourIndex, findings, context, stock, tasks }: Props) {
  const isInMold = hasMold(file);
  return (
    <section
      aria-labelledby="section-title"
      className="plate flex flex-col p-3 md:max-xl:order-3 xl:min-h-0 xl:overflow-y-auto"
    >
      <h2 id="section-title" className="font-semibold">
        {isInMold ? 'Section' : 'Which mold'}
      </h2>
      {isInMold ? (
        <>
          <p className="quiet mb-2 text-xs">One cavity of {file.mold.name}, in mm</p>
          <SectionPanel file={file} sheet={sheet} />
        </>
      ) : (
        <Suspense>
          <WhichMold plan={file.plan} sheet={sheet} />
        </Suspense>
      )}
      {sheet && isInMold && (
        <OpenedLater title="Work backwards">
          <WorkBackwards file={file} sheet={sheet} stock={stock} />
        </OpenedLater>
      )}
      {sheet && isInMold && (
        <OpenedLater title="What it costs">
          <PlanCost {...{ file, sheet, findings, context, stock, tasks }} />
        </OpenedLater>
      )}
      {sheet && (
        <OpenedLater title="Ingredients in order">
          <PlanIngredients sheet={sheet} />
        </OpenedLater>
      )}
      <OpenedLater title="As a recipe">
        <RecipeOut file={file} />
      </OpenedLater>
      <AnotherBase file={file} sheet={sheet} pourIndex={pourIndex} findings={findings} context={context} />
    </section>
  );
}
