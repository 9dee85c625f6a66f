import { ChangeDetectionStrategy, Component, DOCUMENT, inject, signal } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { type English, type UnitSystem, passphraseText, settingsText } from '@esmero/messages';
import { Button } from 'primeng/button';
import { type Speech, type Theme, settingsActions, settingsFeature } from '../../state/settings';
import { TransferDesk } from '../../state/transfer-desk';
import { ChoiceComponent } from '../../ui/choice.component';
import { TransferBusyComponent } from '../../ui/transfer-busy.component';
import { PassphraseComponent } from '../../ui/passphrase.component';
import { SpaceComponent } from './space.component';

/** How Esmero speaks, measures and looks on this device, and what is kept here. */
@Component({
  selector: 'esm-settings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ChoiceComponent, PassphraseComponent, SpaceComponent, TransferBusyComponent],
  template: `
    <div class="page">
      <h1>Settings</h1>
      <div class="cards">
        <section class="card">
          <h2>Words and units</h2>
          <h3>English</h3>
          <esm-choice label="English" [options]="englishes" [value]="english()" (chosen)="speak($event)" />
          <p class="soft">{{ wording.english }}</p>
          <h3>Units</h3>
          <esm-choice label="Units" [options]="units" [value]="system()" (chosen)="measure($event)" />
          <p class="soft">{{ wording.units }}</p>
        </section>
        <section class="card">
          <h2>Look</h2>
          <esm-choice label="Theme" [options]="themes" [value]="theme()" (chosen)="look($event)" />
          <p class="soft">{{ wording.theme }}</p>
        </section>
        <section class="card">
          <h2>In the run</h2>
          <h3>Read the next pass aloud</h3>
          <esm-choice
            label="Read the next pass aloud"
            [options]="speeches"
            [value]="speech()"
            (chosen)="read($event)"
          />
          <h3>A tone</h3>
          <esm-choice
            label="A tone"
            [options]="tones"
            [value]="sound()"
            (chosen)="sound() !== $event && ring($event)"
          />
          <p class="soft">{{ wording.run }}</p>
        </section>
        <esm-space class="card">
          <p-button
            label="Save a backup"
            icon="pi pi-save"
            severity="secondary"
            [disabled]="transfer.busy() !== null"
            (onClick)="transfer.backup()"
          />
          <p-button
            label="Backup with a passphrase"
            icon="pi pi-lock"
            severity="secondary"
            [outlined]="true"
            [disabled]="transfer.busy() !== null || !canSeal"
            (onClick)="asking.set(true)"
          />
          @if (!canSeal) {
            <p class="soft">{{ sealing.cannot }}</p>
          }
          @if (transfer.busy(); as busy) {
            <esm-transfer-busy [what]="busy.what" [share]="busy.share" (stop)="transfer.stop()" />
          }
        </esm-space>
      </div>
      @if (asking()) {
        <esm-passphrase [isNew]="true" (told)="backup($event)" (closed)="asking.set(false)" />
      }
    </div>
  `,
  styleUrl: '../../ui/cards-page.css',
})
export class SettingsPage {
  private readonly state = inject(State);
  protected readonly transfer = inject(TransferDesk);
  protected readonly wording = settingsText;

  protected readonly english = this.state.selectSignal(settingsFeature.selectEnglish);
  protected readonly system = this.state.selectSignal(settingsFeature.selectUnits);
  protected readonly theme = this.state.selectSignal(settingsFeature.selectTheme);
  protected readonly speech = this.state.selectSignal(settingsFeature.selectSpeech);
  protected readonly sound = this.state.selectSignal(settingsFeature.selectSound);

  protected readonly englishes: readonly { readonly value: English; readonly label: string }[] = [
    { value: 'gb', label: 'British' },
    { value: 'us', label: 'American' },
  ];
  protected readonly units: readonly { readonly value: UnitSystem; readonly label: string }[] = [
    { value: 'metric', label: 'Metric' },
    { value: 'us', label: 'US' },
  ];
  protected readonly themes: readonly { readonly value: Theme; readonly label: string }[] = [
    { value: 'system', label: 'As the device' },
    { value: 'light', label: 'Light' },
    { value: 'dark', label: 'Dark' },
  ];
  protected readonly speeches: readonly { readonly value: Speech; readonly label: string }[] = [
    { value: 'off', label: 'Silent' },
    { value: 'short', label: 'The pass' },
    { value: 'full', label: 'Its panels, too' },
  ];
  protected readonly tones = [
    { value: false, label: 'Off' },
    { value: true, label: 'On' },
  ] as const;

  protected readonly sealing = passphraseText;
  protected readonly asking = signal(false);
  /** Browsers encrypt only on https, or on the device itself. */
  protected readonly canSeal = inject(DOCUMENT).defaultView?.isSecureContext ?? false;

  protected backup(passphrase: string): void {
    this.asking.set(false);
    void this.transfer.backup(passphrase);
  }

  protected speak(english: English): void {
    this.state.dispatch(settingsActions.setEnglish({ english }));
  }

  protected measure(units: UnitSystem): void {
    this.state.dispatch(settingsActions.setUnits({ units }));
  }

  protected look(theme: Theme): void {
    this.state.dispatch(settingsActions.setTheme({ theme }));
  }

  protected read(speech: Speech): void {
    this.state.dispatch(settingsActions.setSpeech({ speech }));
  }

  protected ring(sound: boolean): void {
    this.state.dispatch(settingsActions.setSound({ sound }));
  }
}
