import { describe, expect, it } from 'vitest';
import { type Package, noCare, usualScope } from '../model';
import { minorUnits } from '../units';
import { sampleJob } from '../testing/sample';
import { sellAs, toggleScope } from './scope';

const shine: Package = {
  id: 'p',
  name: 'Show-floor touch-up',
  scope: ['glass', 'body'],
  care: noCare,
  priceMinor: minorUnits(4500),
};

describe('the scope of a job', () => {
  it('is taken from what is sold, with its name and price, in the order of the car', () => {
    const job = sellAs(sampleJob(), shine);
    expect(job.scope).toEqual(['body', 'glass']);
    expect(job.soldAs).toEqual({ id: 'p', name: 'Show-floor touch-up', priceMinor: 4500 });
  });

  it('loses that name when a part comes or goes, and never its last part', () => {
    const job = toggleScope(sellAs(sampleJob(), shine), 'wheels');
    expect(job).toMatchObject({ scope: ['body', 'glass', 'wheels'], soldAs: null });
    const last = usualScope.slice(1).reduce(toggleScope, sampleJob());
    expect(last.scope).toEqual(['body']);
    expect(toggleScope(last, 'body')).toBe(last);
  });
});
