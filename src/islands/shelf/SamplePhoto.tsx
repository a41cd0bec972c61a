import { useRef, useState } from 'react';
import { averageHex } from '../../core/colour/sample';

/** A picture is shown no larger than this, and one point of it is the middle of so many. */
const SHOWN_PX = 360;
const SPOT_PX = 9;

interface Props {
  /** A colour was taken from the picture. */
  onPick(hex: string): void;
  onProblem(problem: string | null): void;
}

/** A photograph whose colours are picked by a tap. */
export function SamplePhoto({ onPick, onProblem }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [hasPhoto, setHasPhoto] = useState(false);

  async function show(file: File) {
    onProblem(null);
    try {
      const picture = await createImageBitmap(file);
      const scale = Math.min(1, SHOWN_PX / picture.width, SHOWN_PX / picture.height);
      const target = canvas.current;
      if (!target) return;
      target.width = Math.max(1, Math.round(picture.width * scale));
      target.height = Math.max(1, Math.round(picture.height * scale));
      target.getContext('2d')?.drawImage(picture, 0, 0, target.width, target.height);
      setHasPhoto(true);
    } catch {
      onProblem('That is no picture this browser can open. Take a JPEG or a PNG.');
    }
  }

  function pick(clientX: number, clientY: number) {
    const target = canvas.current;
    const drawn = target?.getContext('2d', { willReadFrequently: true });
    if (!target || !drawn) return;
    const box = target.getBoundingClientRect();
    const x = ((clientX - box.left) / box.width) * target.width;
    const y = ((clientY - box.top) / box.height) * target.height;
    const half = Math.floor(SPOT_PX / 2);
    const { data } = drawn.getImageData(Math.round(x) - half, Math.round(y) - half, SPOT_PX, SPOT_PX);
    onPick(averageHex(data));
  }

  return (
    <>
      <label className="text-xs">
        Photograph of the sample
        <input
          type="file"
          accept="image/*"
          className="file-input min-h-11 w-full"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) void show(file);
          }}
        />
      </label>
      <canvas
        ref={canvas}
        className={hasPhoto ? 'max-w-full cursor-crosshair touch-none self-start rounded-lg' : 'hidden'}
        aria-label="Tap the soap in the photograph to take its colour"
        onPointerDown={({ clientX, clientY }) => pick(clientX, clientY)}
        onPointerMove={({ clientX, clientY, buttons }) => {
          if (buttons > 0) pick(clientX, clientY);
        }}
      />
    </>
  );
}
