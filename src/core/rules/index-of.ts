import type { Assumptions } from '../assumptions';
import type { Contact, Flush, SoilKind } from '../model';
import { gPerM2, um } from '../units';
import { commonTouching, contactRules } from './contacts';
import { flushRules } from './flushes';
import { marringIndex } from './marring';

/** One deposit under one treatment, apart from any car. */
export interface IndexQuestion {
  readonly kind: SoilKind;
  /** Before any flush. */
  readonly loadGm2: number;
  readonly treatment: Contact;
  readonly flush: Flush;
  readonly filmUm: number;
  readonly dwellS: number;
  readonly sideLoading: number;
  readonly sensitivity: number;
}

/** The index with the factors that it was made of. */
export interface IndexAnswer {
  readonly index: number;
  readonly loadAfterFlushGm2: number;
  readonly hardShare: number;
  readonly grainUm: number;
  readonly lubrication: number;
  readonly encapsulation: number;
  readonly pressure: number;
  readonly exposure: number;
}

/** Answers what the marring index of one deposit would be: for tables, and to question the model. */
export function indexOf(q: IndexQuestion, a: Assumptions): IndexAnswer {
  const loadGm2 = q.loadGm2 * (1 - flushRules[q.flush].most(q.kind, a));
  const rule = contactRules[q.treatment];
  const kappa = rule.encapsulation(q.dwellS, a);
  const { pressure } = rule.contact({ ...commonTouching, loadGm2 }, a);
  const { index, terms } = marringIndex(
    {
      loads: [{ kind: q.kind, loadGm2: gPerM2(loadGm2) }],
      film: um(q.filmUm),
      encapsulation: kappa,
      pressure,
      sideLoading: q.sideLoading,
      sensitivity: q.sensitivity,
    },
    a,
  );
  const { hardShare, grainUm, lubrication, exposure } = terms[0]!;
  return {
    index,
    loadAfterFlushGm2: loadGm2,
    hardShare,
    grainUm,
    lubrication,
    encapsulation: kappa,
    pressure,
    exposure,
  };
}
