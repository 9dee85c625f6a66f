const BYTES = 12;

/**
 * A name that nothing else has. Random numbers are there on plain http, too, where `crypto.randomUUID` is not.
 * @example freshId('job') // job-k3v0…
 */
export function freshId(kind: string): string {
  const bytes = crypto.getRandomValues(new Uint8Array(BYTES));
  return `${kind}-${[...bytes].map((byte) => byte.toString(36).padStart(2, '0')).join('')}`;
}
