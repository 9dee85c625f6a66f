import { ChangeDetectionStrategy, Component, DOCUMENT, effect, inject } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { frameText } from '@esmero/frame';
import type { TabMessage } from '@esmero/store';
import { Toast } from 'primeng/toast';
import { deskActions, deskFeature } from '../state/desk';
import { TABS } from '../state/ports';
import { isKeptAside } from '../state/rescue';
import { settingsActions, settingsFeature } from '../state/settings';
import { collectionActions, collectionFeature } from '../state/collection';
import { Unsent } from '../state/unsent';
import { ConfirmComponent } from './confirm.component';
import { NoticesComponent } from './notices.component';
import { places } from './places';
import { ShortcutsComponent } from './shortcuts.component';

/** At the foot of the rail; on a phone in the line at the top. */
const footPlaces = [
  { path: '/settings', name: 'Settings', icon: 'pi pi-cog' },
  { path: '/help', name: 'Help', icon: 'pi pi-question-circle' },
] as const;

/** The frame around every page: name and places to go. */
@Component({
  selector: 'esm-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ConfirmComponent, NoticesComponent, RouterOutlet, RouterLink, RouterLinkActive, Toast, ShortcutsComponent],
  templateUrl: './app.component.html',
  styleUrl: './app.component.css',
  host: {
    '(document:visibilitychange)': 'hidden()',
    '(window:pagehide)': 'flush()',
    '(window:beforeunload)': 'ask($event)',
  },
})
export class AppComponent {
  protected readonly wording = frameText;
  private readonly state = inject(State);
  private readonly document = inject(DOCUMENT);
  private readonly messages = inject(MessageService);
  private readonly unsent = inject(Unsent);

  protected readonly english = this.state.selectSignal(settingsFeature.selectEnglish);
  protected readonly keeping = this.state.selectSignal(collectionFeature.selectKeeping);
  private readonly desk = this.state.selectSignal(deskFeature.selectDeskState);
  private readonly writing = this.state.selectSignal(collectionFeature.selectWriting);
  private readonly problem = this.state.selectSignal(collectionFeature.selectProblem);
  protected readonly places = places;
  protected readonly footPlaces = footPlaces;

  constructor() {
    this.state.dispatch(settingsActions.load());
    this.state.dispatch(collectionActions.load());
    inject(TABS).onMessage((message) => this.hear(message));
    effect(() => {
      const problem = this.problem();
      if (!problem) return;
      this.messages.add({ severity: 'error', summary: 'Not stored', detail: problem, sticky: true });
      this.state.dispatch(collectionActions.problemSeen());
    });
  }

  protected hidden(): void {
    if (this.document.visibilityState === 'hidden') this.flush();
  }

  protected flush(): void {
    this.state.dispatch(deskActions.flush());
    this.unsent.leaveBehind();
  }

  /** The page is not closed over something unsaved without a word. */
  protected ask(event: BeforeUnloadEvent): void {
    this.flush();
    // What moves or deletes whole jobs cannot be sent again.
    if (this.writing() > this.unsent.leaveBehind()) event.preventDefault();
    const { job, saving, past } = this.desk();
    if (!job) return;
    // Saving is under way, and if it is cut off the next page finds the job: nobody needs to be asked.
    const isSafe = saving.kind === 'clean' || (saving.kind === 'dirty' && isKeptAside(job.id));
    const isLost = this.keeping() !== 'for-good' && past.length > 0;
    if (!isSafe || isLost) event.preventDefault();
  }

  private hear(message: TabMessage): void {
    switch (message.kind) {
      case 'job-saved':
        return this.state.dispatch(deskActions.savedElsewhere(message));
      case 'library-changed':
        return this.state.dispatch(collectionActions.load());
      case 'settings-changed':
        return this.state.dispatch(settingsActions.load());
      case 'everything-changed': {
        this.state.dispatch(collectionActions.load());
        const { job } = this.desk();
        if (job) this.state.dispatch(deskActions.savedElsewhere({ id: job.id, revision: Number.MAX_SAFE_INTEGER }));
      }
    }
  }
}
