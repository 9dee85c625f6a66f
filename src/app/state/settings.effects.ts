import { DOCUMENT, inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store as State } from '@ngrx/store';
import { from, map, switchMap, take, tap } from 'rxjs';
import { STORE } from './ports';
import { settingsActions, settingsFeature, settingsFrom } from './settings';
import { shelfActions } from './shelf';

const KEY = 'settings';

export const loadSettings = createEffect(
  (actions = inject(Actions), store = inject(STORE)) =>
    actions.pipe(
      ofType(shelfActions.load),
      // Later loads of the shelf leave the settings alone.
      take(1),
      switchMap(() => from(store.then((s) => s.setting(KEY)))),
      map((kept) => settingsActions.loaded({ settings: settingsFrom(kept) })),
    ),
  { functional: true },
);

export const keepSettings = createEffect(
  (actions = inject(Actions), state = inject(State), store = inject(STORE)) =>
    actions.pipe(
      ofType(settingsActions.setUnits, settingsActions.setTheme, settingsActions.setSound),
      switchMap(() => state.select(settingsFeature.selectSettingsState)),
      tap((settings) => void store.then((s) => s.keepSetting(KEY, settings))),
    ),
  { functional: true, dispatch: false },
);

export const applyTheme = createEffect(
  (state = inject(State), document = inject(DOCUMENT)) =>
    state.select(settingsFeature.selectTheme).pipe(
      tap((theme) => {
        const system = document.defaultView?.matchMedia?.('(prefers-color-scheme: dark)').matches ?? false;
        document.documentElement.classList.toggle('dark', theme === 'dark' || (theme === 'system' && system));
      }),
    ),
  { functional: true, dispatch: false },
);
