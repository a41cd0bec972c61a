import { RotateCw } from 'lucide-react';
import { lazy, memo, Suspense, startTransition, useMemo, useRef, useState } from 'react';
import { moveBoundary, moveBoundaryToGram } from '../../core/plan/moveBoundary';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { sectionAxis, sectionOf, sectionOfMold } from '../../core/section/section';
import { Section } from '../section/Section';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';
import { TintNote } from './TintNote';

interface Props {
  file: PlanFile;
  sheet: Sheet | null;
}

const Face = lazy(() => import('../section/Face'));
const SizeOnDrawing = lazy(() => import('./SizeOnDrawing'));
const Unmolded = lazy(() => import('../section/Unmolded'));

const VIEWS = { poured: 'As poured', unmolded: 'Unmolded', face: 'Face' } as const;
type View = keyof typeof VIEWS;

/** The section, flipped between the mold and the bar; a picture of it to keep. */
export const SectionPanel = memo(function SectionPanel({ file: { plan, mold }, sheet }: Props) {
  const { editShown } = usePlanPage();
  const showing = useShowing();
  const { locale } = showing;
  const [view, setView] = useState<View>('poured');
  const [turned, setTurned] = useState(false);
  const [byGrams, setByGrams] = useState(false);
  const [typing, setTyping] = useState<{ below: number; topPx: number } | null>(null);
  const drawing = useRef<HTMLDivElement>(null);
  const usual = sectionAxis(mold);
  const axis = turned ? (usual === 'length' ? 'width' : 'length') : usual;
  const section = useMemo(
    () => (sheet ? sectionOf(sheet, axis) : sectionOfMold(mold, axis)),
    [sheet, mold, axis],
  );
  const hasPours = section !== null && section.pours.length > 0;
  const shown = hasPours ? view : 'poured';
  async function keep(kind: 'SVG' | 'PNG') {
    const svg = drawing.current?.querySelector('svg');
    const { savePng, saveSvg } = await import('../section/download');
    if (svg) void (kind === 'SVG' ? saveSvg : savePng)(svg, `${plan.name} ${VIEWS[shown].toLowerCase()}`);
  }
  const move = (below: number, toMm: number) => {
    if (!sheet) return;
    const next = byGrams
      ? moveBoundaryToGram(plan, mold, sheet, below, toMm)
      : moveBoundary(plan, sheet.pours, below, toMm);
    editShown(next, `boundary ${below}`);
  };
  const isRound = section !== null && ROUND.has(section.shape.kind);

  return (
    <>
      <div className="relative flex max-h-72 min-h-24 shrink-0 items-center justify-center" ref={drawing}>
        {shown === 'poured' && (
          <Section
            section={section}
            locale={locale}
            onMove={sheet && plan.pours.length > 1 ? move : undefined}
            onType={(below, at) => {
              const box = at.querySelector('polyline')?.getBoundingClientRect();
              const around = drawing.current?.getBoundingClientRect();
              if (box && around) setTyping({ below, topPx: box.top - around.top });
            }}
          />
        )}
        <Suspense fallback={<p className="quiet text-sm">Drawing …</p>}>
          {shown === 'unmolded' && section && <Unmolded section={section} locale={locale} />}
          {shown === 'face' && sheet && <Face sheet={sheet} />}
        </Suspense>
        <Suspense>
          {typing && shown === 'poured' && (
            <SizeOnDrawing
              key={typing.below}
              plan={plan}
              pourIndex={typing.below}
              system={showing.system}
              topPx={typing.topPx}
              onDone={() => {
                setTyping(null);
                const sliders = drawing.current?.querySelectorAll<SVGGElement>('[role="slider"]');
                sliders?.[Math.min(typing.below, sliders.length - 1)]?.focus();
              }}
            />
          )}
        </Suspense>
      </div>
      {hasPours && (
        <ViewBar
          shown={shown}
          onView={(next) => startTransition(() => setView(next))}
          onKeep={(kind) => void keep(kind)}
        />
      )}
      {hasPours && shown !== 'face' && (
        <CutBar
          axis={axis}
          turned={turned}
          byGrams={byGrams}
          canTurn={!isRound}
          canDrag={plan.pours.length > 1 && shown === 'poured'}
          onTurn={() => setTurned(!turned)}
          onByGrams={setByGrams}
        />
      )}
      {sheet && <TintNote sheet={sheet} />}
    </>
  );
});

interface ViewProps {
  shown: View;
  onView(view: View): void;
  onKeep(kind: 'SVG' | 'PNG'): void;
}

/** How the drawing is looked at, and a picture of it to keep. */
function ViewBar({ shown, onView, onKeep }: ViewProps) {
  return (
    <div className="mt-1 flex flex-wrap items-center">
      <fieldset className="mr-auto flex">
        <legend className="sr-only">How it is looked at</legend>
        {(Object.keys(VIEWS) as View[]).map((each) => (
          <button
            key={each}
            type="button"
            className={`btn btn-sm min-h-11 px-2 text-xs ${shown === each ? 'btn-primary' : 'btn-ghost'}`}
            aria-pressed={shown === each}
            onClick={() => onView(each)}
          >
            {VIEWS[each]}
          </button>
        ))}
      </fieldset>
      <span className="flex">
        {(['SVG', 'PNG'] as const).map((kind) => (
          <button
            key={kind}
            type="button"
            className="btn btn-sm btn-ghost min-h-11 min-w-11 px-1 text-xs font-normal underline"
            aria-label={`${kind}: keep the drawing`}
            onClick={() => onKeep(kind)}
          >
            {kind}
          </button>
        ))}
      </span>
    </div>
  );
}

interface CutProps {
  axis: 'length' | 'width';
  turned: boolean;
  byGrams: boolean;
  canTurn: boolean;
  canDrag: boolean;
  onTurn(): void;
  onByGrams(byGrams: boolean): void;
}

/** Which way it is cut, and how boundaries are dragged. */
function CutBar({ axis, turned, byGrams, canTurn, canDrag, onTurn, onByGrams }: CutProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-3 text-xs">
      {canTurn && (
        <button
          type="button"
          className="btn btn-sm btn-ghost min-h-11 px-2 text-xs font-normal"
          aria-pressed={turned}
          onClick={onTurn}
        >
          <RotateCw size={16} aria-hidden="true" />
          Cut {axis === 'length' ? 'along' : 'across'} · turn it
        </button>
      )}
      {canDrag && (
        <label className="flex min-h-11 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={byGrams}
            onChange={({ target }) => onByGrams(target.checked)}
          />
          Drag to whole grams
        </label>
      )}
    </div>
  );
}

/** Cut the same whichever way. */
const ROUND: ReadonlySet<string> = new Set([
  'cylinder',
  'frustum',
  'hemisphere',
  'sphere',
  'revolved',
  'water-steps',
]);
