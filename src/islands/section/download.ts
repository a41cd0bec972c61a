import { saveFile } from '../shared/saveFile';
import { INK } from './drawing';

/** Pixels of a millimetre in a picture: about 300 to the inch. */
const PIXELS_PER_MM = 12;

/** A drawing as a file of its own: true to scale in millimetres, without the page's styles. */
function standAlone(svg: SVGSVGElement): { text: string; widthMm: number; heightMm: number } {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const { width, height } = svg.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', `${width}mm`);
  copy.setAttribute('height', `${height}mm`);
  copy.setAttribute('color', INK);
  copy.setAttribute('font-family', 'sans-serif');
  for (const each of [copy, ...copy.querySelectorAll('*')]) {
    for (const name of ['class', 'tabindex', 'role']) each.removeAttribute(name);
  }
  return { text: new XMLSerializer().serializeToString(copy), widthMm: width, heightMm: height };
}

export function saveSvg(svg: SVGSVGElement, name: string) {
  saveFile(new Blob([standAlone(svg).text], { type: 'image/svg+xml' }), `${name}.svg`);
}

export async function savePng(svg: SVGSVGElement, name: string): Promise<void> {
  const { text, widthMm, heightMm } = standAlone(svg);
  const picture = new Image();
  picture.src = URL.createObjectURL(new Blob([text], { type: 'image/svg+xml' }));
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(widthMm * PIXELS_PER_MM);
  canvas.height = Math.round(heightMm * PIXELS_PER_MM);
  const context = canvas.getContext('2d');
  context?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  URL.revokeObjectURL(picture.src);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (blob) saveFile(blob, `${name}.png`);
}
