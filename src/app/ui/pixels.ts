import type { Raster } from '@esmero/core';

/** More than any phone takes; a picture beyond is made smaller first, so that it cannot fill the memory. */
const MOST_PIXELS = 24_000_000;

/**
 * The pixels of a picture file.
 * @throws DOMException where the browser cannot read it
 */
export async function pixelsOf(file: Blob): Promise<Raster> {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, Math.sqrt(MOST_PIXELS / (picture.width * picture.height)));
  const [width, height] = [
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  ];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (!context) throw new DOMException('No canvas');
  context.drawImage(picture, 0, 0, width, height);
  picture.close();
  return { width, height, rgba: context.getImageData(0, 0, width, height).data };
}
