import type { Job, Leg, Mark, Picture, Proof, Signature, ZoneId } from '../model';
import type { Celsius } from '../units';

/** Notes a panel that was read off with a thermometer; null forgets the reading. */
export function setReading(job: Job, id: ZoneId, panelC: Celsius | null): Job {
  const { [id]: _before, ...others } = job.readings;
  return { ...job, readings: panelC === null ? others : { ...others, [id]: panelC } };
}

/** Adds a mark that was there before, or replaces the one with its id. */
export const putMark = (job: Job, mark: Mark): Job => ({
  ...job,
  marks: job.marks.some(({ id }) => id === mark.id)
    ? job.marks.map((one) => (one.id === mark.id ? mark : one))
    : [...job.marks, mark],
});

export const dropMark = (job: Job, id: string): Job => ({ ...job, marks: job.marks.filter((mark) => mark.id !== id) });

export const addPicture = (job: Job, picture: Picture): Job => ({ ...job, pictures: [...job.pictures, picture] });

/** Takes a picture off, and what was proved by it. */
export const dropPicture = (job: Job, id: string): Job => ({
  ...job,
  pictures: job.pictures.filter((one) => one.id !== id),
  proofs: job.proofs.filter(({ before, after }) => before !== id && after !== id),
});

/** Keeps a half-panel proof with its two pictures, of which the job may have the first already. */
export const keepProof = (job: Job, proof: Proof, pictures: readonly [Picture, Picture]): Job => ({
  ...job,
  pictures: [...job.pictures.filter(({ id }) => pictures.every((one) => one.id !== id)), ...pictures],
  proofs: [...job.proofs, proof],
});

/** Signed for the condition of the car; null takes it back. */
export const sign = (job: Job, signed: Signature | null): Job => ({ ...job, signed });

/** Replaces one stretch of days since the last wash; null takes it out. */
export const setLeg = (job: Job, index: number, leg: Leg | null): Job => ({
  ...job,
  since:
    leg === null ? job.since.filter((_leg, i) => i !== index) : job.since.map((one, i) => (i === index ? leg : one)),
});

/** An ordinary week in town. */
const ordinary: Leg = { days: 7, surroundings: 'town', shelter: 'street', km: 100, road: 'dry' };

/** Another stretch of days, like the last one. */
export const addLeg = (job: Job): Job => ({ ...job, since: [...job.since, job.since.at(-1) ?? ordinary] });
