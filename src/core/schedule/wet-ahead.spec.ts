import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { defaultAssumptions as a } from '../assumptions';
import { type Pass, handS } from '../passes';
import { type Stop, type WettingWalk, wetAhead } from './wet-ahead';

interface Spec {
  readonly area: number;
  readonly spray: number;
  readonly wipe: number;
  readonly dwell: number;
  /** Window over what the pass needs at the least. */
  readonly margin: number;
  readonly walk: number;
}
const spec = fc.record<Spec>({
  area: fc.double({ min: 0.2, max: 1.6, noNaN: true }),
  spray: fc.constantFrom(0, 4, 6),
  wipe: fc.double({ min: 8, max: 40, noNaN: true }),
  dwell: fc.constantFrom(10, 20, 60, 120),
  margin: fc.constantFrom(1.02, 1.5, 3, 20),
  walk: fc.constantFrom(0, 1, 4),
});

/** Passes with work made up; those that are sprayed dwell and dry. */
const stops = (specs: readonly Spec[]): readonly Stop[] =>
  specs.map(({ area, spray, wipe, dwell, margin, walk }): Stop => {
    const dwellS = spray > 0 ? dwell : 0;
    const work = {
      flush: 0,
      pretreat: 0,
      spray: spray * area,
      rinseBefore: 0,
      wipe: wipe * area,
      rinseOff: 0,
      finish: 0,
      glass: 0,
      protect: 0,
    };
    const pass: Pass = {
      lap: 'uppers',
      place: 'left',
      pieces: [],
      areaM2: area,
      work,
      dwellS,
      leadS: 0,
      softensS: 0,
      startsWithinS: (dwellS + (spray + wipe) * area) * margin - wipe * area,
      wet: null,
      finishing: 'in-pass',
      rinsedAtTurn: false,
      aheadM2: spray > 0 ? a.sprayAhead : 0,
    };
    return { pass, walkS: walk, pauseS: 0 };
  });

type Turns = readonly { readonly wet: boolean; readonly at: number }[];

/** Every way to take turns between wetting the next pass and wiping the next, with no more wet than may be. */
function everyWay(row: readonly Stop[]): readonly Turns[] {
  const ways: Turns[] = [];
  const dry = (i: number): boolean => row[i]!.pass.work.spray === 0;
  const go = (turns: Turns, wetted: number, wiped: number, wetM2: number): void => {
    if (wiped === row.length) {
      ways.push(turns);
      return;
    }
    if (dry(wiped) || wetted > wiped)
      go(
        [...turns, { wet: false, at: wiped }],
        Math.max(wetted, wiped + 1),
        wiped + 1,
        wetM2 - (dry(wiped) ? 0 : row[wiped]!.pass.areaM2),
      );
    let w = Math.max(wetted, wiped);
    while (w < row.length && dry(w)) w++;
    const next = row[w];
    // What waits beside the pass that is next.
    const waiting = wetM2 - (wetted > wiped && !dry(wiped) ? row[wiped]!.pass.areaM2 : 0);
    if (next && (w === wiped || waiting < 1e-9 || waiting + next.pass.areaM2 <= a.sprayAhead))
      go([...turns, { wet: true, at: w }], w + 1, wiped, wetM2 + next.pass.areaM2);
  };
  go([], 0, 0, 0);
  return ways;
}

/** Least time of one such way, each wetted as late as its window asks for; Infinity where that cannot be. */
function leastS(row: readonly Stop[], turns: Turns, below: number): number {
  const least = row.map(() => 0);
  for (;;) {
    let [clock, moved] = [0, false];
    const beganS = row.map(() => 0);
    for (const { wet, at: i } of turns) {
      const { pass, walkS } = row[i]!;
      if (wet) {
        beganS[i] = Math.max(clock + walkS, least[i]!);
        clock = beganS[i] + pass.work.spray;
        continue;
      }
      const dry = pass.work.spray === 0;
      clock = Math.max(clock + (dry ? walkS : 0), dry ? 0 : beganS[i]! + pass.work.spray + pass.dwellS) + handS(pass);
      const from = clock - handS(pass) - pass.startsWithinS;
      if (!dry && from > beganS[i]! + 1e-6) [least[i], moved] = [from, true];
    }
    if (clock >= below) return Infinity;
    if (!moved) return clock;
  }
}

const exhaustive = (row: readonly Stop[]): number =>
  everyWay(row).reduce((best, turns) => Math.min(best, leastS(row, turns, best)), Infinity);

const late = ({ timed }: WettingWalk): number => timed.filter(({ lateS }) => lateS > 0).length;

describe('wetting ahead', () => {
  it('takes at most three per cent longer than the best of all ways, and no pass dries first', () => {
    let [worst, sum, count] = [1, 0, 0];
    fc.assert(
      fc.property(fc.array(spec, { minLength: 1, maxLength: 5 }), (specs) => {
        const row = stops(specs);
        const walk = wetAhead(row);
        expect(late(walk)).toBe(0);
        const ratio = walk.seconds / exhaustive(row);
        expect(ratio).toBeGreaterThan(1 - 1e-9);

        worst = Math.max(worst, ratio);
        sum += ratio;
        count++;
      }),
      { numRuns: runs(300), seed: 17 },
    );
    expect(sum / count).toBeLessThan(1.01);
    expect(worst).toBeLessThan(1.03);
  });

  it('does every pass once, in order, each wet one after its dwell', () => {
    fc.assert(
      fc.property(fc.array(spec, { minLength: 1, maxLength: 12 }), (specs) => {
        const { acts, timed, seconds } = wetAhead(stops(specs));
        expect(acts.filter(({ kind }) => kind === 'do').map(({ at }) => at)).toEqual(specs.map((_one, i) => i));
        timed.forEach(({ readyS, startS, doneS }, i) => {
          expect(startS).toBeGreaterThanOrEqual(readyS - 1e-9);
          if (i > 0) expect(startS).toBeGreaterThanOrEqual(timed[i - 1]!.doneS - 1e-9);
          expect(doneS).toBeLessThanOrEqual(seconds + 1e-9);
        });
      }),
    );
  });

  it('says what is late where nobody can be quick enough', () => {
    expect(late(wetAhead(stops([{ area: 1, spray: 6, wipe: 30, dwell: 60, margin: 0.5, walk: 0 }])))).toBe(1);
  });
});
