import type { Photo } from '@esmero/model';

/** The picture that a text in a collection file holds. */
export function blobOf({ picture }: Photo): Blob {
  const [head, body] = picture.split(',', 2);
  const bytes = Uint8Array.from(atob(body ?? ''), (letter) => letter.charCodeAt(0));
  return new Blob([bytes], { type: /^data:([^;]*)/.exec(head ?? '')?.[1] ?? '' });
}

/** So many bytes are turned into letters at once: all arguments of a call have to fit on the stack. */
const SLICE = 0x8000;

/** A picture as a text for a collection file. */
export async function dataUrlOf(picture: Blob): Promise<string> {
  const bytes = new Uint8Array(await picture.arrayBuffer());
  let letters = '';
  for (let at = 0; at < bytes.length; at += SLICE) letters += String.fromCharCode(...bytes.subarray(at, at + SLICE));
  return `data:${picture.type || 'image/jpeg'};base64,${btoa(letters)}`;
}
