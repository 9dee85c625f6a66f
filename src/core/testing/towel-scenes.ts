import { randomLcg, randomNormal } from 'd3-random';
import { defaultAssumptions } from '../assumptions';
import { type TowelScene, plainScene, wipedKinds } from '../eye';
import { gaugeOf, isWiped } from '../eye/soil-optics';

/** A scene out of the life of a detailer: any kind, load, light, cloth and camera; the patch is smaller where there is more on it. */
export function anyScene(seed: number, width = 480): TowelScene {
  const random = randomLcg(((seed + 1) * 0.7548776662) % 1);
  const normal = randomNormal.source(random)(0, 1);
  for (let i = 0; i < 5; i++) random();
  const between = (low: number, high: number): number => low + (high - low) * random();
  const kind = wipedKinds[Math.floor(random() * wipedKinds.length)]!;
  const loadGm2 = Math.exp(between(Math.log(0.25), Math.log(12)));
  const warmth = between(-0.28, 0.28);
  const level = between(0.25, 0.64);
  const ground = between(0.03, 0.25);
  return {
    ...plainScene,
    width,
    height: 0.75 * width,
    kind,
    loadGm2,
    patchM2: loadGm2 > 4 ? 0.01 : loadGm2 > 1.2 ? 0.0225 : 0.04,
    sideM2: between(0.03, 0.05),
    gaugeFactor: Math.exp(Math.log(defaultAssumptions.wipeScatter) * normal()),
    tinge: [Math.exp(0.04 * normal()), 1, Math.exp(0.04 * normal())],
    white: [level * (1 + warmth), level, level * (1 - warmth)],
    slope: [between(-0.18, 0.18), between(-0.18, 0.18)],
    ground: [ground * between(0.8, 1.2), ground, ground * between(0.8, 1.2)],
    weave: between(0.006, 0.025),
    noise: between(0.003, 0.015),
    blur: (between(0.4, 1.2) * width) / 480,
    turnDeg: between(-40, 40),
    share: between(0.52, 0.66),
    mark: between(0.45, 0.7),
    seed: seed + 1,
  };
}

/** The deepest shade at which a mark still tells something, and the least patch that anybody wipes. */
const READABLE = 0.09;
const LEAST_PATCH_M2 = 0.003;

/** The same with a smaller patch where its mark would be black: what somebody does who was told so. */
export function readable(scene: TowelScene): TowelScene {
  const { kind, loadGm2, patchM2, sideM2, mark, gaugeFactor, optics } = scene;
  const onMark = (loadGm2 * patchM2 * defaultAssumptions.wipePickUp) / sideM2 / (0.43 * mark * mark);
  const left = optics(onMark / ((isWiped(kind) ? gaugeOf(kind, defaultAssumptions) : Infinity) * gaugeFactor));
  return left > READABLE || patchM2 < LEAST_PATCH_M2 ? scene : readable({ ...scene, patchM2: patchM2 / 1.5 });
}

/** What spoils a picture, and how; each returns a scene that must be refused. */
export const spoilt = {
  blurred: (scene, by) => ({
    ...scene,
    blur: 0.05 * scene.share * Math.min(scene.width, scene.height) * (1 + by) * 0.6,
  }),
  'too-bright': (scene, by) => ({ ...scene, white: [1.25 + by, 1.2 + by, 1.15 + by] }),
  'too-dark': (scene, by) => ({ ...scene, white: [0.05 - 0.03 * by, 0.045 - 0.03 * by, 0.04 - 0.03 * by] }),
  shadow: (scene, by) => ({ ...scene, shadow: { from: 0.42 + 0.2 * by, lets: 0.35 + 0.35 * by } }),
  coloured: (scene, by) => {
    const depth = 0.25 + 0.5 * by;
    const dyes = [
      [1.6, 0.8, 0.3],
      [0.3, 1.7, 0.8],
      [1.5, 0.3, 1],
      [0.8, 1.4, 0.4],
    ] as const;
    const [r, g, b] = dyes[scene.seed % dyes.length]!;
    return { ...scene, dye: [r * depth, g * depth, b * depth] };
  },
  'no-clean-rim': (scene, by) => ({ ...scene, loadGm2: 2 + 4 * by, patchM2: 0.04, mark: 1.1 + 0.15 * by }),
  'pale-ground': (scene, by) => ({ ...scene, ground: [0.65 + 0.2 * by, 0.65 + 0.2 * by, 0.62 + 0.2 * by] }),
  'cut-off': (scene, by) => ({ ...scene, share: 1.05 + 0.2 * by, turnDeg: 0 }),
  coarse: (scene, by) => ({
    ...scene,
    kind: by < 0.5 ? 'grit' : 'mud',
    loadGm2: 8 + 20 * by,
    patchM2: 0.04,
    tinge: [1, 1, 1],
  }),
} as const satisfies Record<string, (scene: TowelScene, by: number) => TowelScene>;
export type Spoilt = keyof typeof spoilt;
