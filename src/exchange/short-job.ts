import { defaultDimensions, zonesIn } from '@esmero/core';
import {
  type Choices,
  type Job,
  type Site,
  type SoilMap,
  type Vehicle,
  type Zone,
  type ZoneId,
  cleanlinessOf,
} from '@esmero/model';
import { metres } from '@esmero/units';
import {
  ShortJobDocument,
  type ShortVehicleDocument,
  type SoilGroup,
  soilLine,
  soilWords,
} from './documents/short-job';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Read } from './fault';
import { faultsIn } from './validate';

export const shortJobFormat: Format = {
  name: 'esmero-short-job',
  version: 1,
  most: 100_000,
  key: 'job',
  migrations: [],
};

/** What a short job is filled up from: a job with all that is in the van, and places by name. */
export interface JobTemplate {
  readonly job: Job;
  readonly sites: Readonly<Record<string, Site>>;
}

/** A short job filled up, and what was assumed for it, as names of what came from where. */
export interface FilledUp {
  readonly job: Job;
  readonly assumed: readonly Assumed[];
}

export type Assumed =
  | { readonly code: 'template'; readonly name: string }
  | { readonly code: 'site'; readonly name: string }
  | { readonly code: 'size'; readonly body: Vehicle['body'] }
  | { readonly code: 'finish'; readonly finish: Vehicle['finish'] }
  | { readonly code: 'colour'; readonly colour: Vehicle['colour'] }
  /** Parts that no line speaks of. */
  | { readonly code: 'clean'; readonly zones: number };

const isIn: Readonly<Record<SoilGroup, (zone: Zone) => boolean>> = {
  all: () => true,
  glass: ({ surface }) => surface === 'glass',
  top: ({ view, surface }) => view === 'top' && surface !== 'glass',
  uppers: ({ cleanliness, surface }) => cleanliness <= cleanlinessOf.uppers && surface !== 'glass',
  ends: ({ view }) => view === 'front' || view === 'rear',
  lowers: ({ cleanliness }) => cleanliness === cleanlinessOf.lowers,
  shuts: ({ cleanliness }) => cleanliness === cleanlinessOf.shuts,
  wheels: ({ cleanliness }) => cleanliness >= cleanlinessOf.faces,
};

/** Later lines go before earlier ones. */
function soilOf(lines: readonly string[], zones: readonly Zone[]): SoilMap {
  const soil: Partial<Record<ZoneId, SoilMap[ZoneId]>> = {};
  for (const line of lines) {
    const { group, word, level } = soilLine(line)!;
    for (const zone of zones)
      if (isIn[group](zone))
        soil[zone.id] = { deposits: level > 0 ? [{ kind: soilWords[word], level: level as 1 }] : [], spots: {} };
  }
  return soil as SoilMap;
}

function vehicleOf({
  body,
  lengthM,
  widthM,
  heightM,
  finish = 'clear-coat',
  colour = 'mid',
}: ShortVehicleDocument): Vehicle {
  const usual = defaultDimensions(body as Vehicle['body']);
  const length = lengthM ?? usual.lengthM;
  return {
    id: 'short',
    name: `${colour} ${body}`,
    body: body as Vehicle['body'],
    // What is not said keeps its share of the length.
    dimensions: {
      ...usual,
      lengthM: metres(length),
      wheelbaseM: metres((usual.wheelbaseM * length) / usual.lengthM),
      widthM: metres(widthM ?? usual.widthM),
      heightM: metres(heightM ?? usual.heightM),
    },
    finish: finish as Vehicle['finish'],
    colour: colour as Vehicle['colour'],
    cladding: false,
    protection: [],
  };
}

const choicesOf = ({ method, approach, bucket }: ShortJobDocument, choices: Choices): Choices => ({
  ...choices,
  ...(method ? { method: method as Choices['method'] } : {}),
  ...(approach ? { approach: approach as Choices['approach'] } : {}),
  ...(bucket ? { bucket: bucket as Choices['bucket'] } : {}),
});

const oneOf = (path: string, values: readonly string[], found: string): Read<never> => ({
  ok: false,
  why: { code: 'faults', faults: [{ path, expected: { code: 'one-of', values }, found }] },
});

/**
 * Reads a job in a few words, and fills the rest from a named template. Never throws.
 * @param templates by name; the first one is taken where none is named
 */
export function readShortJob(text: string, templates: Readonly<Record<string, JobTemplate>>): Read<FilledUp> {
  const opened = openEnvelope(text, shortJobFormat);
  if (!opened.ok) return opened;
  const faults = faultsIn(ShortJobDocument, opened.value.content, 'job');
  if (faults.length > 0) return { ok: false, why: { code: 'faults', faults } };
  const short = opened.value.content as ShortJobDocument;
  const name = short.template ?? Object.keys(templates)[0]!;
  const template = templates[name];
  if (!template) return oneOf('job.template', Object.keys(templates), name);
  const place = short.site ?? Object.keys(template.sites)[0]!;
  const site = template.sites[place];
  if (!site) return oneOf('job.site', Object.keys(template.sites), place);
  const vehicle = vehicleOf(short.vehicle);
  const scope = (short.scope ?? template.job.scope) as Job['scope'];
  const zones = zonesIn({ vehicle, scope });
  const soil = soilOf(short.soil, zones);
  const silent = zones.filter(({ id }) => !soil[id]).length;
  const assumed: readonly Assumed[] = [
    { code: 'template', name },
    ...(short.site ? [] : [{ code: 'site', name: place } as const]),
    ...(short.vehicle.lengthM ? [] : [{ code: 'size', body: vehicle.body } as const]),
    ...(short.vehicle.finish ? [] : [{ code: 'finish', finish: vehicle.finish } as const]),
    ...(short.vehicle.colour ? [] : [{ code: 'colour', colour: vehicle.colour } as const]),
    ...(silent > 0 ? [{ code: 'clean', zones: silent } as const] : []),
  ];
  const clean = Object.fromEntries(
    zones.filter(({ id }) => !soil[id]).map(({ id }) => [id, { deposits: [], spots: {} }]),
  );
  const job: Job = {
    ...template.job,
    id: 'short',
    name: vehicle.name,
    client: '',
    note: '',
    vehicle,
    scope,
    ...(short.scope ? { soldAs: null } : {}),
    ...(short.care ? { care: short.care as Job['care'], soldAs: null } : {}),
    ...(short.around ? { around: short.around as Job['around'] } : {}),
    site: { ...site, workers: (short.people ?? site.workers) as Site['workers'] },
    soil: { ...clean, ...soil } as SoilMap,
    since: [],
    marks: [],
    pictures: [],
    proofs: [],
    choices: choicesOf(short, template.job.choices),
  };
  return { ok: true, value: { job, assumed } };
}

/** A short job to start from, as it is written by hand. */
export const exampleShortJob = (template: string, site: string): string =>
  writeEnvelope(shortJobFormat, {
    template,
    vehicle: { body: 'estate', lengthM: 4.7, finish: 'clear-coat', colour: 'dark' },
    site,
    soil: ['all: dust 1', 'uppers: film 2', 'lowers: film 3', 'wheels: brake dust 2'],
    approach: 'balanced',
  });
