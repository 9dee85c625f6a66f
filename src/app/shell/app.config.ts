import { type ApplicationConfig, ErrorHandler, provideBrowserGlobalErrorListeners } from '@angular/core';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore } from '@ngrx/store';
import { ConfirmationService, MessageService } from 'primeng/api';
import { providePrimeNG } from 'primeng/config';
import { tabs } from '@esmero/kept';
import type { Store } from '@esmero/store';
import { workerPlanner } from '@esmero/worker';
import * as deskEffects from '../state/desk.effects';
import { deskFeature } from '../state/desk';
import { planFeature } from '../state/plan';
import { PLANNING, STORE, TABS } from '../state/ports';
import * as settingsEffects from '../state/settings.effects';
import { rescuedIds } from '../state/rescue';
import { seeded } from '../state/seeded';
import { settingsFeature } from '../state/settings';
import { collectionFeature } from '../state/collection';
import { MissingPartHandler } from '../state/notices';
import {
  fillLog,
  loadCollection,
  moveJob,
  reloadAfterWrite,
  rescueAll,
  sendUnsent,
  tellAfterWrite,
  writeEntry,
  writeChanges,
} from '../state/collection.effects';
import { esmeroPreset } from '../theme/preset';
import { routes } from './routes';

/** The store is fetched beside the part of the first page, which needs it no sooner. */
async function opened(): Promise<Store> {
  const { openStore } = await import('@esmero/store');
  const store = await openStore().then(seeded);
  return rescuedIds().length > 0 ? (await import('../state/rescue-taken-up')).takenUp(store) : store;
}

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideRouter(routes, withComponentInputBinding()),
    providePrimeNG({
      // Icons are letters of a font: nobody is to read them out.
      pt: { button: { icon: { 'aria-hidden': 'true' } } },
      theme: { preset: esmeroPreset, options: { darkModeSelector: '.dark' } },
    }),
    provideStore(),
    provideState(deskFeature),
    provideState(planFeature),
    provideState(collectionFeature),
    provideState(settingsFeature),
    provideEffects(
      deskEffects,
      {
        fillLog,
        loadCollection,
        moveJob,
        reloadAfterWrite,
        rescueAll,
        sendUnsent,
        tellAfterWrite,
        writeEntry,
        writeChanges,
      },
      settingsEffects,
    ),
    { provide: STORE, useFactory: opened },
    { provide: TABS, useFactory: tabs },
    { provide: PLANNING, useFactory: workerPlanner },
    MessageService,
    ConfirmationService,
    { provide: ErrorHandler, useClass: MissingPartHandler },
  ],
};
