import { lazy, Suspense, useCallback, useEffect, useMemo, useReducer, useState } from 'react';
import { allFindings } from '../../core/checks/allFindings';
import { applyFix } from '../../core/checks/applyFix';
import type { CheckContext, Finding } from '../../core/checks/finding';
import { hasStop } from '../../core/checks/review';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import type { MadePiece } from '../../core/plan/embed';
import { PLAN_FILE_FORMAT, PLAN_FILE_VERSION, type Plan, type PlanFile } from '../../core/plan/plan';
import { withWhen } from '../../core/plan/setMaking';
import type { Sheet } from '../../core/plan/sheet';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { StockByMaterial } from '../../core/stock/fromShelf';
import type { Showing } from '../../core/units/showQuantity';
import type { Detail } from '../pourPlan/details';
import { PourPlanFoot } from '../pourPlan/PourPlanFoot';
import { type PourPlanView, usePourPlan } from '../pourPlan/usePourPlan';
import type { TaughtAnswer } from '../pourPlan/useTeacher';
import { callApi } from '../shared/api';
import { localNow } from '../shared/today';
import { useStable } from '../shared/useStable';
import { AnotherBase } from './AnotherBase';
import { ChecksPanel } from './ChecksPanel';
import { DoseGrid } from './DoseGrid';
import { FixedDosesHint } from './FixedDosesHint';
import { type Draft, useKeptDraft } from './keptDraft';
import { PlanBar } from './PlanBar';
import { planHistory, startHistory, typingIn } from './planHistory';
import { SectionPanel } from './SectionPanel';
import { TotalsPanel } from './TotalsPanel';
import { useAutosave } from './useAutosave';
import { useReview } from './useReview';
import { WorkBackwards } from './WorkBackwards';

