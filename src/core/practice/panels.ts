import type { Assumptions } from '../assumptions';
import { type Colour, type SoilKind, type SoilLevel, type Try, colours } from '../model';
import { levelOfLoad, loadOfLevel } from '../soil';
import { type PanelScene, panelAngles, panelLights } from './panel-picture';

/** What is met on a car, kind by kind: from the first that can be seen to the dirtiest that is usual. */
const levelsOf: Readonly<Record<SoilKind, readonly SoilLevel[]>> = {
  dust: [1, 2, 3],
  'road-film': [2, 3, 4],
  pollen: [1, 2, 3],
  salt: [2, 3, 4],
  grit: [3, 4],
  mud: [3, 4, 5],
  fallout: [1, 2],
  'brake-dust': [2, 3],
};

export type PanelCard = `${SoilKind}/${SoilLevel}`;

export const panelCards: readonly PanelCard[] = (
  Object.entries(levelsOf) as [SoilKind, readonly SoilLevel[]][]
).flatMap(([kind, levels]) => levels.map((level): PanelCard => `${kind}/${level}`));

const apart = (card: PanelCard): readonly [SoilKind, SoilLevel] => {
  const [kind, level] = card.split('/');
  return [kind as SoilKind, Number(level) as SoilLevel];
};

/** Within its level a load may lie anywhere: half-way to the next, in ratio. */
function loadIn(level: SoilLevel, share: number, a: Assumptions): number {
  const own = Math.log(loadOfLevel(level, a));
  const [low, high] = [
    Math.log(loadOfLevel(Math.max(0, level - 1) as SoilLevel, a)),
    Math.log(loadOfLevel(Math.min(5, level + 1) as SoilLevel, a)),
  ];
  const reach = Math.min(own - low || Infinity, high - own || Infinity) * 0.4;
  return Math.exp(own + (2 * share - 1) * reach);
}

/** A panel to be judged: the card's soil under some light. */
export function panelOf(card: PanelCard, random: () => number, a: Assumptions): PanelScene {
  const [kind, level] = apart(card);
  const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  return {
    kind,
    loadGm2: loadIn(level, random(), a),
    colour: any(colours) satisfies Colour,
    light: any(panelLights),
    angle: any(panelAngles),
    width: 480,
    height: 320,
    seed: 1 + Math.floor(random() * 1e6),
  };
}

/** What was guessed, against what it is: truth and answer are loads, g/m². */
export function panelTry(
  card: PanelCard,
  scene: Pick<PanelScene, 'kind' | 'loadGm2'>,
  guess: { readonly kind: SoilKind; readonly level: SoilLevel },
  at: number,
  a: Assumptions,
): Try {
  const isRight = guess.level === levelOfLoad(scene.loadGm2, a) && guess.kind === scene.kind;
  return { card, truth: scene.loadGm2, answer: loadOfLevel(guess.level, a), isRight, at };
}
