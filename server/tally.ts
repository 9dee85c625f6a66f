/** How many of something each network has, up to a bound. */
export class Tally {
  private readonly counts = new Map<string, number>();

  constructor(private readonly most: number) {}

  /** @returns false, and nothing counted, where it has as many as it may */
  take(of: string): boolean {
    const count = this.counts.get(of) ?? 0;
    if (count >= this.most) return false;
    this.counts.set(of, count + 1);
    return true;
  }

  give(of: string): void {
    const left = (this.counts.get(of) ?? 0) - 1;
    if (left > 0) this.counts.set(of, left);
    else this.counts.delete(of);
  }
}

/** The first four groups of an IPv6 address are what one subscriber is given. */
const SUBSCRIBER_GROUPS = 4;

/** Whose address this is: an IPv4 address as it is, an IPv6 one by its subscriber’s prefix. */
export function networkOf(address: string | undefined): string {
  const bare = (address ?? '').replace(/^::ffff:(?=\d+\.)/i, '');
  if (!bare.includes(':')) return bare;
  const [head = '', tail] = bare.split('::');
  const [front, back] = [head.split(':').filter(Boolean), (tail ?? '').split(':').filter(Boolean)];
  const zeros =
    tail === undefined ? [] : Array.from({ length: Math.max(0, 8 - front.length - back.length) }, () => '0');
  return [...front, ...zeros, ...back].slice(0, SUBSCRIBER_GROUPS).join(':');
}
