import type { SetPiece } from '../../core/label/label';
import { EDGE_MM } from '../../core/label/layerStripe';
import type { Box } from '../../core/label/typeset';

/** A piece of paper of a label to scale, as it is printed. */
export function LabelDrawing({ piece, name }: { piece: SetPiece; name: string }) {
  const { widthMm, heightMm, outline, lines, qr, bars, jar, stripe } = piece;
  return (
    <svg
      role="img"
      aria-label={name}
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      className="bg-white text-black w-full border border-base-300"
      style={{
        maxWidth: `${widthMm * 4.4}px`,
        borderRadius: outline === 'round' ? '50%' : undefined,
        // Figures as wide as on paper, where they are not set in columns.
        fontVariantNumeric: 'normal',
      }}
    >
      {stripe?.layers.map(({ hex, box }) => (
        <rect key={`${box.xMm} ${box.yMm}`} {...placed(box)} fill={hex} />
      ))}
      {stripe && <rect {...placed(stripe.box)} fill="none" stroke="currentColor" strokeWidth={EDGE_MM} />}
      {lines.map(({ text, xMm, baselineMm, sizeMm, isBold }) => (
        <text
          key={`${xMm} ${baselineMm} ${text}`}
          x={xMm}
          y={baselineMm}
          fontSize={sizeMm}
          fontWeight={isBold ? 700 : 400}
          fill="currentColor"
        >
          {text}
        </text>
      ))}
      {qr && <path d={squares(qr)} fill="currentColor" />}
      {jar && (
        <path
          d={jar.strokes.map((line) => `M${line.map((point) => point.join(' ')).join('L')}`).join('')}
          fill="none"
          stroke="currentColor"
          strokeWidth={jar.strokeMm}
          strokeLinejoin="round"
        />
      )}
      {bars && <path d={stripes(bars)} fill="currentColor" />}
    </svg>
  );
}

function placed({ xMm, yMm, widthMm, heightMm }: Box) {
  return { x: xMm, y: yMm, width: widthMm, height: heightMm };
}

function squares({ box, rows }: NonNullable<SetPiece['qr']>): string {
  const module = box.widthMm / rows.length;
  return rows
    .flatMap((row, down) =>
      row.map((isDark, right) =>
        isDark
          ? `M${box.xMm + right * module} ${box.yMm + down * module}h${module}v${module}h${-module}z`
          : '',
      ),
    )
    .join('');
}

function stripes({ box, widths }: NonNullable<SetPiece['bars']>): string {
  const module = box.widthMm / widths.reduce((sum, each) => sum + each, 0);
  let left = box.xMm;
  return widths
    .map((width, place) => {
      const at = left;
      left += width * module;
      return place % 2 === 0 ? `M${at} ${box.yMm}h${width * module}v${box.heightMm}h${-width * module}z` : '';
    })
    .join('');
}
