import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { FormControl, FormRecord, ReactiveFormsModule, Validators } from '@angular/forms';
import { Button, ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { type UsageAccount, bookingOut, isBooked, noteUse, useOf } from '@esmero/core';
import { type RunUse, type TowelRole, bounds, towelRoles, usedIn } from '@esmero/model';
import { capital, contentName, roleName, useText } from '@esmero/messages';
import { NumberComponent } from '../../ui/number.component';
import { NOW } from '../../state/clock';
import { JobDesk } from '../../state/job-desk';
import { CollectionDesk } from '../../state/collection-desk';
import { VanStock } from '../../state/van-stock';
import { studyOf } from '../../state/study';

/** What is left in the vessels and how many towels were opened, counted when the run is over, and taken off stock. */
@Component({
  selector: 'esm-use-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ButtonDirective, InputText, NumberComponent, ReactiveFormsModule],
  template: `
    <h3>What was used</h3>
    @if (study.failure(); as failure) {
      <p class="note warn">
        {{ wording.failed(failure) }}
        <button pButton type="button" severity="secondary" outlined (click)="study.ask()">Try again</button>
      </p>
    } @else if (fields().length === 0) {
      <p class="soft">Adding up …</p>
    }
    <form class="fields" [formGroup]="form()" (ngSubmit)="note()">
      @for (field of fields(); track field.name) {
        <div class="field">
          <label [for]="'use-' + field.name">{{ field.label }}</label>
          <esm-number
            [formControlName]="field.name"
            [inputId]="'use-' + field.name"
            [as]="field.isMix ? volume() : null"
            [bounds]="field.isMix ? bounds.countedMl : bounds.towels"
            [digits]="field.isMix ? 1 : 0"
          />
          @if (field.isMix) {
            <p-button
              [label]="weighing() === field.name ? 'Type it instead' : 'Weigh it instead'"
              [ariaLabel]="'Weigh it instead: ' + field.label"
              size="small"
              severity="secondary"
              [text]="true"
              [attr.aria-expanded]="weighing() === field.name"
              (onClick)="weighing.set(weighing() === field.name ? null : field.name)"
            />
          }
          @if (field.more; as more) {
            @if (more.value > 0 || toppedUp().has(more.name)) {
              <label [for]="'use-' + more.name">{{ more.label }}</label>
              <esm-number
                [formControlName]="more.name"
                [inputId]="'use-' + more.name"
                [as]="volume()"
                [bounds]="bounds.countedMl"
                [digits]="1"
              />
            } @else {
              <p-button
                label="Mixed more"
                [ariaLabel]="'Mixed more: ' + more.label"
                size="small"
                severity="secondary"
                [text]="true"
                (onClick)="topUp(more.name)"
              />
            }
          }
          @if (field.isMix) {
            @if (weighing() === field.name) {
              <div class="scale">
                <esm-number
                  name="On the scale"
                  unit="g"
                  [bounds]="bounds.scaleG"
                  (typed)="weighed(field.name, full.entered(), empty.entered())"
                  #full
                />
                <esm-number
                  name="The empty vessel"
                  unit="g"
                  [bounds]="bounds.scaleG"
                  (typed)="weighed(field.name, full.entered(), empty.entered())"
                  #empty
                />
              </div>
              <span class="soft">{{ wording.scale }}</span>
              @if (scaleFault()) {
                <span class="fault" role="alert">{{ scaleFault() }}</span>
              }
            }
          }
        </div>
      }
      @if (noted()) {
        <div class="field">
          <label for="use-because">Why it is counted again</label>
          <input pInputText id="use-because" maxlength="500" name="because" [formControl]="because" />
          @if (because.touched && because.invalid) {
            <span class="fault" role="alert">{{ wording.sayWhy }}</span>
          }
        </div>
      }
      <button pButton type="submit" class="big" severity="secondary" outlined [disabled]="fields().length === 0">
        {{ noted() ? 'Correct it' : 'Note it' }}
      </button>
    </form>
    @if (noted()) {
      <p class="soft" role="status">
        {{ wording.noted(earlier()) }}
      </p>
      @if (isBookedForGood()) {
        <p class="soft">{{ wording.booked }}</p>
      }
      @if (toBook().length > 0) {
        <button pButton type="button" class="big" severity="secondary" outlined (click)="book()">
          {{ booked() ? 'Correct the stock' : 'Take it off stock' }}
        </button>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .fields {
      align-items: start;
    }
    .scale {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.4rem;
    }
    .big {
      min-height: 3.5rem;
      align-self: end;
    }
  `,
})
export class UseFormComponent {
  protected readonly wording = useText;
  private readonly desk = inject(JobDesk);
  protected readonly collection = inject(CollectionDesk);
  private readonly van = inject(VanStock);
  private readonly now = inject(NOW);
  protected readonly study = studyOf('usage-account');

  private readonly counts = computed(() => this.desk.job()?.run?.counts ?? []);
  private readonly used = computed((): RunUse | null => usedIn({ counts: this.counts() }));
  protected readonly noted = computed(() => this.used() !== null);
  protected readonly earlier = computed(() => this.counts().length - 1);
  protected readonly booked = computed(() => isBooked(this.collection.movements(), this.desk.job()?.id ?? ''));
  /** Said only once it is written down: whoever reads it may close the page. */
  protected readonly isBookedForGood = computed(() => this.booked() && this.collection.writing() === 0);
  /** All that was used, or after a correction what it differs by. */
  protected readonly toBook = computed(() => {
    const [job, reckoning, used] = [this.desk.job(), this.study.answer(), this.used()];
    if (!job || !reckoning || !used || (this.booked() && this.earlier() === 0)) return [];
    return bookingOut(job, reckoning, used, this.collection.movements());
  });
  /** Off the stock, and out of the van's tank as well. */
  protected book(): void {
    const [job, used] = [this.desk.job(), this.used()];
    const lacking = this.collection.post(this.toBook());
    if (job && used?.waterL && lacking.length === 0 && !job.site.tap)
      this.van.draw({ jobId: job.id, litres: used.waterL, counted: true });
  }

  protected readonly fields = computed(() => {
    const [job, reckoning, used] = [this.desk.job(), this.study.answer(), this.used()];
    if (!job || !reckoning) return [];
    const usual = reckoning.expected.opened;
    const opened = (role: TowelRole): number =>
      used?.towels.find((one) => one.role === role)?.opened ?? usual[role] ?? 0;
    const vessel = (id: string): string => job.vessels.find((one) => one.id === id)?.name ?? 'its vessel';
    const mixes = reckoning.vessels.filter(({ content }) => (reckoning.spent.productMl[content] ?? 0) > 0);
    return [
      ...mixes.map(({ content, vesselId }) => ({
        name: `ml-${content}`,
        isMix: true,
        label: `${contentName[content]} left in ${vessel(vesselId)}`,
        value: leftOf(content, reckoning, used),
        more: {
          name: `more-${content}`,
          label: `${contentName[content]} mixed on top of the plan`,
          value: moreOf(content, reckoning, used),
        },
      })),
      ...towelRoles
        .filter((role) => (usual[role] ?? 0) > 0 || opened(role) > 0)
        .map((role) => ({
          name: `towels-${role}`,
          isMix: false,
          label: `${capital(roleName[role])} opened`,
          value: opened(role),
          more: null,
        })),
    ];
  });

  constructor() {
    effect(() => {
      if (this.desk.job()) untracked(() => void this.study.ask());
    });
  }

  protected readonly bounds = bounds;
  protected readonly volume = computed(() => this.desk.units().edit.volume);
  /** Made anew when there is something else to count: as counted before, or as planned. */
  protected readonly form = computed(
    () =>
      new FormRecord(
        Object.fromEntries(
          this.fields()
            .flatMap((field) => [field, ...(field.more ? [field.more] : [])])
            .map(({ name, value }) => [name, new FormControl<number | null>(value, Validators.required)]),
        ),
      ),
  );
  protected readonly because = new FormControl('', {
    nonNullable: true,
    validators: [Validators.required, Validators.maxLength(500)],
  });
  protected readonly weighing = signal<string | null>(null);
  protected readonly toppedUp = signal<ReadonlySet<string>>(new Set());

  protected topUp(name: string): void {
    this.toppedUp.update((names) => new Set([...names, name]));
  }

  protected readonly scaleFault = signal('');

  /** So dilute a mix weighs a gram a millilitre. */
  protected weighed(name: string, fullG: number | null, emptyG: number | null): void {
    if (fullG === null || emptyG === null) return;
    const ml = fullG - emptyG;
    this.scaleFault.set(ml < 0 ? useText.lighterThanEmpty : '');
    if (ml >= 0) this.form().controls[name]!.setValue(ml);
  }

  protected note(): void {
    const reckoning = this.study.answer();
    const form = this.form();
    form.markAllAsTouched();
    this.because.markAsTouched();
    if (!reckoning || form.invalid || (this.noted() && this.because.invalid)) return;
    const values = Object.entries(form.getRawValue());
    const of = (start: string) =>
      Object.fromEntries(
        values.flatMap(([name, value]) => (name.startsWith(start) ? [[name.slice(start.length), value ?? 0]] : [])),
      );
    const use = useOf(
      reckoning,
      { leftMl: of('ml-'), moreMl: of('more-'), opened: of('towels-') },
      this.now(),
      this.noted() ? this.because.value.trim() : '',
    );
    this.desk.edit('What was used', (job) => noteUse(job, use));
    this.because.reset();
  }
}

const madeOf = (content: string, { spent }: UsageAccount): number =>
  spent.madeMl[content as keyof UsageAccount['spent']['madeMl']] ?? 0;

/** Mixed on top of the plan by what was counted before. */
function moreOf(content: string, account: UsageAccount, used: RunUse | null): number {
  const counted = used?.mixes.find(({ purpose }) => purpose === content);
  return counted ? Math.max(0, Math.round(counted.usedMl - madeOf(content, account))) : 0;
}

/** As counted before, or as it should be. */
function leftOf(content: string, account: UsageAccount, used: RunUse | null): number {
  const counted = used?.mixes.find(({ purpose }) => purpose === content);
  const [made, { expected }] = [madeOf(content, account), account];
  return Math.max(0, Math.round(counted ? made - counted.usedMl : (expected.leftMl[content] ?? 0)));
}
