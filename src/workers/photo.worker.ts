import { MOST_CHOSEN_BYTES, MOST_PHOTO_BYTES, MOST_PX } from '../core/files/photo';
import type { PhotoAnswer, PhotoRequest } from './photoProtocol';

/** Tried one after the other until it is small enough. */
const QUALITIES = [0.86, 0.78, 0.68, 0.55, 0.4] as const;
const SMALLER = 0.7;

/** Makes a photograph small enough to be kept: drawn anew, it has nothing in it of where and when it was taken. */
self.onmessage = async ({ data: { file } }: MessageEvent<PhotoRequest>) => {
  const answer = (said: PhotoAnswer, move: Transferable[] = []) => self.postMessage(said, { transfer: move });
  if (file.size > MOST_CHOSEN_BYTES) return answer({ kind: 'fault', code: 'too-large' });
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    let scale = Math.min(1, MOST_PX / Math.max(picture.width, picture.height));
    for (;;) {
      const [width, height] = [picture.width, picture.height].map((each) =>
        Math.max(1, Math.round(each * scale)),
      );
      const canvas = new OffscreenCanvas(width ?? 1, height ?? 1);
      const context = canvas.getContext('2d');
      if (!context) throw new Error('no canvas');
      context.imageSmoothingQuality = 'high';
      // What lets light through is on white.
      context.fillStyle = '#ffffff';
      context.fillRect(0, 0, canvas.width, canvas.height);
      context.drawImage(picture, 0, 0, canvas.width, canvas.height);
      for (const quality of QUALITIES) {
        const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
        if (blob.size > MOST_PHOTO_BYTES) continue;
        const bytes = new Uint8Array(await blob.arrayBuffer());
        picture.close();
        return answer({ kind: 'made', bytes, widthPx: canvas.width, heightPx: canvas.height }, [
          bytes.buffer,
        ]);
      }
      scale *= SMALLER;
    }
  } catch {
    return answer({ kind: 'fault', code: 'no-picture' });
  }
};
