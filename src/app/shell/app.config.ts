import { type ApplicationConfig, ErrorHandler, isDevMode, provideBrowserGlobalErrorListeners } from '@angular/core';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore } from '@ngrx/store';
import { ConfirmationService, MessageService } from 'primeng/api';
import { providePrimeNG } from 'primeng/config';
import { openStore, tabs } from '@esmero/store';
import { workerPlanner } from '@esmero/worker';
import * as deskEffects from '../state/desk.effects';
import { deskFeature } from '../state/desk';
import { planFeature } from '../state/plan';
import { PLANNING, STORE, TABS } from '../state/ports';
import * as settingsEffects from '../state/settings.effects';
import { takenUp } from '../state/rescue';
import { seeded } from '../state/seeded';
import { settingsFeature } from '../state/settings';
import { shelfFeature } from '../state/shelf';
import { MissingPartHandler } from '../state/notices';
import { loadShelf, reloadAfterWrite, rescueAll, tellAfterWrite, writeEntry, writeShelf } from '../state/shelf.effects';
import { esmeroPreset } from '../theme/preset';
import { routes } from './routes';

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
    provideState(shelfFeature),
    provideState(settingsFeature),
    provideEffects(deskEffects, { loadShelf, reloadAfterWrite, rescueAll, tellAfterWrite, writeEntry, writeShelf }, settingsEffects),
    { provide: STORE, useFactory: () => openStore().then(seeded).then(takenUp) },
    { provide: TABS, useFactory: tabs },
    { provide: PLANNING, useFactory: workerPlanner },
    // All of it is kept for where there is no network; nothing but the weather service needs one.
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: 'registerWhenStable:5000' }),
    MessageService,
    ConfirmationService,
    { provide: ErrorHandler, useClass: MissingPartHandler },
  ],
};
