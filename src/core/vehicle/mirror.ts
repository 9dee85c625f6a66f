import type { ZoneId } from '../model';

/** The zone opposite on the other flank; a centre zone is its own mirror. */
export const mirrored = (id: ZoneId): ZoneId =>
  (id.startsWith('left-') ? id.replace('left-', 'right-') : id.replace('right-', 'left-')) as ZoneId;
