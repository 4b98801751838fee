import { fileName } from '@/core/fileName';
import { drawingSvg, type PlacedSign } from '@/core/drawing/svg';
import type { Bicycle } from '@/model/record';
import { saveFile } from '@/ui/saveFile';

/** Saves the drawing as it stands, with its signs, as an SVG file. */
export function saveDrawing(bicycle: Bicycle, signs: PlacedSign[]): void {
  const svg = drawingSvg(bicycle.kind, bicycle.name, signs);
  saveFile(new Blob([svg], { type: 'image/svg+xml' }), `${fileName(bicycle.name)}.svg`);
}
