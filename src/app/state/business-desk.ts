import { Injectable, computed, inject } from '@angular/core';
import { usualBusiness } from '@esmero/core';
import type { Business } from '@esmero/model';
import { defaultCurrency, toMinor } from '@esmero/units';
import { Entries } from './entries';

/** Who sends the papers, and what a visit is priced by. */
@Injectable({ providedIn: 'root' })
export class BusinessDesk {
  private readonly entries = inject(Entries);
  private readonly kept = computed(() => this.entries.items('business')[0] ?? null);

  /** Until somebody has set it up, our own guesses. */
  readonly isSet = computed(() => this.kept() !== null);
  readonly business = computed(
    (): Business => this.kept() ?? usualBusiness(defaultCurrency, (amount) => toMinor(amount, defaultCurrency)),
  );

  put(business: Business): void {
    this.entries.put('business', business);
  }
}
