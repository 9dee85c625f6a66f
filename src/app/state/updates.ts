import {
  APP_INITIALIZER,
  type EnvironmentInjector,
  createEnvironmentInjector,
  runInInjectionContext,
} from '@angular/core';
import { SwUpdate, provideServiceWorker } from '@angular/service-worker';

/**
 * Has all of the application kept for where there is no network, and hears of a newer one. Fetched by a page that
 * stands already, so what Angular would do while it starts is done here.
 */
export function keptForOffline(parent: EnvironmentInjector): SwUpdate {
  const own = createEnvironmentInjector(
    [provideServiceWorker('ngsw-worker.js', { registrationStrategy: 'registerWhenStable:5000' })],
    parent,
  );
  for (const start of own.get(APP_INITIALIZER)) runInInjectionContext(own, start);
  return own.get(SwUpdate);
}
