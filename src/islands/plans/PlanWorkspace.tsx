import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { applyFix } from '../../core/checks/applyFix';
import type { CheckContext, Finding } from '../../core/checks/finding';
import { hasStop } from '../../core/checks/review';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import type { MadePiece } from '../../core/plan/embed';
import { withWhen } from '../../core/plan/setMaking';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { StockByMaterial } from '../../core/stock/fromShelf';
import type { Showing } from '../../core/units/showQuantity';
import type { Detail } from '../pourPlan/details';
import { PourPlanFoot } from '../pourPlan/PourPlanFoot';
import type { TaughtAnswer } from '../pourPlan/teach/useTeacher';
import { usePourPlan } from '../pourPlan/usePourPlan';
import { useStable } from '../shared/useStable';
import { AnotherBase } from './AnotherBase';
import { ChecksPanel } from './ChecksPanel';
import { DosesColumn } from './DosesColumn';
import type { Draft } from './draft';
import { fileOf } from './fileOf';
import { useKeptDraft } from './keptDraft';
import { PlanBar } from './PlanBar';
import { SectionPanel } from './SectionPanel';
import { TotalsPanel } from './TotalsPanel';
import { useEditedPlan } from './useEditedPlan';
import { useFindings } from './useFindings';
import { usePlanActions } from './usePlanActions';
import { useReview } from './useReview';
import { WorkBackwards } from './WorkBackwards';

const ConflictDialog = lazy(() => import('./ConflictDialog'));

interface Props {
  stored: StoredPlan;
  molds: Mold[];
  materials: Material[];
  /** Pieces of other plans. */
  made: MadePiece[];
  rules: HouseRules;
  /** What is left of the shelf's lots, by material. */
  stock: StockByMaterial;
  /** ISO 8601 day. */
  today: string;
  showing: Showing;
}

/** The plan as it is stored, or as it was left. */
export default function PlanWorkspace(props: Props) {
  const draft = useKeptDraft(props.stored);
  if (draft === undefined)
    return (
      <p className="quiet p-6" role="status">
        Laying out the plan …
      </p>
    );
  return <Workspace {...props} draft={draft} />;
}

/** Everything that one decision touches, in sight of it. */
function Workspace(props: Props & { draft: Draft | null }) {
  const { stored, materials, made, stock, today, showing, draft } = props;
  // A jug or a mold may be taught here.
  const [molds, setMolds] = useState(props.molds);
  const [rules, setRules] = useState(props.rules);
  const [pourIndex, setPourIndex] = useState(0);
  const [detail, setDetail] = useState<Detail | null>(null);
  const edited = useEditedPlan(stored, draft);
  const { plan, typing, edit, save } = edited;
  const actions = usePlanActions(stored.id, save.flush);

  const context = useMemo(
    (): CheckContext => ({ rules, shelf: { materials, stock, today } }),
    [rules, materials, stock, today],
  );
  const newest = useMemo(() => fileOf(plan, molds, materials, made), [plan, molds, materials, made]);
  const shown = useReview(newest, context, typing, edit);
  const { file, sheet } = shown;
  const view = usePourPlan(sheet, rules, typing !== null);
  const findings = useFindings(shown.findings, sheet, view, rules);
  const pour = Math.min(pourIndex, plan.pours.length - 1);

  const wait = useStable((index: number, afterMin: number | null) =>
    edit(withWhen(plan, index, { afterMin }), `wait ${index}${afterMin === null ? ' left' : ''}`),
  );
  const fix = useStable(
    (finding: Finding) =>
      finding.fix && shown.edit(applyFix(file, finding.fix), `fix ${finding.code} ${Date.now()}`),
  );
  const taught = useCallback((answer: TaughtAnswer) => {
    const put = <Item extends { id: string }>(items: readonly Item[], item: Item) =>
      items.map((each) => (each.id === item.id ? item : each));
    if (answer.kind === 'mold') setMolds((before) => put(before, answer.item));
    else setRules((before) => ({ ...before, jugs: put(before.jugs, answer.item) }));
  }, []);
  const ofPlan = { file, sheet, showing, onEdit: shown.edit };

  return (
    <div className="flex h-full flex-col gap-2 p-2">
      <PlanBar
        {...edited}
        saved={save.saved}
        molds={molds}
        saveState={save.state}
        stopped={sheet === null || hasStop(findings)}
        onEdit={edit}
        onUndo={edited.undo}
        onRedo={edited.redo}
        onDuplicate={actions.duplicate}
        onPrint={() => actions.follow(`/plans/${stored.id}/sheet`)}
        onExport={() => actions.follow(`/api/plans/${stored.id}/export`)}
        onBench={actions.toTheBench}
      />
      {actions.problem && (
        <p role="alert" className="text-error plate px-3 py-1">
          {actions.problem}
        </p>
      )}
      <div className="grid min-h-0 flex-1 gap-2 md:grid-cols-[270px_1fr] md:grid-rows-[auto_1fr] md:overflow-y-auto xl:grid-cols-[310px_1fr_290px] xl:grid-rows-[minmax(0,1fr)] xl:overflow-visible">
        <section
          aria-labelledby="section-title"
          className="plate flex flex-col p-3 xl:min-h-0 xl:overflow-y-auto"
        >
          <h2 id="section-title" className="font-semibold">
            Section
          </h2>
          <p className="quiet mb-2 text-xs">One cavity of {file.mold.name}, in mm</p>
          <SectionPanel {...ofPlan} />
          <WorkBackwards {...ofPlan} stock={stock} />
          <AnotherBase {...ofPlan} pourIndex={pour} findings={shown.findings} context={context} />
        </section>
        <DosesColumn
          file={file}
          plan={plan}
          pourIndex={pour}
          materials={materials}
          sheet={shown.sheetNow}
          settled={sheet}
          typing={typing}
          findings={findings}
          rules={rules}
          showing={showing}
          view={view}
          detail={detail}
          startPieces={stored.plan.pieces}
          onPour={setPourIndex}
          onEdit={edit}
          onShownEdit={shown.edit}
          onTaught={taught}
          onClose={() => setDetail(null)}
        />
        <div className="flex flex-col gap-2 xl:min-h-0">
          <TotalsPanel sheet={shown.sheetNow} rules={rules} showing={showing} />
          <ChecksPanel findings={findings} showing={showing} onFix={fix} />
        </div>
      </div>
      <PourPlanFoot
        sheet={sheet}
        view={view}
        pourIndex={pour}
        open={detail}
        showing={showing}
        onOpen={setDetail}
        onPour={setPourIndex}
        onWait={wait}
      />
      {save.state.kind === 'conflict' && (
        <Suspense>
          <ConflictDialog
            problem={save.state.problem}
            mine={plan}
            molds={molds}
            materials={materials}
            onKeepMine={save.keepMine}
            onTakeTheirs={edited.takeTheirs}
            onSaveCopy={actions.saveCopy}
          />
        </Suspense>
      )}
    </div>
  );
}