const PourPlanDetails = lazy(() => import('../pourPlan/PourPlanDetails'));
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
  const [history, dispatch] = useReducer(planHistory, stored.plan, (plan) =>
    draft ? planHistory(startHistory(plan), { do: 'replace', plan: draft.plan }) : startHistory(plan),
  );
  const plan = history.present;
  const { state, saved, flush, keepMine, takeTheirs } = useAutosave(
    stored,
    plan,
    draft?.revision ?? stored.revision,
  );
  const [problem, setProblem] = useState<string | null>(null);
  const [pourIndex, setPourIndex] = useState(0);

  const edit = useCallback((next: Plan, about: string) => {
    dispatch({ do: 'edit', plan: next, about, atMs: Date.now() });
  }, []);
  const undo = useCallback(() => dispatch({ do: 'undo' }), []);
  const redo = useCallback(() => dispatch({ do: 'redo' }), []);
  useUndoKeys(undo, redo);

  const context = useMemo(
    (): CheckContext => ({ rules, shelf: { materials, stock, today } }),
    [rules, materials, stock, today],
  );
  const file = useMemo(() => fileOf(plan, molds, materials, made), [plan, molds, materials, made]);
  const typing = useMemo(() => typingIn(history), [history]);
  const shown = useReview(file, context, typing, edit);
  const { sheet, findings: ofSheet } = shown;
  const pourPlan = usePourPlan(sheet, rules, typing !== null);
  const findings = useFindings(ofSheet, sheet, pourPlan, rules);
  const [detail, setDetail] = useState<Detail | null>(null);
  const pour = Math.min(pourIndex, plan.pours.length - 1);

  const wait = useStable((index: number, afterMin: number | null) =>
    edit(withWhen(plan, index, { afterMin }), `wait ${index}${afterMin === null ? ' left' : ''}`),
  );
  const fix = useStable(
    (finding: Finding) =>
      finding.fix && shown.edit(applyFix(shown.file, finding.fix), `fix ${finding.code} ${Date.now()}`),
  );
  const taught = useCallback((answer: TaughtAnswer) => {
    const { mold, rules: now } = answer;
    if (now) setRules(now);
    if (mold) setMolds((before) => before.map((each) => (each.id === mold.id ? mold : each)));
  }, []);

  async function toTheBench() {
    setProblem(null);
    if (!(await flush())) return;
    const id = crypto.randomUUID();
    const answer = await callApi('POST', '/api/runs', { id, planId: stored.id });
    if (answer.success) location.assign(`/bench/${id}`);
    else setProblem(answer.error.detail);
  }

  async function follow(address: string) {
    if (await flush()) location.assign(address);
  }

  async function duplicate() {
    if (!(await flush())) return;
    const answer = await callApi<StoredPlan>('POST', `/api/plans/${stored.id}/duplicate`);
    if (answer.success) location.assign(`/plans/${answer.data.id}`);
    else setProblem(answer.error.detail);
  }

  async function saveCopy(mine: Plan) {
    const answer = await callApi<StoredPlan>('POST', '/api/plans', {
      ...mine,
      name: `${mine.name.slice(0, 113)} (mine)`,
    });
    if (answer.success) location.assign(`/plans/${answer.data.id}`);
    else setProblem(answer.error.detail);
  }

  return (
    <div className="flex h-full flex-col gap-2 p-2">
      <PlanBar
        plan={plan}
        saved={saved}
        molds={molds}
        saveState={state}
        stopped={sheet === null || hasStop(findings)}
        canUndo={history.past.length > 0}
        canRedo={history.future.length > 0}
        onEdit={edit}
        onUndo={undo}
        onRedo={redo}
        onDuplicate={duplicate}
        onPrint={() => follow(`/plans/${stored.id}/sheet`)}
        onExport={() => follow(`/api/plans/${stored.id}/export`)}
        onBench={toTheBench}
      />
      {problem && (
        <p role="alert" className="text-error plate px-3 py-1">
          {problem}
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
          <SectionPanel
            plan={shown.file.plan}
            mold={shown.file.mold}
            sheet={sheet}
            showing={showing}
            onEdit={shown.edit}
          />
          <WorkBackwards
            file={shown.file}
            sheet={sheet}
            stock={stock}
            showing={showing}
            onEdit={shown.edit}
          />
          <AnotherBase
            file={shown.file}
            pourIndex={pour}
            sheet={sheet}
            findings={ofSheet}
            context={context}
            showing={showing}
            onEdit={shown.edit}
          />
        </section>

        <section
          aria-labelledby="doses-title"
          className="plate flex flex-col p-3 md:order-first md:col-span-2 lg:order-none lg:col-span-1 lg:row-span-2 xl:row-span-1 xl:min-h-0 xl:overflow-y-auto"
        >
          {detail !== null && sheet && pourPlan.pourPlan && isOf(pourPlan, sheet) ? (
            <Suspense fallback={<p className="quiet text-sm">Opening …</p>}>
              <PourPlanDetails
                detail={detail}
                file={file}
                sheet={sheet}
                pourPlan={pourPlan.pourPlan}
                pourIndex={pour}
                rules={rules}
                materials={materials}
                showing={showing}
                onPour={setPourIndex}
                onEdit={edit}
                onTaught={taught}
                onClose={() => setDetail(null)}
              />
            </Suspense>
          ) : (
            <>
              <DoseGrid
                file={shown.file}
                plan={plan}
                pourIndex={pour}
                materials={materials}
                sheet={shown.sheetNow}
                settled={sheet}
                typing={typing}
                findings={findings}
                rules={rules}
                showing={showing}
                onPour={setPourIndex}
                onEdit={edit}
              />
              <FixedDosesHint plan={plan} start={stored.plan.pieces} onEdit={edit} />
            </>
          )}
        </section>

        <div className="flex flex-col gap-2 xl:min-h-0">
          <TotalsPanel sheet={shown.sheetNow} rules={rules} showing={showing} />
          <ChecksPanel findings={findings} showing={showing} onFix={fix} />
        </div>
      </div>
      <PourPlanFoot
        sheet={sheet}
        view={pourPlan}
        pourIndex={pour}
        open={detail}
        showing={showing}
        onOpen={setDetail}
        onPour={setPourIndex}
        onWait={wait}
      />
      {state.is === 'conflict' && (
        <Suspense>
          <ConflictDialog
            problem={state.problem}
            mine={plan}
            molds={molds}
            materials={materials}
            onKeepMine={keepMine}
            onTakeTheirs={(theirs, revision) => {
              takeTheirs(theirs, revision);
              dispatch({ do: 'replace', plan: theirs });
            }}
            onSaveCopy={saveCopy}
          />
        </Suspense>
      )}
    </div>
  );
}

/** What the sheet tells, with what the pour plan does; the one of the plan as it was waits for the new one. */
function useFindings(
  ofSheet: Finding[],
  sheet: Sheet | null,
  view: PourPlanView,
  rules: HouseRules,
): Finding[] {
  const { pourPlan, isCurrent } = view;
  return useMemo(() => {
    if (!sheet || !pourPlan || !isCurrent) return ofSheet;
    return allFindings({ sheet, findings: ofSheet }, pourPlan, rules, localNow());
  }, [ofSheet, sheet, pourPlan, isCurrent, rules]);
}

/** A pour plan may be of the plan as it was a moment ago, with other pours. */
function isOf({ pourPlan }: PourPlanView, sheet: Sheet): boolean {
  const told = pourPlan?.layers.flatMap(({ pourIndexes }) => pourIndexes) ?? [];
  return told.length === sheet.pours.length;
}

/** The plan with what it names; the page was given every mold and material that its plan may name. */
function fileOf(plan: Plan, molds: Mold[], materials: Material[], made: MadePiece[]): PlanFile {
  const mold = molds.find(({ id }) => id === plan.moldId);
  if (!mold) throw new RangeError(`the page has no mold “${plan.moldId}”`);
  return { format: PLAN_FILE_FORMAT, version: PLAN_FILE_VERSION, plan, mold, materials, made };
}

function useUndoKeys(undo: () => void, redo: () => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo();
      else undo();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [undo, redo]);
}
