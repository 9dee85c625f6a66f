import {
  DOCUMENT,
  EnvironmentInjector,
  ErrorHandler,
  Injectable,
  computed,
  inject,
  isDevMode,
  signal,
} from '@angular/core';
import type { SwUpdate } from '@angular/service-worker';
import { Store as State } from '@ngrx/store';
import { deskActions } from './desk';
import { STORE } from './ports';
import { collectionActions } from './collection';

/** What the frame says about the page as a whole, and what can be done. */
const noticeKinds = ['new-version', 'offline', 'newer-data', 'update', 'lost', 'plain-http'] as const;
export type NoticeKind = (typeof noticeKinds)[number];

/** A part of the application is fetched when it is first needed; after a new one was put on the server it is gone. */
export const isMissingPart = (error: unknown): boolean =>
  /dynamically imported module|importing a module script|ChunkLoadError|loading chunk/i.test(
    error instanceof Error ? error.message : String(error),
  );

/** Notices of the frame: a newer application, data that was deleted underneath, what plain http lacks. */
@Injectable({ providedIn: 'root' })
export class Notices {
  private readonly injector = inject(EnvironmentInjector);
  private updates: SwUpdate | null = null;
  private readonly state = inject(State);
  private readonly document = inject(DOCUMENT);
  private readonly window = this.document.defaultView;
  private readonly shown = signal<ReadonlySet<NoticeKind>>(new Set());
  readonly all = computed(() => noticeKinds.filter((kind) => this.shown().has(kind)));

  constructor() {
    if (this.window && !this.window.isSecureContext) this.show('plain-http');
    void inject(STORE).then((store) => {
      if (store.keeping === 'newer') this.show('newer-data');
      store.onTrouble((what) => {
        this.show(what === 'newer' ? 'newer-data' : 'lost');
        // What is on the page is the only copy now.
        if (what === 'lost') this.state.dispatch(collectionActions.rescueAll());
      });
    });
  }

  /** From now on the application opens without a network; nothing but the weather service needs one. */
  async keepForOffline(): Promise<void> {
    if (isDevMode()) return;
    this.updates = (await import('./updates')).keptForOffline(this.injector);
    this.updates.versionUpdates.subscribe(({ type }) => {
      if (type === 'VERSION_READY') this.show('update');
    });
  }

  show(kind: NoticeKind): void {
    this.shown.update((all) => new Set([...all, kind]));
  }

  dismiss(kind: NoticeKind): void {
    this.shown.update((all) => new Set([...all].filter((one) => one !== kind)));
  }

  /** Onto the newest version; what is not saved yet is saved, or left where the next page finds it. */
  async renew(): Promise<void> {
    this.state.dispatch(deskActions.flush());
    await this.updates?.activateUpdate().catch(() => false);
    this.document.location.reload();
  }
}

/** Errors of parts that are gone become a notice; all others go where they always went. */
@Injectable()
export class MissingPartHandler extends ErrorHandler {
  private readonly notices = inject(Notices);

  override handleError(error: unknown): void {
    if (isMissingPart(error)) void this.tell();
    else super.handleError(error);
  }

  /** Gone from the server, or no server at all? */
  private async tell(): Promise<void> {
    const answer = await fetch('health', { cache: 'no-store' }).catch(() => null);
    if (answer?.ok) this.notices.show('new-version');
    else this.notices.show('offline');
  }
}
