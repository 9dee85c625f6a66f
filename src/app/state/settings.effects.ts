import { DOCUMENT, inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store as State } from '@ngrx/store';
import { EMPTY, catchError, concatMap, from, fromEvent, map, merge, of, startWith, switchMap, tap } from 'rxjs';
import { locale, speak } from '@esmero/frame';
import { STORE, TABS } from './ports';
import { settingsActions, settingsFeature, settingsFrom } from './settings';

const KEY = 'settings';

export const loadSettings = createEffect(
  (actions = inject(Actions), store = inject(STORE), document = inject(DOCUMENT)) =>
    actions.pipe(
      ofType(settingsActions.load),
      // The first words are not waited for: a first start lays out the demo before the store answers.
      switchMap(() =>
        from(store.then((s) => s.setting(KEY))).pipe(
          catchError(() => of(undefined)),
          startWith(undefined),
        ),
      ),
      map((kept) =>
        settingsActions.loaded({ settings: settingsFrom(kept, document.defaultView?.navigator.language ?? '') }),
      ),
    ),
  { functional: true },
);

/** What another tab has set meanwhile stays as that tab has it, unless it is the very same switch. */
export const keepSettings = createEffect(
  (actions = inject(Actions), state = inject(State), store = inject(STORE), tabs = inject(TABS)) =>
    actions.pipe(
      ofType(
        settingsActions.setEnglish,
        settingsActions.setUnits,
        settingsActions.setTheme,
        settingsActions.setSound,
        settingsActions.setSpeech,
      ),
      concatLatestFrom(() => [
        state.select(settingsFeature.selectSettingsState),
        state.select(settingsFeature.selectKept),
      ]),
      concatMap(async ([, { english, units, theme, sound, speech }, kept]) => {
        const settings = { english, units, theme, sound, speech };
        const done = await (await store).keepSetting(KEY, settings, kept ?? undefined);
        if (done.kind === 'kept') tabs.tell({ kind: 'settings-changed' });
        return settings;
      }),
      map((settings) => settingsActions.kept({ settings })),
    ),
  { functional: true },
);

/** Words change before anything is written anew with them. */
export const applyEnglish = createEffect(
  (state = inject(State), document = inject(DOCUMENT)) =>
    state.select(settingsFeature.selectEnglish).pipe(
      tap((english) => {
        speak(english);
        document.documentElement.lang = locale();
      }),
    ),
  { functional: true, dispatch: false },
);

export const applyTheme = createEffect(
  (state = inject(State), document = inject(DOCUMENT)) => {
    const system = document.defaultView?.matchMedia?.('(prefers-color-scheme: dark)');
    const turned = system && 'addEventListener' in system ? fromEvent(system, 'change') : EMPTY;
    return merge(state.select(settingsFeature.selectTheme), turned).pipe(
      concatLatestFrom(() => state.select(settingsFeature.selectTheme)),
      tap(([, theme]) =>
        document.documentElement.classList.toggle(
          'dark',
          theme === 'dark' || (theme === 'system' && (system?.matches ?? false)),
        ),
      ),
    );
  },
  { functional: true, dispatch: false },
);
