import { describe, expect, it } from 'vitest';
import { type Job, type PartOfZone, type PassChange, type ZoneId } from '../model';
import { type Plan, planJob } from '../planning';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { celsius } from '../units';

const planned = (job: Job, passes: readonly PassChange[], choices: Partial<Job['choices']> = {}): Plan =>
  planJob({ ...job, choices: { ...job.choices, ...choices, passes } });
const filmed = (passes: readonly PassChange[] = []): Plan =>
  planned(sampleJob({ soil: soilAll('road-film', 1) }), passes);
/** A dusty car in warm wind, with little of the window used. */
const drying = (passes: readonly PassChange[] = []): Plan =>
  planned(
    sampleJob({ soil: soilAll('dust', 1), site: { ...sampleSite, airC: celsius(30), humidity: 0.4, windMs: 1 } }),
    passes,
    { assumptions: { windowShare: 0.4 } },
  );
const wiped = ({ timeline }: Plan) => timeline.passes.filter(({ act }) => act === 'wipe');
const inPass = (plan: Plan, zone: ZoneId) =>
  wiped(plan).find(({ parts }) => parts.some(({ zoneId }) => zoneId === zone))!;
const part = (plan: Plan, zone: ZoneId): PartOfZone => {
  const { section, of } = inPass(plan, zone).parts.find(({ zoneId }) => zoneId === zone)!;
  return { zone, section, of };
};
const all = (plan: Plan) =>
  wiped(plan)
    .flatMap(({ parts }) => parts.map(({ zoneId, section }) => `${zoneId}/${section}`))
    .sort();
const names = (plan: Plan) =>
  wiped(plan).map(({ parts }) => parts.map(({ zoneId, section }) => `${zoneId}/${section}`).join('+'));

describe('passes by hand', () => {
  const plan = filmed();
  const many = wiped(plan).find(({ parts }) => parts.length > 1)!;
  const second = many.parts[1]!;
  const splitAt: PartOfZone = { zone: second.zoneId, section: second.section, of: second.of };

  it('are split where somebody says, and nothing is lost', () => {
    const split = filmed([{ kind: 'split', part: splitAt }]);
    expect(wiped(split).length).toBe(wiped(plan).length + 1);
    expect(all(split)).toEqual(all(plan));
    expect(inPass(split, second.zoneId).parts[0]).toMatchObject({ zoneId: second.zoneId });
    expect(split.timeline.refused).toEqual([]);
  });

  it('are joined again to what they were', () => {
    const before = many.parts[0]!;
    const back = filmed([
      { kind: 'split', part: splitAt },
      { kind: 'join', part: splitAt, with: { zone: before.zoneId, section: before.section, of: before.of } },
    ]);
    expect(names(back)).toEqual(names(plan));
    expect(back.timeline.elapsedS).toBeCloseTo(plan.timeline.elapsedS, 6);
  });

  it('are moved before another one of about the same dirt, and the towels follow', () => {
    const rows = wiped(plan);
    const [first, then] = [rows[1]!, rows[2]!];
    const at = ({ parts: [one] }: typeof first): PartOfZone => ({
      zone: one!.zoneId,
      section: one!.section,
      of: one!.of,
    });
    const moved = filmed([{ kind: 'move', part: at(then), before: at(first) }]);
    expect(names(moved).slice(1, 3)).toEqual([names(plan)[2], names(plan)[1]]);
    expect(all(moved)).toEqual(all(plan));
    for (const towel of moved.towels)
      for (const { entries } of towel.sides) expect(new Set(entries.map(({ pass }) => pass)).size).toBeGreaterThan(0);
  });

  it('are not joined across the car, and wheels are not moved before the roof: the plan says why', () => {
    const across: PassChange = {
      kind: 'join',
      part: part(plan, 'left-front-door-upper'),
      with: part(plan, 'right-front-door-upper'),
    };
    const wheels: PassChange = { kind: 'move', part: part(plan, 'left-front-wheel'), before: part(plan, 'roof') };
    const gone: PassChange = { kind: 'split', part: { zone: 'roof', section: 9, of: 9 } };
    const refused = filmed([across, wheels, gone]);
    expect(refused.timeline.refused.map(({ why }) => why)).toEqual(['place', 'class', 'gone']);
    expect(names(refused)).toEqual(names(plan));
  });

  it('are not joined where they would dry before they are done', () => {
    const before = drying();
    const sides = wiped(before).filter(({ place, lap }) => place === 'left' && lap === 'uppers');
    const joins = sides.slice(1).map(({ parts: [one] }, i): PassChange => {
      const [other] = sides[i]!.parts;
      return {
        kind: 'join',
        part: { zone: one!.zoneId, section: one!.section, of: one!.of },
        with: { zone: other!.zoneId, section: other!.section, of: other!.of },
      };
    });
    const after = drying(joins);
    expect(after.timeline.late).toEqual([]);
    expect(new Set(after.timeline.refused.map(({ why }) => why))).toEqual(new Set(['window']));
  });
});
