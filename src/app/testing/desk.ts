import type { Provider, EnvironmentProviders } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { Store as State, provideState, provideStore } from '@ngrx/store';
import { ConfirmationService, MessageService } from 'primeng/api';
import { firstValueFrom } from 'rxjs';
import { type Plan, finish, planRun, studies } from '@esmero/core';
import type { Job } from '@esmero/model';
import { demoJobs, demoOn } from '@esmero/demo';
import { type Store, type TabMessage, memoryStore } from '@esmero/store';
import * as deskEffects from '../state/desk.effects';
import { deskActions, deskFeature } from '../state/desk';
import { planFeature } from '../state/plan';
import type { Planning } from '@esmero/worker';
import { PLANNING, SAVE_AFTER, STORE, TABS } from '../state/ports';
import { seeded } from '../state/seeded';
import { settingsFeature } from '../state/settings';
import { today } from '../state/today';
import { collectionActions, collectionFeature } from '../state/collection';
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

export const deck = demoJobs[0]!;
/** The same as the demo lays it in today. */
export const deckToday = (): Job => demoOn(today()).jobs.find(({ id }) => id === deck.id)!;

/** The whole state on a store in memory, with the core planning at once. */
export interface Desk {
  readonly state: State;
  readonly store: Store;
  readonly told: TabMessage[];
  /** Lets effects, timers and promises run. */
  settle(): Promise<void>;
}

const plans = new Map<string, Plan>();

/** Most tests open the same job: it is planned once. */
function planned(job: Job): Plan {
  const key = JSON.stringify(job);
  const plan = plans.get(key) ?? planRun(job);
  plans.set(key, plan);
  return plan;
}

const planning: Planning = {
  plan: async (job: Job) => ({ kind: 'plan', plan: planned(job) }),
  brief: async (job: Job) => {
    const { method, totals } = planned(job);
    return { method, minutes: totals.minutes.value };
  },
  study: async (kind, about) => ({ kind: 'done', answer: finish(studies[kind](about)) }) as never,
  stop: () => undefined,
  past: async () => [],
};

/**
 * Turns of the event loop rather than a time on the wall: whatever is under way takes its steps in them on a slow
 * machine as well. Over once the state and what is drawn have been the same for twelve turns.
 */
async function untilStill(state: State): Promise<void> {
  let [seen, still] = [await firstValueFrom(state), 0];
  const drawn = new MutationObserver(() => (still = 0));
  drawn.observe(document.body, { childList: true, subtree: true });
  while (still < 12) {
    await new Promise((resolve) => setTimeout(resolve, 5));
    const now = await firstValueFrom(state);
    still = now === seen ? still + 1 : 0;
    seen = now;
  }
  drawn.disconnect();
}

export async function deskWith(
  given: Store | Promise<Store> = memoryStore(),
  providers: readonly (Provider | EnvironmentProviders)[] = [],
): Promise<Desk> {
  localStorage.clear();
  const store = await given;
  await seeded(store);
  const told: TabMessage[] = [];
  TestBed.configureTestingModule({
    providers: [
      provideStore(),
      provideState(deskFeature),
      provideState(planFeature),
      provideState(collectionFeature),
      provideState(settingsFeature),
      provideEffects(deskEffects, {
        fillLog,
        loadCollection,
        moveJob,
        reloadAfterWrite,
        rescueAll,
        sendUnsent,
        tellAfterWrite,
        writeEntry,
        writeChanges,
      }),
      provideRouter([]),
      MessageService,
      ConfirmationService,
      { provide: STORE, useValue: Promise.resolve(store) },
      { provide: TABS, useValue: { tell: (m: TabMessage) => told.push(m), onMessage: () => undefined } },
      { provide: PLANNING, useValue: planning },
      { provide: SAVE_AFTER, useValue: 5 },
      ...providers,
    ],
  });
  const state = TestBed.inject(State);
  const settle = () => untilStill(state);
  state.dispatch(collectionActions.load());
  state.dispatch(deskActions.open({ id: deck.id }));
  await settle();
  return { state, store, told, settle };
}
