import { lazy, Suspense, useMemo, useState } from 'react';
import type { CheckContext, Finding } from '../../core/checks/finding';
import { hasStop } from '../../core/checks/review';
import { withoutSeen, withSeen } from '../../core/checks/seenFindings';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import { hasMold } from '../../core/molds/noMold';
import type { MadePiece } from '../../core/plan/embed';
import { namedPlans } from '../../core/plan/plan';
import { withWhen } from '../../core/plan/setMaking';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { StockByMaterial } from '../../core/stock/fromShelf';
import type { LotStock } from '../../core/stock/stock';
import type { Detail } from '../pourPlan/details';
import { PourPlanFoot } from '../pourPlan/PourPlanFoot';
import { type PourPlanView, usePourPlan } from '../pourPlan/usePourPlan';
import { pageData, stockOfPage } from '../shared/pageData';
import { withShowing } from '../shared/showing';
import { useStable } from '../shared/useStable';
import { ChecksPanel } from './ChecksPanel';
import { DosesColumn } from './DosesColumn';
import type { Draft } from './draft';
import { fileOf } from './fileOf';
import { useKeptDraft } from './keptDraft';
import { PlanBar } from './PlanBar';
import { PlanPageContext } from './planContext';
import { SectionColumn } from './SectionColumn';
import { TotalsPanel } from './TotalsPanel';
import { useEditedPlan } from './useEditedPlan';
import { useFindings } from './useFindings';
import { useMade, usePageRecords } from './usePageRecords';
import { usePlanActions } from './usePlanActions';
import { useReview } from './useReview';

const ConflictDialog = lazy(() => import('./ConflictDialog'));

/** What may be large, and comes as the page's data. */
export interface PlanPageRecords {
  stored: StoredPlan;
  /** The shelf. */
  materials: Material[];
}

interface Props {
  molds: Mold[];
  /** Pieces of other plans that are set into this one. */
  made: MadePiece[];
  rules: HouseRules;
  /** ISO 8601 day. */
  today: string;
}

/** The plan as it is stored, or as it was left. */
function PlanWorkspace(props: Props) {
  const [records] = useState(() => pageData<PlanPageRecords>('plan'));
  const [stock] = useState(stockOfPage);
  const draft = useKeptDraft(records.stored);
  if (draft === undefined)
    return (
      <p className="quiet p-6" role="status">
        Laying out the plan …
      </p>
    );
  return <Workspace {...props} {...records} stock={stock} draft={draft} />;
}

export default withShowing(PlanWorkspace);

const NO_LOTS: readonly LotStock[] = [];

/** Everything that one decision touches, in sight of it. */
function Workspace(props: Props & PlanPageRecords & { stock: StockByMaterial; draft: Draft | null }) {
  const { stored, stock, today, draft } = props;
  const { molds, materials, rules, taught, shelved, molded } = usePageRecords(props);
  const [pourIndex, setPourIndex] = useState(0);
  const [detail, setDetail] = useState<Detail | null>(null);
  const edited = useEditedPlan(stored, draft);
  const { plan, typing, edit, save } = edited;
  const { made, seekMade } = useMade(stored.id, props.made, namedPlans(plan));
  const actions = usePlanActions(stored.id, save.flush);
  const rehearse = useStable(() => void actions.rehearse());

  const context = useMemo(
    (): CheckContext => ({ rules, shelf: { materials, stock, today } }),
    [rules, materials, stock, today],
  );
  const newest = useMemo(() => fileOf(plan, molds, materials, made), [plan, molds, materials, made]);
  const shown = useReview(newest, context, typing, edit);
  const { file, sheet, edit: editShown } = shown;
  const isInMold = hasMold(file);
  const view = usePourPlan(isInMold ? sheet : null, rules, typing !== null);
  const findings = useFindings(shown.findings, sheet, view);
  const pour = Math.min(pourIndex, plan.pours.length - 1);
  const spareMold = molds.find(({ id }) => id === rules.spareMoldId) ?? null;
  const page = useMemo(
    () => ({ rules, spareMold, molds, materials, shelved, molded, seekMade, edit, editShown, taught }),
    [rules, spareMold, molds, materials, shelved, molded, seekMade, edit, editShown, taught],
  );

  const wait = useStable((index: number, afterMin: number | null) =>
    edit(withWhen(plan, index, { afterMin }), `wait ${index}${afterMin === null ? ' left' : ''}`),
  );
  const fix = useStable(async ({ fix: edits, code }: Finding) => {
    if (!edits) return;
    const { applyFix } = await import('../../core/checks/applyFix');
    editShown(applyFix(file, edits), `fix ${code} ${Date.now()}`);
  });

  return (
    <PlanPageContext value={page}>
      <div className="flex h-full flex-col gap-2 p-2">
        <PlanBar
          {...edited}
          saved={save.saved}
          molds={molds}
          sheet={sheet}
          lots={stock.get(plan.pours[0]?.baseId ?? '') ?? NO_LOTS}
          saveState={save.state}
          stopped={sheet === null || hasStop(findings)}
          actions={actions}
        />
        <Problem says={actions.problem} />
        <div className="grid min-h-0 flex-1 gap-2 md:grid-cols-[270px_1fr] md:grid-rows-[auto_1fr] md:overflow-y-auto xl:grid-cols-[310px_1fr_290px] xl:grid-rows-[minmax(0,1fr)] xl:overflow-visible">
          <SectionColumn
            file={file}
            sheet={sheet}
            pourIndex={pour}
            findings={shown.findings}
            context={context}
            stock={stock}
            tasks={view.pourPlan?.tasks ?? null}
          />
          <DosesColumn
            file={file}
            plan={plan}
            pourIndex={pour}
            sheet={shown.sheetNow}
            settled={sheet}
            typing={typing}
            findings={findings}
            view={view}
            detail={detail}
            start={stored.plan}
            onPour={setPourIndex}
            onClose={() => setDetail(null)}
          />
          <div className="flex flex-col gap-2 md:max-xl:order-1 xl:min-h-0">
            <TotalsPanel file={file} sheet={shown.sheetNow} />
            <ChecksPanel
              findings={findings}
              seen={plan.seen}
              isHeatToCome={isInMold && sheet !== null && isFirstToCome(view)}
              onFix={fix}
              onSeen={(accepted) => edit(withSeen(plan, accepted), `seen ${accepted[0]?.id}`)}
              onUnsee={() => edit(withoutSeen(plan), 'seen')}
            />
          </div>
        </div>
        {isInMold && (
          <PourPlanFoot
            sheet={sheet}
            rules={rules}
            view={view}
            pourIndex={pour}
            open={detail}
            onOpen={setDetail}
            onPour={setPourIndex}
            onWait={wait}
            onTry={rehearse}
          />
        )}
        {save.state.kind === 'conflict' && (
          <Suspense>
            <ConflictDialog
              problem={save.state.problem}
              mine={plan}
              molds={molds}
              onKeepMine={save.keepMine}
              onTakeTheirs={edited.takeTheirs}
              onSaveCopy={actions.saveCopy}
            />
          </Suspense>
        )}
      </div>
    </PlanPageContext>
  );
}

/** No pour plan is there yet, and one is made. */
function isFirstToCome({ pourPlan, state }: PourPlanView): boolean {
  return pourPlan === null && (state.kind === 'none' || state.kind === 'working');
}

function Problem({ says }: { says: string | null }) {
  if (says === null) return null;
  return (
    <p role="alert" className="text-error plate px-3 py-1">
      {says}
    </p>
  );
}
