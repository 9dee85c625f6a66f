import type { Photo } from '@esmero/model';

/** The picture that a text in a collection file holds. */
export function blobOf({ picture }: Photo): Blob {
  const [head, body] = picture.split(',', 2);
  const bytes = Uint8Array.from(atob(body ?? ''), (letter) => letter.charCodeAt(0));
  return new Blob([bytes], { type: /^data:([^;]*)/.exec(head ?? '')?.[1] ?? '' });
}
