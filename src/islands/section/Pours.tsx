import type { LaidWhere } from '../../core/plan/laid';
import type { Section, SectionEmbed, SectionPour } from '../../core/section/section';
import { cavityPath, heightOn, INK, patternId, pourPath } from './drawing';

interface Props {
  id: string;
  section: Section;
  /** Those that are drawn. */
  pours: readonly SectionPour[];
}

/** A thing whose colour nobody has told. */
const UNKNOWN_HEX = '#c9c3b4';

/** The pours of a section with what is set into them, cut to the cavity; nothing but the soap. */
export function Pours({ id, section, pours }: Props) {
  return (
    <>
      <clipPath id={`${id}-cavity`}>
        <path d={cavityPath(section)} />
      </clipPath>
      <g clipPath={`url(#${id}-cavity)`}>
        {pours.map((pour) => (
          <PourBody key={pour.letter} id={id} section={section} pour={pour} />
        ))}
        {pours.flatMap((pour) =>
          pour.laid.map((where) => <Flecks key={`${pour.letter} ${where}`} pour={pour} where={where} />),
        )}
      </g>
      {pours.flatMap(({ letter, embeds }) =>
        embeds.flatMap((embed, place) =>
          // biome-ignore lint/suspicious/noArrayIndexKey: an embed is its place
          embed.as === 'piece' ? [<PieceDrawn key={`${letter} ${place}`} piece={embed} />] : [],
        ),
      )}
    </>
  );
}

function PourBody({ id, section, pour }: { id: string; section: Section; pour: SectionPour }) {
  const path = pourPath(pour, section);
  const isAlone = section.pours.length === 1;
  const next = section.pours.find(({ pourIndex }) => pourIndex > pour.pourIndex);
  const fillings = pour.embeds.filter((embed) => embed.as === 'filling');
  return (
    <>
      <path
        d={path}
        fill={pour.dropped && next ? next.hex : pour.hex}
        stroke={INK}
        strokeWidth={0.35}
        strokeDasharray={pour.trimmed ? '2 1.2' : undefined}
        opacity={pour.trimmed ? 0.55 : undefined}
      />
      {pour.dropped && <Drops section={section} pour={pour} />}
      {!isAlone && <path d={path} fill={`url(#${patternId(id, pour.pourIndex)})`} stroke="none" />}
      {fillings.length > 0 && (
        <>
          <clipPath id={`${id}-${pour.letter}`}>
            <path d={path} />
          </clipPath>
          <g clipPath={`url(#${id}-${pour.letter})`}>
            <Fillings fillings={fillings} section={section} pour={pour} />
          </g>
        </>
      )}
    </>
  );
}

const FLECKS = 22;
const FLECK_MM = 1.1;

/** What was laid and not stirred in: flecks along the face that they lie on. */
function Flecks({ pour, where }: { pour: SectionPour; where: LaidWhere }) {
  const step = (pour.toXMm - pour.fromXMm) / FLECKS;
  const radius = Math.min(FLECK_MM, step * 0.32, Math.max(0.3, (pour.toMm - pour.fromMm) * 0.2));
  // Below a surface it lies in the pour, and on a skin above it.
  const height = { under: radius, 'between-goes': 0, 'on-liquid': -radius, 'on-skin': radius }[where];
  return (
    <g fill="#f6f1e3" stroke={INK} strokeWidth={0.3}>
      {Array.from({ length: FLECKS }, (_, index) => {
        const x = pour.fromXMm + step * (index + 0.5);
        const [low, high] = [heightOn(pour.bottom, x), heightOn(pour.top, x)];
        const at = where === 'under' ? low : where === 'between-goes' ? (low + high) / 2 : high;
        return (
          <ellipse key={x} cx={x} cy={-(at + height)} rx={radius * (0.8 + 0.5 * spread(index))} ry={radius} />
        );
      })}
    </g>
  );
}

const DROPS = 9;

