import {
  ChangeDetectionStrategy,
  Component,
  DOCUMENT,
  computed,
  inject,
  input,
  output,
  resource,
  signal,
} from '@angular/core';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import type { Job } from '@esmero/model';
import { crewText } from '@esmero/messages';
import { CrewDesk } from '../../state/crew-desk';
import { download } from '../../ui/download';
import { CodesComponent } from './codes.component';
import { codeOf } from '../../ui/qr-code';

const LOOPBACK = /^(localhost|127\.|\[::1\])/;

/** A run on two phones: the link as a picture to scan, how it stands, and the run as a file where there is no network. */
@Component({
  selector: 'esm-crew',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, CodesComponent, Dialog],
  template: `
    <p-dialog
      header="Two phones"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      [dismissableMask]="true"
      [draggable]="false"
      closeAriaLabel="Close"
      [style]="{ width: 'min(34rem, 96vw)' }"
    >
      @if (desk.state() === 'off') {
        <p-button label="Let another phone in" icon="pi pi-users" size="large" (onClick)="desk.open(job())" />
      } @else {
        <p class="state" role="status" [attr.data-state]="desk.state()">
          <strong>{{ wording.code(desk.code()) }}</strong> {{ wording.state[desk.state()] }}
        </p>
        @if (picture.value(); as picture) {
          <svg
            class="code"
            [attr.viewBox]="'0 0 ' + picture.size + ' ' + picture.size"
            role="img"
            aria-label="The link as a QR code"
          >
            <path [attr.d]="picture.path" />
          </svg>
        }
        <p class="link">
          <a [href]="desk.address()" data-link>{{ desk.address() }}</a>
        </p>
        <p class="soft">{{ isLoopback ? wording.loopback : wording.lead }}</p>
        @if (!isSecure) {
          <p class="note">{{ wording.plainHttp }}</p>
        }
        <p-button label="Stop sharing" severity="secondary" [outlined]="true" (onClick)="desk.leave()" />
      }
      <h3>Without a network</h3>
      <p class="soft">{{ wording.file }}</p>
      <div class="row">
        <p-button
          label="Pass it on"
          icon="pi pi-upload"
          severity="secondary"
          [outlined]="true"
          [disabled]="job().run === null"
          (onClick)="pass()"
        />
        <p-button
          label="Take one in"
          icon="pi pi-download"
          severity="secondary"
          [outlined]="true"
          (onClick)="file.click()"
        />
        <input
          #file
          type="file"
          accept=".json,application/json"
          class="sr-only"
          aria-label="Take one in"
          tabindex="-1"
          (change)="take(file)"
        />
      </div>
      <esm-codes [text]="text" [isEmpty]="job().run === null" (told)="hear($event)" />
      @if (problem(); as why) {
        <p class="note stop" role="alert">{{ why }}</p>
      }
    </p-dialog>
  `,
  styles: `
    h3 {
      margin: 1rem 0 0.3rem;
    }
    .code {
      display: block;
      width: min(18rem, 70vw);
      margin: 0.5rem auto;
      padding: 0.8rem;
      border-radius: 12px;
      background: #fff;
    }
    .code path {
      fill: #000;
    }
    .link {
      overflow-wrap: anywhere;
    }
    .state[data-state='cut'] {
      color: var(--ochre);
    }
  `,
})
export class CrewComponent {
  readonly job = input.required<Job>();
  readonly closed = output();

  protected readonly wording = crewText;
  protected readonly desk = inject(CrewDesk);
  protected readonly problem = signal<string | null>(null);
  private readonly window = inject(DOCUMENT).defaultView!;
  protected readonly isLoopback = LOOPBACK.test(this.window.location.host);
  protected readonly isSecure = this.window.isSecureContext;
  private readonly address = computed(() => this.desk.address());
  protected readonly picture = resource({
    params: () => this.address(),
    loader: async ({ params }) => (params === '' ? null : codeOf(params)),
    defaultValue: null,
  });

  protected readonly text = (): Promise<string | null> => this.desk.file(this.job());

  protected async hear(text: string): Promise<void> {
    this.problem.set((await this.desk.takeIn(text, this.job())) ? null : crewText.notOurs);
  }

  protected async pass(): Promise<void> {
    const text = await this.desk.file(this.job());
    if (text) download(`${this.job().id}.esmero-run.json`, text);
  }

  protected async take(field: HTMLInputElement): Promise<void> {
    const file = field.files?.[0];
    field.value = '';
    if (file) await this.hear(await file.text());
  }
}
