import { type Remote, wrap } from 'comlink';
import type { Raster } from '@esmero/core';
import { pixelsOf } from './pixels';

interface Reader {
  read(file: Blob): Promise<Raster>;
}

let reader: Remote<Reader> | null = null;

/**
 * The pixels of a picture file, read in a worker: a dozen megapixels would hold the screen up.
 * @throws DOMException where the browser cannot read it
 */
export function rasterOf(file: Blob): Promise<Raster> {
  if (typeof Worker === 'undefined') return pixelsOf(file);
  reader ??= wrap<Reader>(new Worker(new URL('./raster.worker', import.meta.url), { type: 'module' }));
  return reader.read(file);
}

/** Pixels as a picture file. */
export async function fileOf({ width, height, rgba }: Raster): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(rgba), width, height), 0, 0);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
}