/** Colour dripped on the pour below, drawn out by the pour on top. */
function Drops({ section, pour }: { section: Section; pour: SectionPour }) {
  const step = (section.toXMm - section.fromXMm) / DROPS;
  return (
    <>
      {Array.from({ length: DROPS }, (_, index) => {
        const x = section.fromXMm + step * (index + 0.5);
        const [low, high] = [heightOn(pour.bottom, x), heightOn(pour.top, x)];
        return (
          <ellipse
            key={x}
            cx={x}
            cy={-(low + high) / 2}
            rx={step * (0.28 + 0.14 * spread(index))}
            ry={Math.max(0.6, (high - low) * (0.5 + 0.5 * spread(index + 7)))}
            fill={pour.hex}
          />
        );
      })}
    </>
  );
}

interface FillingsProps {
  fillings: readonly Extract<SectionEmbed, { as: 'filling' }>[];
  section: Section;
  pour: SectionPour;
}

const MOST_SIDE_MM = 9;

/** Cubes or gratings, as much of the drawing as of the pour: every cell has a cube, and it is that share of the cell. */
function Fillings({ fillings, section, pour }: FillingsProps) {
  const heights = [...pour.top, ...pour.bottom].map(([, heightMm]) => heightMm);
  const [low, high] = [Math.min(...heights), Math.min(section.depthMm, Math.max(...heights))];
  const [width, height] = [section.toXMm - section.fromXMm, high - low];
  const share = Math.min(
    0.9,
    fillings.reduce((sum, { ofRoom }) => sum + ofRoom, 0),
  );
  const wanted = Math.min(MOST_SIDE_MM, width / 7, height * 0.6) / Math.sqrt(share);
  if (!(wanted > 0.2)) return null;
  const [columns, rows] = [width, height].map((mm) => Math.max(1, Math.round(mm / wanted))) as [
    number,
    number,
  ];
  const [cellX, cellY] = [width / columns, height / rows];
  const side = Math.sqrt(share * cellX * cellY);
  return (
    <>
      {Array.from({ length: columns * rows }, (_, index) => {
        const x = section.fromXMm + cellX * ((index % columns) + 0.5) + cellX * 0.2 * (spread(index) - 0.5);
        const y =
          -(low + cellY * (Math.floor(index / columns) + 0.5)) + cellY * 0.12 * (spread(index + 31) - 0.5);
        return (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: a cube is its place
            key={index}
            x={x - side / 2}
            y={y - side / 2}
            width={side}
            height={side}
            transform={`rotate(${40 * (spread(index + 57) - 0.5)} ${x} ${y})`}
            fill={fillingAt(fillings, spread(index + 11)).hex ?? UNKNOWN_HEX}
            stroke={INK}
            strokeWidth={0.25}
          />
        );
      })}
    </>
  );
}

/** Which of the fillings a place has, so that each has its share of the places. */
function fillingAt<Filling extends { ofRoom: number }>(fillings: readonly Filling[], place: number): Filling {
  let left = place * fillings.reduce((sum, { ofRoom }) => sum + ofRoom, 0);
  const found = fillings.find(({ ofRoom }) => {
    left -= ofRoom;
    return left < 0;
  });
  return (found ?? fillings.at(-1)) as Filling;
}

function PieceDrawn({ piece }: { piece: Extract<SectionEmbed, { as: 'piece' }> }) {
  const { xMm, bottomMm, widthMm, heightMm, isBall, hex, name } = piece;
  const drawn = { fill: hex ?? UNKNOWN_HEX, stroke: INK, strokeWidth: 0.4 };
  return (
    <g>
      <title>{name}</title>
      {isBall ? (
        <circle cx={xMm} cy={-bottomMm - heightMm / 2} r={heightMm / 2} {...drawn} />
      ) : (
        <rect
          x={xMm - widthMm / 2}
          y={-bottomMm - heightMm}
          width={widthMm}
          height={heightMm}
          rx={Math.min(widthMm, heightMm) * 0.08}
          {...drawn}
        />
      )}
    </g>
  );
}

/** A share that looks thrown and is the same every time (the golden ratio's multiples spread evenly). */
function spread(index: number): number {
  return (index * 0.6180339887498949) % 1;
}
