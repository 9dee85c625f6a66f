import { vi } from 'vitest';
import type { Raster } from '@esmero/core';

/** The browser's way from a picture file to its pixels, for tests that have no canvas: each file is the picture given. */
export function picturesAre(picture: () => Raster | null): void {
  vi.stubGlobal('createImageBitmap', async () => {
    const raster = picture();
    if (!raster) throw new DOMException('no picture', 'InvalidStateError');
    return { width: raster.width, height: raster.height, close: () => undefined };
  });
  vi.stubGlobal(
    'OffscreenCanvas',
    class {
      getContext() {
        return { drawImage: () => undefined, getImageData: () => ({ data: picture()!.rgba }) };
      }
    },
  );
  URL.createObjectURL = () => 'blob:picture';
  URL.revokeObjectURL = () => undefined;
}
