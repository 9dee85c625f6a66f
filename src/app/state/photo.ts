import { storeText } from '@esmero/frame';
/** Longer side of a picture that is kept, px: enough to see a scratch, small enough for hundreds. */
const LONGER_SIDE = 1280;
const QUALITY = 0.8;

/**
 * A picture from the camera, scaled down.
 * @throws when the file holds no picture that the browser can read
 */
export async function scaledDown(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, LONGER_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const small = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
  if (!small) throw new Error(storeText.notScaled);
  return small;
}
