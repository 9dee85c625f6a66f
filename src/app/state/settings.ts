import { createActionGroup, createFeature, createReducer, on, props } from '@ngrx/store';
import type { UnitSystem } from '@esmero/messages';

export const themes = ['system', 'light', 'dark'] as const;
export type Theme = (typeof themes)[number];

export interface SettingsState {
  readonly units: UnitSystem;
  readonly theme: Theme;
  /** A tone in the run when something is ready, or about to dry. */
  readonly sound: boolean;
}

export const settingsActions = createActionGroup({
  source: 'Settings',
  events: {
    Loaded: props<{ settings: SettingsState }>(),
    'Set Units': props<{ units: UnitSystem }>(),
    'Set Theme': props<{ theme: Theme }>(),
    'Set Sound': props<{ sound: boolean }>(),
  },
});

const initial: SettingsState = { units: 'metric', theme: 'system', sound: false };

export const settingsFeature = createFeature({
  name: 'settings',
  reducer: createReducer(
    initial,
    on(settingsActions.loaded, (_state, { settings }): SettingsState => settings),
    on(settingsActions.setUnits, (state, { units }): SettingsState => ({ ...state, units })),
    on(settingsActions.setTheme, (state, { theme }): SettingsState => ({ ...state, theme })),
    on(settingsActions.setSound, (state, { sound }): SettingsState => ({ ...state, sound })),
  ),
});

/** Takes what was kept as it is only where it is one of ours; anything else is the default. */
export function settingsFrom(kept: unknown): SettingsState {
  const { units, theme, sound } = (typeof kept === 'object' && kept !== null ? kept : {}) as Partial<SettingsState>;
  return {
    units: units === 'us' ? 'us' : 'metric',
    theme: themes.find((known) => known === theme) ?? 'system',
    sound: sound === true,
  };
}
