import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import type { Consent } from '@esmero/model';
import { dayAndTime, refusalNote, verdictSentence, methodText } from '@esmero/messages';
import { NOW } from '../../state/clock';
import { JobDesk } from '../../state/job-desk';
import { download } from '../../ui/download';

const MOST_LETTERS = 4000;

/** A "no" with its note to the client, and the client's word where it is done all the same. */
@Component({
  selector: 'esm-refusal',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, InputText],
  template: `
    @if (consent(); as consent) {
      <p class="note warn">
        {{ wording.agreed(consent.by, consent.on, consent.note) }}
        <button pButton type="button" severity="secondary" outlined (click)="agree(null)">Take that back</button>
      </p>
    } @else if (sentAway(); as sent) {
      <p class="note">
        {{ wording.declined(sent.day) }}
        <button pButton type="button" severity="secondary" outlined (click)="takeBack()">Take that back</button>
      </p>
    } @else if (refused()) {
      <div class="note stop">
        <h3>For the client</h3>
        @for (line of lines(); track $index) {
          <p>{{ line }}</p>
        }
        <div class="row">
          <button pButton type="button" severity="secondary" outlined (click)="save()">Save the note</button>
          @if (sendable()) {
            <button pButton type="button" severity="secondary" outlined (click)="sendAway()">
              Decline it, and log it
            </button>
          }
          @if (forSoil()) {
            <button
              pButton
              type="button"
              severity="secondary"
              outlined
              [attr.aria-expanded]="asking()"
              (click)="asking.set(!asking())"
            >
              Client insists
            </button>
          }
        </div>
        @if (asking() && forSoil()) {
          <div class="fields gap">
            <div class="field">
              <label for="consent-by">Who agrees</label>
              <input pInputText id="consent-by" maxlength="160" #by (input)="missing.set(false)" />
              @if (missing()) {
                <span class="fault" role="alert">{{ wording.whoAgrees }}</span>
              }
            </div>
            <div class="field wide">
              <label for="consent-note">What was said</label>
              <input pInputText id="consent-note" maxlength="1000" #note />
            </div>
          </div>
          <p>{{ wording.onlyIndex }}</p>
          <button pButton type="button" severity="secondary" outlined (click)="go(by.value, note.value)">
            Go ahead with consent
          </button>
        }
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class RefusalComponent {
  protected readonly wording = methodText;
  private readonly desk = inject(JobDesk);
  private readonly now = inject(NOW);
  protected readonly asking = signal(false);
  protected readonly missing = signal(false);

  protected readonly consent = computed(() => this.desk.job()?.consent ?? null);
  protected readonly refused = computed(() => {
    const plan = this.desk.plan();
    return plan?.method === 'decline' || plan?.zones.some(({ inScope, option }) => inScope && option === null);
  });
  /** Nobody’s word helps against heat, frost or a lack of kit. */
  protected readonly forSoil = computed(
    () =>
      this.desk
        .plan()
        ?.verdicts.some(
          (verdict) =>
            (verdict.code === 'zones-blocked' || verdict.code === 'parts-left') && verdict.because === 'soil',
        ) ?? false,
  );
  protected readonly lines = computed(() => {
    const [job, plan] = [this.desk.job(), this.desk.plan()];
    return job && plan ? refusalNote(job, plan, this.desk.units()) : [];
  });

  /** All of the car, and before anything was begun. */
  protected readonly sendable = computed(() => this.desk.plan()?.method === 'decline' && !this.desk.job()?.run);
  protected readonly sentAway = computed(() => {
    const refused = this.desk.job()?.refused;
    return refused ? { day: dayAndTime(refused.at) } : null;
  });

  protected sendAway(): void {
    const why =
      this.desk
        .plan()
        ?.verdicts.map((one) => verdictSentence(one, this.desk.units()))
        .join(' ') ?? '';
    this.desk.edit('Declined', (job) => ({ ...job, refused: { at: this.now(), why: why.slice(0, MOST_LETTERS) } }));
  }

  protected takeBack(): void {
    this.desk.edit('Not declined', (job) => ({ ...job, refused: null }));
  }

  protected save(): void {
    download(`note-${this.desk.job()!.id}.txt`, `${this.lines().join('\n\n')}\n`, 'text/plain');
  }

  protected go(by: string, note: string): void {
    const who = by.trim();
    this.missing.set(who === '');
    if (who !== '') this.agree({ by: who, on: this.desk.job()!.date, note: note.trim() });
  }

  protected agree(consent: Consent | null): void {
    this.asking.set(false);
    this.desk.edit(consent ? `${consent.by} agrees to go ahead` : 'Consent taken back', (job) => ({ ...job, consent }));
  }
}
