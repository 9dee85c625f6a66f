import { expose, transfer } from 'comlink';
import type { Raster } from '@esmero/core';
import { pixelsOf } from './pixels';

/** Takes a picture file apart where no screen waits for it; the pixels are handed over, not copied. */
expose({
  async read(file: Blob): Promise<Raster> {
    const raster = await pixelsOf(file);
    return transfer(raster, [raster.rgba.buffer]);
  },
});
