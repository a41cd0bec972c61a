import { useRef, useState } from 'react';
import type { Mold } from '../../core/molds/mold';
import { isKnown } from '../../core/molds/shape';
import { moveBoundary } from '../../core/plan/moveBoundary';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { savePng, saveSvg } from '../section/download';
import { Face } from '../section/Face';
import { Section } from '../section/Section';
import { Unmolded } from '../section/Unmolded';
import { sectionPours } from './sectionPours';

interface Props {
  plan: Plan;
  mold: Mold;
  sheet: Sheet | null;
  locale: string;
  onEdit(plan: Plan, about: string): void;
}

const VIEWS = { poured: 'As poured', unmolded: 'Unmolded', face: 'Face' } as const;
type View = keyof typeof VIEWS;

/** The section, flipped between the mold and the bar; a picture of it to keep. */
export function SectionPanel({ plan, mold, sheet, locale, onEdit }: Props) {
  const [view, setView] = useState<View>('poured');
  const drawing = useRef<HTMLDivElement>(null);
  const pours = sheet ? sectionPours(sheet) : [];
  const shown = isKnown(mold.shape) && pours.length > 0 ? view : 'poured';
  const keep = (how: (svg: SVGSVGElement, name: string) => unknown) => {
    const svg = drawing.current?.querySelector('svg');
    if (svg) void how(svg, `${plan.name} ${VIEWS[shown].toLowerCase()}`);
  };
  return (
    <>
      <div className="flex max-h-72 min-h-24 items-center justify-center" ref={drawing}>
        {shown === 'poured' && (
          <Section
            mold={mold}
            pours={pours}
            locale={locale}
            onMove={
              sheet && plan.pours.length > 1
                ? (below, toMm) => onEdit(moveBoundary(plan, sheet.pours, below, toMm), `boundary ${below}`)
                : undefined
            }
          />
        )}
        {shown === 'unmolded' && <Unmolded mold={mold} pours={pours} locale={locale} />}
        {shown === 'face' && <Face mold={mold} pours={pours} />}
      </div>
      {isKnown(mold.shape) && pours.length > 0 && (
        <div className="mt-1 flex flex-wrap items-center">
          <fieldset className="mr-auto flex">
            <legend className="sr-only">How it is looked at</legend>
            {(Object.keys(VIEWS) as View[]).map((each) => (
              <button
                key={each}
                type="button"
                className={`btn btn-sm min-h-11 px-2 text-xs ${shown === each ? 'btn-primary' : 'btn-ghost'}`}
                aria-pressed={shown === each}
                onClick={() => setView(each)}
              >
                {VIEWS[each]}
              </button>
            ))}
          </fieldset>
          {(['SVG', 'PNG'] as const).map((kind) => (
            <button
              key={kind}
              type="button"
              className="btn btn-sm btn-ghost min-h-11 min-w-11 px-1 text-xs font-normal underline"
              aria-label={`Keep the drawing as ${kind}`}
              onClick={() => keep(kind === 'SVG' ? saveSvg : savePng)}
            >
              {kind}
            </button>
          ))}
        </div>
      )}
    </>
  );
}
