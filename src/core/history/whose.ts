import type { JobBrief } from '../model';

/** Whose a job is: by the client that is kept, or only by a name. */
export type Whose = Pick<JobBrief, 'client' | 'clientId'>;

export const nobodys: Whose = { client: '', clientId: null };

/** Are two jobs, or a job and a client, of the same person? Where one of them has no client that is kept, the name decides. */
export const isSameClient = (p: Whose, q: Whose): boolean =>
  p.clientId !== null && q.clientId !== null ? p.clientId === q.clientId : p.client !== '' && p.client === q.client;
