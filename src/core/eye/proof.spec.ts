import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { finish } from '../studies';
import { type Homography, aligned, homographyThrough, mapped } from './align';
import { type Counted, type ProofAnswer, halfPanelProof } from './half-panel-proof';
import { type ProofScene, plainProof, renderProof } from './proof-picture';
import { brightness, inLight } from './raster';
import { solved } from './solve';

/** A hand that comes back a little further to the left, and a little askew. */
const moved = (i: number): Homography => [
  1 + 0.006 * (i % 5),
  0.01 * ((i % 7) - 3),
  3 * ((i % 9) - 4),
  -0.008 * ((i % 4) - 2),
  0.99,
  2 * ((i % 6) - 3),
  1e-5 * (i % 3),
  -1e-5,
  1,
];

const all = ({ arcs, streaks }: Counted): number => arcs + streaks;

function proof(before: Partial<ProofScene>, after: Partial<ProofScene>): ProofAnswer {
  return finish(
    halfPanelProof({
      before: renderProof({ ...plainProof, ...before }),
      after: renderProof({ ...plainProof, ...after }),
    }),
  );
}

const greyOf = (scene: Partial<ProofScene>) => {
  const light = finish(inLight(renderProof({ ...plainProof, ...scene }), 640));
  return {
    width: light.width,
    height: light.height,
    values: Float32Array.from({ length: light.width * light.height }, (_unused, at) =>
      Math.sqrt(brightness(light, at)),
    ),
  };
};

describe('laying two pictures on each other', () => {
  it('finds the homography again', () => {
    const h = moved(5);
    const corners = [
      [0, 0],
      [600, 0],
      [600, 400],
      [0, 400],
      [300, 210],
    ].map(([x, y]) => ({ x: x!, y: y! }));
    const found = homographyThrough(
      corners.map((from) => ({
        from: { x: from.x / 640, y: from.y / 640 },
        to: { x: mapped(h, from).x / 640, y: mapped(h, from).y / 640 },
      })),
    )!;
    for (const from of corners)
      expect(mapped(found, { x: from.x / 640, y: from.y / 640 }).x * 640).toBeCloseTo(mapped(h, from).x, 3);
    // From the second picture to the first is what the renderer was given.
    const between = aligned(greyOf({ seen: h, panelSeed: 4, lineSeed: 9 }), greyOf({ panelSeed: 4, lineSeed: 2 }))!;
    for (const point of corners)
      expect(
        Math.hypot(
          mapped(between.homography, point).x - mapped(h, point).x,
          mapped(between.homography, point).y - mapped(h, point).y,
        ),
      ).toBeLessThan(2);
    expect(between.inliers).toBeGreaterThan(30);
  });

  it('solves what can be solved', () => {
    expect(
      solved([
        [0, 2, 4],
        [3, 0, 9],
      ]),
    ).toEqual([3, 2]);
    expect(
      solved([
        [1, 2, 3],
        [2, 4, 6],
      ]),
    ).toBeNull();
  });
});

describe('the half-panel proof', () => {
  it('counts what is there before and after, within the doubt that it states', () => {
    let inside = 0;
    const rounds = runs(12, 5);
    for (let i = 0; i < rounds; i++) {
      const [before, after] = [
        { arcs: 4 * i, streaks: i % 4 },
        { arcs: 6 + i, streaks: i % 3 },
      ];
      const answer = proof(
        { ...before, lineSeed: i + 1, panelSeed: i + 1 },
        { ...after, lineSeed: i + 50, panelSeed: i + 1, seen: moved(i) },
      );
      if (answer.kind !== 'counted') throw new Error(answer.fault);
      if (Math.abs(all(answer.before) - before.arcs - before.streaks) <= answer.doubt) inside++;
      if (Math.abs(all(answer.after) - after.arcs - after.streaks) <= answer.doubt) inside++;
    }
    expect(inside).toBeGreaterThanOrEqual(0.8 * 2 * rounds);
  });

  it('finds about none on a panel without, and more where there are more', () => {
    const answer = proof({ arcs: 0, streaks: 0 }, { arcs: 40, streaks: 0, seen: moved(2) });
    if (answer.kind !== 'counted') throw new Error(answer.fault);
    expect(all(answer.before)).toBeLessThanOrEqual(2);
    expect(all(answer.after)).toBeGreaterThan(30);
    expect(answer.after.arcs).toBeGreaterThan(answer.after.streaks);
  });

  it('refuses two panels, and pictures without a lamp', () => {
    expect(proof({ panelSeed: 1, lineSeed: 1 }, { panelSeed: 2, lineSeed: 30 })).toEqual({
      kind: 'refused',
      fault: 'not-the-same',
    });
    const dark = renderProof(plainProof);
    const dim = { ...dark, rgba: dark.rgba.map((byte, i) => (i % 4 === 3 ? 255 : byte * 0.6)) };
    expect(finish(halfPanelProof({ before: dim, after: dim }))).toEqual({ kind: 'refused', fault: 'no-lamp' });
  });
});
