import type { Photo } from '@esmero/core';

/** Bytes that are turned to text at once: more would not fit on the stack. */
const PART = 0x8000;

/** A picture as text for a file. */
export async function dataUrlOf(picture: Blob): Promise<string> {
  const bytes = new Uint8Array(await picture.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += PART) text += String.fromCharCode(...bytes.subarray(at, at + PART));
  return `data:${picture.type};base64,${btoa(text)}`;
}

/** The picture that such a text holds. */
export function blobOf({ picture }: Photo): Blob {
  const [head, body] = picture.split(',', 2);
  const bytes = Uint8Array.from(atob(body ?? ''), (letter) => letter.charCodeAt(0));
  return new Blob([bytes], { type: /^data:([^;]*)/.exec(head ?? '')?.[1] ?? '' });
}
