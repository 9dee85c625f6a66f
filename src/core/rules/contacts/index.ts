import type { Contact } from '../../model';
import type { ContactRule } from './contact-rule';
import { foam } from './foam';
import { presoakRinseless } from './presoak-rinseless';
import { foamShampoo } from './foam-shampoo';
import { shampoo } from './shampoo';
import { rinseless } from './rinseless';
import { waterless } from './waterless';

export { commonTouching, lastLayer } from './contact-rule';
export type { ContactFamily, ContactRule, Contacted, PureMethod } from './contact-rule';

export const contactRules: Readonly<Record<Contact, ContactRule>> = {
  waterless,
  foam,
  rinseless,
  'presoak-rinseless': presoakRinseless,
  shampoo,
  'foam-shampoo': foamShampoo,
};
