import type { TreatmentId } from '../model';
import type { Lap } from '../passes';
import type { Plan } from '../planning';
import { type HandMove, handMovesIn } from './hand-moves';
import type { PassAct, PassPart, PlannedPass, Step, StepKind } from '../schedule';

/** One line of the work order: a pass, or something done for the whole job. */
export interface RunRow {
  /** Number of the pass; null for set-up and packing. */
  readonly number: number | null;
  readonly act: PassAct | null;
  readonly lap: Lap | null;
  readonly place: PlannedPass['place'];
  /** Empty for set-up and packing. */
  readonly parts: readonly PassPart[];
  /** Of its zones, each once. */
  readonly treatments: readonly TreatmentId[];
  readonly worker: number;
  readonly startS: number;
  /** When the wipe begins; what is wetted dwells until then. The start for everything else. */
  readonly wipeS: number;
  readonly endS: number;
  /** Seconds of each kind of step in this row. */
  readonly seconds: Readonly<Partial<Record<StepKind, number>>>;
  /** Without what is waited, s. */
  readonly handS: number;
  readonly kit: Step['kit'];
  /** Towels that are in a hand in it. */
  readonly towels: readonly HandMove[];
}

const secondsBy = (steps: readonly Step[]): RunRow['seconds'] => {
  const seconds: Partial<Record<StepKind, number>> = {};
  for (const { kind, startS, endS } of steps) seconds[kind] = (seconds[kind] ?? 0) + endS - startS;
  return seconds;
};

/** Steps of each pass together; set-up and packing each on its own. */
function groups(steps: readonly Step[]): readonly (readonly Step[])[] {
  const rows = new Map<string, Step[]>();
  steps.forEach((step, i) => {
    const key = step.pass === null ? `job/${i}` : `pass/${step.pass}`;
    const row = rows.get(key);
    if (row) row.push(step);
    else rows.set(key, [step]);
  });
  return [...rows.values()];
}

/** When the hands are first on the panel: what is wetted waits for its turn. */
const beginsAt = (steps: readonly Step[]): number =>
  steps.find(({ kind }) => kind === 'wipe' || kind === 'dry')?.startS ?? steps[0]!.startS;

function rowOf(steps: readonly Step[], pass: PlannedPass | undefined, plan: Plan): RunRow {
  const [first] = steps as readonly [Step, ...Step[]];
  const zones = new Set(pass?.parts.map(({ zoneId }) => zoneId));
  const isWiped = pass?.act === 'wipe';
  return {
    number: first.pass,
    act: pass?.act ?? null,
    lap: pass?.lap ?? null,
    place: pass?.place ?? null,
    parts: pass?.parts ?? [],
    treatments: isWiped
      ? [...new Set(plan.zones.filter(({ zone }) => zones.has(zone.id)).map(({ treatment }) => treatment))]
      : [],
    worker: first.worker,
    startS: Math.min(...steps.map(({ startS }) => startS)),
    wipeS: beginsAt(steps),
    endS: Math.max(...steps.map(({ endS }) => endS)),
    seconds: secondsBy(steps),
    handS: steps.reduce((sum, { kind, startS, endS }) => sum + (kind === 'wait' ? 0 : endS - startS), 0),
    kit: first.kit,
    towels: first.pass === null ? [] : handMovesIn(plan, first.pass),
  };
}

/** The run as a list to work down: set-up, then pass by pass in the order in which hands come to them, and packing. */
export function runRows(plan: Plan): readonly RunRow[] {
  const passes = new Map(plan.timeline.passes.map((pass) => [pass.number, pass]));
  return groups(plan.timeline.steps)
    .map((steps) => rowOf(steps, passes.get(steps[0]!.pass ?? 0), plan))
    .sort((p, q) => p.wipeS - q.wipeS || p.worker - q.worker);
}
