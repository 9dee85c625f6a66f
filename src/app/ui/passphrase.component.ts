import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Password } from 'primeng/password';
import { passphraseText } from '@esmero/messages';

/** So many letters at least; a sentence is better. */
const LEAST = 8;

/** Asks for a passphrase: a new one twice, a known one once. */
@Component({
  selector: 'esm-passphrase',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Dialog, FormsModule, Password],
  template: `
    <p-dialog
      [header]="isNew() ? 'Backup with a passphrase' : 'A sealed file'"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      [draggable]="false"
      closeAriaLabel="Close"
      [style]="{ width: 'min(30rem, 96vw)' }"
    >
      <p>{{ isNew() ? wording.choose : wording.open(file()) }}</p>
      <form class="stack" (submit)="$event.preventDefault(); tell()">
        <label class="field" for="passphrase"
          >Passphrase<p-password
            inputId="passphrase"
            name="passphrase"
            [toggleMask]="true"
            [feedback]="false"
            [fluid]="true"
            [(ngModel)]="first"
            (ngModelChange)="typed()"
            [autocomplete]="isNew() ? 'new-password' : 'current-password'"
        /></label>
        @if (isNew()) {
          <label class="field" for="passphrase-again"
            >Once more<p-password
              inputId="passphrase-again"
              name="again"
              [toggleMask]="true"
              [feedback]="false"
              [fluid]="true"
              [(ngModel)]="again"
              (ngModelChange)="typed()"
              autocomplete="new-password"
          /></label>
        }
        @if (problem(); as why) {
          <p class="note warn" role="alert">{{ why }}</p>
        }
        <p-button
          type="submit"
          [label]="isNew() ? 'Save the backup' : 'Open it'"
          icon="pi pi-lock"
          [disabled]="!isReady()"
        />
      </form>
    </p-dialog>
  `,
})
export class PassphraseComponent {
  readonly isNew = input(false);
  /** That is to be opened. */
  readonly file = input('');
  readonly wrong = input(false);
  readonly told = output<string>();
  readonly closed = output();

  protected readonly wording = passphraseText;
  protected first = '';
  protected again = '';
  private readonly both = signal({ first: '', again: '' });
  protected readonly isReady = computed(
    () =>
      this.both().first !== '' &&
      (!this.isNew() || (this.both().first.length >= LEAST && this.both().first === this.both().again)),
  );
  protected readonly problem = computed(() => {
    const { first, again } = this.both();
    if (!this.isNew()) return this.wrong() ? passphraseText.wrong : '';
    if (first !== '' && first.length < LEAST) return passphraseText.short(LEAST);
    return again !== '' && first !== again ? passphraseText.differs : '';
  });

  protected typed(): void {
    this.both.set({ first: this.first, again: this.again });
  }

  protected tell(): void {
    if (this.isReady()) this.told.emit(this.first);
  }
}
