import { type ApplicationConfig, isDevMode, provideBrowserGlobalErrorListeners } from '@angular/core';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore } from '@ngrx/store';
import { MessageService } from 'primeng/api';
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
import { loadShelf, reloadAfterWrite, tellAfterWrite, writeShelf } from '../state/shelf.effects';
import { esmeroPreset } from '../theme/preset';
import { routes } from './routes';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideRouter(routes, withComponentInputBinding()),
    providePrimeNG({ theme: { preset: esmeroPreset, options: { darkModeSelector: '.dark' } } }),
    provideStore(),
    provideState(deskFeature),
    provideState(planFeature),
    provideState(shelfFeature),
    provideState(settingsFeature),
    provideEffects(deskEffects, { loadShelf, reloadAfterWrite, tellAfterWrite, writeShelf }, settingsEffects),
    { provide: STORE, useFactory: () => openStore().then(seeded).then(takenUp) },
    { provide: TABS, useFactory: tabs },
    { provide: PLANNING, useFactory: workerPlanner },
    // All of it is kept for where there is no network; nothing but the weather service needs one.
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: 'registerWhenStable:5000' }),
    MessageService,
  ],
};
