import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import { type English, type UnitSystem, englishes, unitSystems } from '@esmero/frame';

const themes = ['system', 'light', 'dark'] as const;
export type Theme = (typeof themes)[number];

/** How much of the next pass is read aloud in the run. */
const speeches = ['off', 'short', 'full'] as const;
export type Speech = (typeof speeches)[number];

export interface Settings {
  readonly english: English;
  readonly units: UnitSystem;
  readonly theme: Theme;
  /** A tone in the run when something is ready, or about to dry. */
  readonly sound: boolean;
  readonly speech: Speech;
}

export interface SettingsState extends Settings {
  /** As they were when this page last heard of them. */
  readonly kept: Settings | null;
}

export const settingsActions = createActionGroup({
  source: 'Settings',
  events: {
    Load: emptyProps(),
    Loaded: props<{ settings: Settings }>(),
    Kept: props<{ settings: Settings }>(),
    'Set English': props<{ english: English }>(),
    'Set Units': props<{ units: UnitSystem }>(),
    'Set Theme': props<{ theme: Theme }>(),
    'Set Sound': props<{ sound: boolean }>(),
    'Set Speech': props<{ speech: Speech }>(),
  },
});

const initial: SettingsState = {
  english: 'gb',
  units: 'metric',
  theme: 'system',
  sound: false,
  speech: 'off',
  kept: null,
};

export const settingsFeature = createFeature({
  name: 'settings',
  reducer: createReducer(
    initial,
    on(settingsActions.loaded, (_state, { settings }): SettingsState => ({ ...settings, kept: settings })),
    on(settingsActions.kept, (state, { settings }): SettingsState => ({ ...state, kept: settings })),
    on(settingsActions.setEnglish, (state, { english }): SettingsState => ({ ...state, english })),
    on(settingsActions.setUnits, (state, { units }): SettingsState => ({ ...state, units })),
    on(settingsActions.setTheme, (state, { theme }): SettingsState => ({ ...state, theme })),
    on(settingsActions.setSound, (state, { sound }): SettingsState => ({ ...state, sound })),
    on(settingsActions.setSpeech, (state, { speech }): SettingsState => ({ ...state, speech })),
  ),
});

/**
 * Takes what was kept as it is only where it is one of ours; anything else is the default.
 * @param language of the browser, "en-US": where nothing was chosen, words and units are those of the US for that one
 */
export function settingsFrom(kept: unknown, language: string): Settings {
  const isUs = /^en-US$/i.test(language);
  const { english, units, theme, sound, speech } = (
    typeof kept === 'object' && kept !== null ? kept : {}
  ) as Partial<Settings>;
  return {
    english: englishes.find((known) => known === english) ?? (isUs ? 'us' : 'gb'),
    units: unitSystems.find((known) => known === units) ?? (isUs ? 'us' : 'metric'),
    theme: themes.find((known) => known === theme) ?? 'system',
    sound: sound === true,
    speech: speeches.find((known) => known === speech) ?? 'off',
  };
}
