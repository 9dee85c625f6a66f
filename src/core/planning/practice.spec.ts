import { describe, expect, it } from 'vitest';
import { type Job, type SoilKind, type SoilLevel, type SoilMap, type TowelRole, type ZoneId } from '../model';
import { sampleGear, sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { celsius, metres } from '../units';
import { zonesOf } from '../vehicle';
import type { Plan } from './plan';
import { planJob } from './plan-job';
import { zoneTreatments } from './zone-options';

/** Cases that practice agrees on; the figures are practice’s. */
const garage: Job['site'] = {
  ...sampleSite,
  runoff: 'forbidden',
  indoors: true,
  airC: celsius(20),
  liquidC: celsius(20),
  waterL: 20,
  minutes: 120,
};
const plenty = sampleJob().towels.map((batch) => ({ ...batch, clean: 60 }));
const large = plenty.map((batch) =>
  batch.role === 'wash' ? { ...batch, widthM: metres(0.45), heightM: metres(0.45) } : batch,
);
const choices = sampleJob().choices;
const at = (site: Partial<Job['site']>, rest: Partial<Job> = {}): Job =>
  sampleJob({ towels: plenty, ...rest, site: { ...garage, ...site } });

const deposit = (kind: SoilKind, level: SoilLevel) => ({ deposits: [{ kind, level }], spots: {} });
/** Soil by where a zone is on the car. */
const soilBy = (
  vehicle: Job['vehicle'],
  of: (zone: {
    readonly id: ZoneId;
    readonly cleanliness: number;
    readonly view: string;
  }) => readonly [SoilKind, SoilLevel],
): SoilMap => Object.fromEntries(zonesOf(vehicle).map((zone) => [zone.id, deposit(...of(zone))]));

const opened = ({ towels }: Plan, ...roles: readonly TowelRole[]): number =>
  towels.filter(({ role }) => roles.includes(role)).length;
const minutesOf = ({ timeline }: Plan, ...kinds: readonly string[]): number =>
  timeline.steps
    .filter(({ kind }) => kinds.includes(kind))
    .reduce((sum, { startS, endS }) => sum + (endS - startS) / 60, 0);

/** Changes of side within a lap, nose and tail aside. */
function changesOfSide({ timeline }: Plan): readonly number[] {
  const counts = new Map<string, number>();
  for (const worker of [0, 1]) {
    const own = timeline.passes.filter(
      (pass) => pass.worker === worker && pass.act === 'wipe' && (pass.place === 'left' || pass.place === 'right'),
    );
    own.forEach((pass, i) => {
      const before = own[i - 1];
      const changed = before && before.lap === pass.lap && before.place !== pass.place;
      counts.set(`${worker}/${pass.lap}`, (counts.get(`${worker}/${pass.lap}`) ?? 0) + Number(changed ?? false));
    });
  }
  return [...counts.values()];
}

describe('practice agrees', () => {
  it('a dusty sedan in a garage: waterless, five to thirteen minutes of body work, at most four paint towels', () => {
    const plan = planJob(at({}, { soil: soilAll('dust', 1) }));
    expect(plan.method).toBe('waterless');
    expect(minutesOf(plan, 'spray', 'wipe', 'finish')).toBeGreaterThan(5);
    const body = new Set(plan.zones.filter(({ option }) => option?.ofBody).map(({ zone }) => zone.id));
    const bodyMin = plan.timeline.steps
      .filter(({ kind, zoneId }) => zoneId && body.has(zoneId) && ['spray', 'wipe', 'finish'].includes(kind))
      .reduce((sum, { startS, endS }) => sum + (endS - startS) / 60, 0);
    expect(bodyMin).toBeGreaterThanOrEqual(5);
    expect(bodyMin).toBeLessThanOrEqual(13);
    expect(opened(plan, 'wash', 'finish', 'drying')).toBeLessThanOrEqual(4);
    for (const changes of changesOfSide(plan)) expect(changes).toBeLessThanOrEqual(1);
  });

  it('an estate with a light film in a garage, waterless asked for: three to six paint towels, a work towel, fifteen to thirty minutes', () => {
    const plan = planJob(
      at(
        {},
        {
          vehicle: sampleVehicle('estate'),
          soil: soilAll('road-film', 2),
          choices: { ...choices, method: 'waterless' },
        },
      ),
    );
    expect(plan.method).toBe('waterless');
    expect(opened(plan, 'wash', 'finish')).toBeGreaterThanOrEqual(3);
    expect(opened(plan, 'wash', 'finish')).toBeLessThanOrEqual(6);
    expect(opened(plan, 'wheels')).toBeGreaterThanOrEqual(1);
    expect(plan.totals.minutes.value).toBeGreaterThanOrEqual(15);
    expect(plan.totals.minutes.value).toBeLessThanOrEqual(30);
  });

  it('a mid-size SUV with a light film and one clean bucket: six to eight towels of four sides, three or four where they are wetted again', () => {
    const suv = (soakedSides: 4 | 8): Plan =>
      planJob(
        at(
          {},
          {
            towels: large,
            vehicle: sampleVehicle('suv'),
            soil: soilAll('road-film', 2),
            choices: { ...choices, method: 'rinseless', bucket: 'many-towels', soakedSides },
          },
        ),
      );
    expect(opened(suv(4), 'wash')).toBeGreaterThanOrEqual(6);
    expect(opened(suv(4), 'wash')).toBeLessThanOrEqual(8);
    expect(opened(suv(8), 'wash')).toBeGreaterThanOrEqual(3);
    expect(opened(suv(8), 'wash')).toBeLessThanOrEqual(4);
  });

  it('a salted car in frost, two people, a heater, an eight-litre sprayer: a room-warm mist is slush, a hot pre-rinse does, with twelve to twenty towels and refills', () => {
    const vehicle = sampleVehicle();
    const frost = at(
      {
        indoors: false,
        runoff: 'allowed',
        airC: celsius(-5),
        humidity: 0.8,
        liquidC: celsius(20),
        workers: 2,
        waterL: 60,
        minutes: 180,
      },
      {
        vehicle,
        gear: [sampleGear('heater')],
        soil: soilBy(vehicle, ({ cleanliness, view }) => ['salt', cleanliness >= 2 ? 3 : view === 'top' ? 1 : 2]),
        choices: {
          ...choices,
          approach: 'permissive',
          dirtLimit: 'light-film',
          fixed: Object.fromEntries(
            zonesOf(vehicle)
              .filter(({ cleanliness }) => cleanliness <= 2)
              .map(({ id }) => [id, 'hot-pump/waterless' as const]),
          ),
        },
      },
    );
    expect(
      zoneTreatments(frost, 'bonnet')
        .find(({ treatment }) => treatment === 'none/waterless')!
        .gates.map(({ code }) => code),
    ).toContain('freezes');
    const plan = planJob(frost);
    expect(plan.method).toBe('hybrid');
    expect(plan.towels.length).toBeGreaterThanOrEqual(12);
    expect(plan.towels.length).toBeLessThanOrEqual(20);
    expect(minutesOf(plan, 'refill')).toBeGreaterThan(0);
  });

  it('dust above, grit in the lowest hand’s breadth and at the tail, washers in the van: rinsed low and at the tail only, and grit never touched dry', () => {
    const vehicle = sampleVehicle();
    const isLow = ({
      id,
      cleanliness,
      view,
    }: {
      readonly id: string;
      readonly cleanliness: number;
      readonly view: string;
    }): boolean => cleanliness === 2 || view === 'rear' || /sill/.test(id);
    for (const level of [2, 3] as const) {
      const plan = planJob(
        at(
          { indoors: false, runoff: 'allowed', tap: true, waterL: 100 },
          {
            vehicle,
            gear: [sampleGear('cordless-wand'), sampleGear('mains-wand')],
            soil: soilBy(vehicle, (zone) => (isLow(zone) ? ['grit', level] : ['dust', 1])),
          },
        ),
      );
      for (const { zone, option } of plan.zones) {
        if (!option?.ofBody) continue;
        const rinsed = option.rinseLM2 > 0;
        expect([zone.id, rinsed]).toEqual([zone.id, isLow(zone)]);
      }
    }
  });

  it('a small hatchback with fine fallout after sixty days: waterless for the permissive, not for those who touch only dust or a light film; brake dust never decides it', () => {
    const small = {
      ...sampleVehicle('hatchback'),
      dimensions: { ...sampleVehicle('hatchback').dimensions, lengthM: metres(3.7), widthM: metres(1.65) },
    };
    const method = (dirtLimit: Job['choices']['dirtLimit'], brake: SoilLevel): string =>
      planJob(
        at(
          { indoors: false, runoff: 'allowed' },
          {
            vehicle: small,
            soil: soilBy(small, ({ cleanliness }) => (cleanliness >= 4 ? ['brake-dust', brake] : ['fallout', 3])),
            choices: { ...choices, approach: 'permissive', dirtLimit },
          },
        ),
      ).method;
    for (const brake of [1, 4] as const) {
      expect(method('index', brake)).toBe('waterless');
      expect(method('only-dust', brake)).not.toBe('waterless');
      expect(method('light-film', brake)).not.toBe('waterless');
    }
  });

  it('a black car in the sun under a label’s limit is not refused: the hot panels are cooled, and the others are not', () => {
    const job = at(
      { indoors: false, runoff: 'allowed', airC: celsius(24), humidity: 0.5, windMs: 1, shade: false, sunWm2: 650 },
      { vehicle: { ...sampleVehicle(), colour: 'black' }, hour: 13, soil: soilAll('dust', 1) },
    );
    const plan = planJob(job);
    expect(plan.method).not.toBe('decline');
    expect(plan.zones.some(({ treatment }) => treatment.startsWith('mist/'))).toBe(true);
    expect(plan.zones.some(({ treatment }) => treatment.startsWith('none/'))).toBe(true);
  });

  it('a van whose roof is out of reach, no steps: everything else is planned, and the roof is said', () => {
    const plan = planJob(
      at(
        { indoors: false, runoff: 'allowed', steps: false },
        { vehicle: sampleVehicle('van'), soil: soilAll('dust', 1) },
      ),
    );
    expect(plan.method).not.toBe('decline');
    expect(plan.zones.filter(({ leftBecause }) => leftBecause).map(({ zone }) => zone.id)).toContain('roof');
    expect(plan.verdicts).toContainEqual(
      expect.objectContaining({ code: 'parts-left', gate: expect.objectContaining({ code: 'out-of-reach' }) }),
    );
  });
});
