import { ChangeDetectionStrategy, Component, DOCUMENT, effect, inject } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { Toast } from 'primeng/toast';
import { deskActions } from '../state/desk';
import { TABS } from '../state/ports';
import { type Theme, settingsActions, settingsFeature, themes } from '../state/settings';
import { shelfActions, shelfFeature } from '../state/shelf';
import { ShortcutsComponent } from './shortcuts.component';

const themeName: Readonly<Record<Theme, string>> = { system: 'Auto', light: 'Light', dark: 'Dark' };

/** The frame around every page: name, places to go, units, theme. */
@Component({
  selector: 'esm-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterOutlet, RouterLink, RouterLinkActive, Toast, ShortcutsComponent],
  templateUrl: './app.component.html',
  styleUrl: './app.component.css',
  host: {
    '(document:visibilitychange)': 'hidden()',
    '(window:pagehide)': 'flush()',
  },
})
export class AppComponent {
  private readonly state = inject(State);
  private readonly document = inject(DOCUMENT);
  private readonly messages = inject(MessageService);

  protected readonly units = this.state.selectSignal(settingsFeature.selectUnits);
  protected readonly theme = this.state.selectSignal(settingsFeature.selectTheme);
  protected readonly durable = this.state.selectSignal(shelfFeature.selectDurable);
  private readonly problem = this.state.selectSignal(shelfFeature.selectProblem);
  protected readonly themeName = themeName;

  constructor() {
    this.state.dispatch(shelfActions.load());
    inject(TABS).onMessage((message) =>
      this.state.dispatch(
        message.kind === 'job-saved' ? deskActions.savedElsewhere(message) : shelfActions.load(),
      ),
    );
    effect(() => {
      const problem = this.problem();
      if (!problem) return;
      this.messages.add({ severity: 'error', summary: 'Not stored', detail: problem, sticky: true });
      this.state.dispatch(shelfActions.problemSeen());
    });
  }

  protected toggleUnits(): void {
    this.state.dispatch(settingsActions.setUnits({ units: this.units() === 'us' ? 'metric' : 'us' }));
  }

  protected nextTheme(): void {
    const next = themes[(themes.indexOf(this.theme()) + 1) % themes.length]!;
    this.state.dispatch(settingsActions.setTheme({ theme: next }));
  }

  protected hidden(): void {
    if (this.document.visibilityState === 'hidden') this.flush();
  }

  protected flush(): void {
    this.state.dispatch(deskActions.flush());
  }
}
