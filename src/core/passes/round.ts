import type { Assumptions } from '../assumptions';
import type { Dimensions } from '../model';
import { type Lap, laps } from './lap';
import type { Pass } from './pass';
import { type StandingPlace, standingPlaces as places } from '../rules';

/** The way round a car at walking distance. */
export class Round {
  private readonly along: number;
  private readonly across: number;

  constructor(
    { lengthM, widthM }: Pick<Dimensions, 'lengthM' | 'widthM'>,
    private readonly a: Assumptions,
  ) {
    this.along = lengthM + 2 * a.walkingDistance;
    this.across = widthM + 2 * a.walkingDistance;
  }

  /** Where somebody stands for a pass, m along the way from the left front corner over the tail. */
  at({ place, pieces }: Pass): number {
    const middle =
      this.a.walkingDistance + pieces.reduce((sum, { fromM, toM }) => sum + (fromM + toM) / 2, 0) / pieces.length;
    switch (place) {
      case 'left':
        return middle;
      case 'rear':
        return this.along + this.across / 2;
      case 'right':
        return this.along + this.across + (this.along - middle);
      case 'front':
        return 2 * this.along + 1.5 * this.across;
    }
  }

  /** The shorter way from one to the other, m. */
  metres(from: number, to: number): number {
    const whole = 2 * (this.along + this.across);
    const apart = Math.abs(from - to);
    return Math.min(apart, whole - apart);
  }

  /** Along a lap that begins at a place and goes one way round. */
  private lap(passes: readonly Pass[], begin: StandingPlace, way: 1 | -1): readonly Pass[] {
    const start = places.indexOf(begin);
    const rank = ({ place }: Pass): number => (way * (places.indexOf(place) - start) + 4) % 4;
    return [...passes].sort((p, q) => rank(p) - rank(q) || way * (this.at(p) - this.at(q)));
  }

  private length(passes: readonly Pass[], from: number | null): number {
    let [sum, at] = [0, from];
    for (const pass of passes) {
      const next = this.at(pass);
      if (at !== null) sum += this.metres(at, next);
      at = next;
    }
    return sum;
  }

  /** Lap after lap, each once round the car from where the last one ended, with the least to walk. */
  inLaps(passes: readonly Pass[], first: readonly Lap[] = laps): readonly Pass[] {
    let ways: { readonly order: readonly Pass[]; readonly metres: number }[] = [{ order: [], metres: 0 }];
    for (const lap of first) {
      const own = passes.filter((pass) => pass.lap === lap);
      if (own.length === 0) continue;
      const candidates = ways.flatMap(({ order, metres }) => {
        const last = order.at(-1);
        const begins = last ? [last.place] : places;
        return begins.flatMap((begin) =>
          ([1, -1] as const).map((way) => {
            const next = this.lap(own, begin, way);
            return { order: [...order, ...next], metres: metres + this.length(next, last ? this.at(last) : null) };
          }),
        );
      });
      // The best way to each place where the lap can end.
      const best = new Map<Pass, (typeof candidates)[number]>();
      for (const one of candidates) {
        const end = one.order.at(-1)!;
        if (!best.has(end) || one.metres < best.get(end)!.metres - 1e-9) best.set(end, one);
      }
      ways = [...best.values()];
    }
    return ways.reduce((p, q) => (q.metres < p.metres - 1e-9 ? q : p)).order;
  }
}
