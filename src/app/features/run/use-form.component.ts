import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { InputText } from 'primeng/inputtext';
import { type UsageAccount, bookingOut, isBooked, noteUse, useOf } from '@esmero/core';
import { type RunUse, type TowelRole, towelRoles, usedIn } from '@esmero/model';
import { contentName, roleName } from '@esmero/messages';
import { NOW } from '../../state/clock';
import { JobDesk } from '../../state/job-desk';
import { ShelfDesk } from '../../state/shelf-desk';
import { studyOf } from '../../state/study';

const MOST_ML = 100_000;
const MOST_TOWELS = 10_000;

const big = (text: string): string => `${text[0]!.toUpperCase()}${text.slice(1)}`;

/** What is left in the vessels and how many towels were opened, counted when the run is over, and booked out of the shelf. */
@Component({
  selector: 'esm-use-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText],
  template: `
    <h3>What was used</h3>
    @if (study.failure(); as failure) {
      <p class="note warn">It could not be reckoned up: {{ failure }} <button type="button" class="chip" (click)="study.ask()">Try again</button></p>
    } @else if (fields().length === 0) {
      <p class="soft">Reckoning up …</p>
    }
    <form class="fields" #form (submit)="note(form); $event.preventDefault()">
      @for (field of fields(); track field.name) {
        <label class="field">
          {{ field.label }}
          <input pInputText class="num" type="number" min="0" [max]="field.most" step="1" required inputmode="numeric" [name]="field.name" [value]="field.value" #left />
        </label>
        @if (field.name.startsWith('ml.')) {
          <details>
            <summary>Weighed instead<span class="sr-only">: {{ field.label }}</span></summary>
            <div class="row">
              <label class="field">
                On the scale, g
                <input pInputText class="num" type="number" min="0" step="any" inputmode="decimal" #full (change)="weighed(full, empty, left)" />
              </label>
              <label class="field">
                Empty, g
                <input pInputText class="num" type="number" min="0" step="any" inputmode="decimal" #empty (change)="weighed(full, empty, left)" />
              </label>
            </div>
          </details>
        }
      }
      @if (noted()) {
        <label class="field">
          Why it is counted again
          <input pInputText maxlength="500" name="because" required />
        </label>
      }
      <button type="submit" class="chip big" [disabled]="fields().length === 0">{{ noted() ? 'Correct it' : 'Note it' }}</button>
    </form>
    @if (noted()) {
      <p class="soft" role="status">
        Noted in the log{{ earlier() > 0 ? '; ' + earlier() + (earlier() > 1 ? ' earlier counts are' : ' earlier count is') + ' kept' : '' }}. What many runs say is offered to the next plan in Method.
      </p>
      @if (booked()) {
        <p class="soft">Booked out of the shelf; the towels are with the laundry.</p>
      }
      @if (toBook().length > 0) {
        <button type="button" class="chip big" (click)="shelf.post(toBook())">{{ booked() ? 'Book the correction' : 'Book it out of the shelf' }}</button>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    input {
      min-height: 3rem;
    }
    summary {
      min-height: 2.75rem;
      align-content: center;
      cursor: pointer;
    }
    .big {
      min-height: 3.5rem;
      align-self: end;
    }
  `,
})
export class UseFormComponent {
  private readonly desk = inject(JobDesk);
  protected readonly shelf = inject(ShelfDesk);
  private readonly now = inject(NOW);
  protected readonly study = studyOf('usage-account');

  private readonly counts = computed(() => this.desk.job()?.run?.counts ?? []);
  private readonly used = computed((): RunUse | null => usedIn({ counts: this.counts() }));
  protected readonly noted = computed(() => this.used() !== null);
  protected readonly earlier = computed(() => this.counts().length - 1);
  protected readonly booked = computed(() => isBooked(this.shelf.kept(), this.desk.job()?.id ?? ''));
  /** All that was used, or after a correction what it differs by. */
  protected readonly toBook = computed(() => {
    const [job, reckoning, used] = [this.desk.job(), this.study.answer(), this.used()];
    if (!job || !reckoning || !used || (this.booked() && this.earlier() === 0)) return [];
    return bookingOut(job, reckoning, used, this.shelf.movements());
  });
  protected readonly fields = computed(() => {
    const [job, reckoning, used] = [this.desk.job(), this.study.answer(), this.used()];
    if (!job || !reckoning) return [];
    const usual = reckoning.expected.opened;
    const opened = (role: TowelRole): number => used?.towels.find((one) => one.role === role)?.opened ?? usual[role] ?? 0;
    const vessel = (id: string): string => job.vessels.find((one) => one.id === id)?.name ?? 'its vessel';
    const mixes = reckoning.vessels.filter(({ content }) => (reckoning.spent.productMl[content] ?? 0) > 0);
    return [
      ...mixes.map(({ content, vesselId }) => ({ name: `ml.${content}`, label: `${contentName[content]} left in ${vessel(vesselId)}, mL`, value: leftOf(content, reckoning, used), most: MOST_ML })),
      ...towelRoles
        .filter((role) => (usual[role] ?? 0) > 0 || opened(role) > 0)
        .map((role) => ({ name: `towels.${role}`, label: `${big(roleName[role])} opened`, value: opened(role), most: MOST_TOWELS })),
    ];
  });

  constructor() {
    effect(() => {
      if (this.desk.job()) untracked(() => void this.study.ask());
    });
  }

  /** So dilute a mix weighs a gram a millilitre. */
  protected weighed(full: HTMLInputElement, empty: HTMLInputElement, left: HTMLInputElement): void {
    const ml = full.valueAsNumber - empty.valueAsNumber;
    full.setCustomValidity(ml < 0 ? 'The vessel cannot weigh less than when it is empty.' : '');
    if (Number.isFinite(ml) && full.reportValidity()) left.value = String(Math.round(ml));
  }

  protected note(form: HTMLFormElement): void {
    const reckoning = this.study.answer();
    if (!reckoning || !form.reportValidity()) return;
    const given = [...new FormData(form)];
    const of = (start: string) => Object.fromEntries(given.flatMap(([name, value]) => (name.startsWith(start) ? [[name.slice(start.length), Number(value)]] : [])));
    const because = String(new FormData(form).get('because') ?? '');
    this.desk.edit('What was used', (job) => noteUse(job, useOf(reckoning, { leftMl: of('ml.'), opened: of('towels.') }, this.now(), because)));
  }
}

/** As counted before, or as it should be. */
function leftOf(content: string, { spent, expected }: UsageAccount, used: RunUse | null): number {
  const counted = used?.mixes.find(({ purpose }) => purpose === content);
  const made = spent.madeMl[content as keyof UsageAccount['spent']['madeMl']] ?? 0;
  return Math.max(0, Math.round(counted ? made - counted.usedMl : (expected.leftMl[content] ?? 0)));
}
