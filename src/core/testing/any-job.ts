import fc from 'fast-check';
import { type Choices, type Job, type Site, type SoilKind, type SoilLevel, bodies, soilKinds } from '../model';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from './sample';

type AnyOf<T> = { readonly [K in keyof T]?: fc.Arbitrary<T[K]> };

/** Cars of any body with one soil all over, for one or two people; sites and choices vary as asked. */
export const anyJobWith = ({
  site = {},
  choices = {},
  towels,
}: {
  readonly site?: AnyOf<Site>;
  readonly choices?: AnyOf<Choices>;
  readonly towels?: number;
} = {}): fc.Arbitrary<Job> =>
  fc
    .record({
      body: fc.constantFrom(...bodies),
      kind: fc.constantFrom<SoilKind>(...soilKinds),
      level: fc.constantFrom<SoilLevel>(0, 1, 2, 3),
      workers: fc.constantFrom<1 | 2>(1, 2),
      site: fc.record(site as { [K in keyof Site]: fc.Arbitrary<Site[K]> }),
      choices: fc.record(choices as { [K in keyof Choices]: fc.Arbitrary<Choices[K]> }),
    })
    .map(({ body, kind, level, workers, ...any }) => {
      const [job, here] = [sampleJob(), { ...sampleSite, workers }];
      return {
        ...job,
        vehicle: sampleVehicle(body),
        soil: soilAll(kind, level),
        towels: towels === undefined ? job.towels : job.towels.map((batch) => ({ ...batch, clean: towels })),
        site: { ...here, ...any.site },
        choices: { ...job.choices, ...any.choices },
      };
    });
