import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import { type OfPicture, type Raster, simulatedScene, renderTowel, resolveAssumptions } from '@esmero/core';
import type { Dye, TowelRole } from '@esmero/model';
import { pictureFaultText, sideText, sideVerdictText, eyeText } from '@esmero/messages';
import { Entries } from '../state/entries';
import { EyeDesk } from '../state/eye-desk';
import { JobDesk } from '../state/job-desk';
import { questionOf } from '../state/study';
import { ChoiceComponent } from '../ui/choice.component';
import { ProgressComponent } from '../ui/progress.component';
import { rasterOf } from '../ui/raster';
import { TakePictureComponent } from '../ui/take-picture.component';

/** A towel that was only sprayed absorbs less than this: there is no dye to learn. */
const PALE = 0.01;
const uses = [
  { value: 'side', label: 'A used side' },
  { value: 'dye', label: 'Learn a dye' },
] as const;
type Use = (typeof uses)[number]['value'];

/** A towel in the hand, in the middle of a run. */
export interface Held {
  readonly role: TowelRole;
  readonly sidesLeft: number;
}

/** How full the side in the hand is, by its picture; and the dye of a product, which is told from dirt. */
@Component({
  selector: 'esm-side-meter',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ChoiceComponent, Dialog, FormsModule, ProgressComponent, Select, TakePictureComponent],
  template: `
    <p-dialog
      header="Side meter"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      appendTo="body"
      [draggable]="false"
      closeAriaLabel="Close"
      [style]="{ width: 'min(34rem, 96vw)' }"
    >
      <div class="stack">
        <esm-choice label="What is in the picture" [options]="uses" [value]="use()" (chosen)="choose($event)" />
        <p>{{ use() === 'side' ? wording.lead : wording.learn }}</p>
        <div class="fields">
          @if (use() === 'side') {
            <label class="field" for="meter-towel"
              >Towel<p-select
                inputId="meter-towel"
                [options]="towels()"
                optionValue="value"
                optionLabel="label"
                [ngModel]="towel()?.value"
                (ngModelChange)="pickTowel($event)"
                appendTo="body"
                [fluid]="true"
            /></label>
            <label class="field" for="meter-left"
              >Clean sides left<p-select
                inputId="meter-left"
                [options]="lefts"
                [ngModel]="left()"
                (ngModelChange)="left.set($event)"
                appendTo="body"
                [fluid]="true"
            /></label>
          }
          <label class="field" for="meter-product"
            >Product<p-select
              inputId="meter-product"
              [options]="$any(products())"
              optionValue="id"
              optionLabel="name"
              [ngModel]="productId()"
              (ngModelChange)="productId.set($event)"
              appendTo="body"
              [fluid]="true"
          /></label>
        </div>
        @if (product()?.dye) {
          <p class="soft">{{ wording.learnt(product()?.name ?? '') }}</p>
        }
        <esm-take-picture
          [busy]="share() !== null"
          [again]="side() !== null"
          [canSimulate]="true"
          (taken)="take($event)"
          (simulated)="simulate()"
        />
        @if (share(); as share) {
          <esm-progress [percent]="100 * share" label="Reading the picture" />
        }
        @if (problem(); as why) {
          <p class="note stop" role="alert">{{ why }}</p>
        }
        @if (side(); as side) {
          @if (isSimulated()) {
            <p class="soft">{{ wording.simulated }}</p>
          }
          <div role="status" class="verdict" [class.go]="side.verdict === 'go-on'">
            <p class="big">{{ verdicts[side.verdict] }}</p>
            <p class="num">{{ wording.says(side) }} {{ wording.dye(side) }}</p>
            <p class="soft">{{ basis(side, units()) }}</p>
            @if (held() && side.verdict !== 'go-on') {
              <p-button label="Turn it: plan by that" icon="pi pi-refresh" (onClick)="full.emit()" />
            }
          </div>
        }
        @if (dye(); as dye) {
          @if (isPale()) {
            <p class="note">{{ wording.pale }}</p>
          } @else {
            <p class="row">
              <span class="swatch" [style.background]="tone(dye)" aria-hidden="true"></span
              ><p-button label="Remember this dye" icon="pi pi-check" (onClick)="remember(dye)" />
            </p>
          }
        }
      </div>
    </p-dialog>
  `,
  styles: `
    .fields {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 0.6rem;
    }
    .verdict {
      padding: 0.8rem 1rem;
      border-radius: 14px;
      background: var(--ochre-wash);
    }
    .verdict.go {
      background: var(--sea-wash);
    }
    .verdict p {
      margin: 0 0 0.2rem;
    }
    .big {
      font-size: 1.7rem;
    }
    .swatch {
      width: 2.75rem;
      height: 2.75rem;
      border-radius: 10px;
      border: 1px solid var(--line);
    }
  `,
})
export class SideMeterComponent {
  /** Set where it is read beside the car. */
  readonly held = input<Held | null>(null);
  /** The side in the hand is full, and the run is to go by that. */
  readonly full = output();
  readonly closed = output();

  protected readonly wording = sideText;
  protected readonly verdicts = sideVerdictText;
  protected readonly basis = eyeText.basis;
  protected readonly units = computed(() => this.desk.units());
  protected readonly uses = uses;
  private readonly desk = inject(JobDesk);
  private readonly eye = inject(EyeDesk);
  private readonly entries = inject(Entries);

  protected readonly use = signal<Use>('side');
  protected readonly towels = computed(() =>
    (this.desk.job()?.towels ?? []).map((one) => ({ value: one.id, label: one.name, name: one.name, role: one.role })),
  );
  private readonly towelId = signal<string | null>(null);
  protected readonly towel = computed(
    () =>
      this.towels().find(({ value, role }) =>
        this.towelId() === null ? role === this.held()?.role : value === this.towelId(),
      ) ??
      this.towels()[0] ??
      null,
  );
  protected readonly lefts = [0, 1, 2, 3, 4, 5, 6, 7];
  protected readonly left = linkedSignal(() => this.held()?.sidesLeft ?? 3);
  protected readonly products = computed(() => this.desk.job()?.products ?? []);
  protected readonly productId = signal<string | null>(this.products()[0]?.id ?? null);
  protected readonly product = computed(() => this.products().find(({ id }) => id === this.productId()) ?? null);
  private readonly assumptions = computed(() => resolveAssumptions(this.desk.job()?.choices.assumptions ?? {}));

  private readonly picture = signal<Raster | null>(null);
  protected readonly isSimulated = signal(false);
  private readonly unreadable = signal<string | null>(null);
  private readonly asksSide = computed((): OfPicture<'side-meter'> | null => {
    const [picture, towel] = [this.picture(), this.towel()];
    if (!picture || this.use() !== 'side') return null;
    return {
      picture,
      asked: {
        person: this.eye.person(),
        cloth: towel?.name ?? '',
        calibrations: this.eye.calibrations(),
        dye: this.product()?.dye ?? null,
        sidesLeft: this.left(),
        cleanliness: towel?.role === 'wheels' ? 4 : 1,
        assumptions: this.assumptions(),
      },
    };
  });
  private readonly asksDye = computed((): OfPicture<'dye'> | null => {
    const picture = this.picture();
    return picture && this.use() === 'dye' ? { picture, asked: null } : null;
  });
  private readonly meter = questionOf('side-meter', this.asksSide, true);
  private readonly learning = questionOf('dye', this.asksDye, true);
  private readonly answer = computed(() => this.meter.answer() ?? this.learning.answer());
  protected readonly share = computed(() => this.meter.share() ?? this.learning.share());
  protected readonly side = computed(() => {
    const answer = this.meter.answer();
    return answer?.kind === 'measured' ? answer : null;
  });
  private readonly found = computed(() => {
    const answer = this.learning.answer();
    return answer?.kind === 'found' ? answer : null;
  });
  protected readonly dye = computed(() => this.found()?.dye ?? null);
  protected readonly isPale = computed(() => (this.found()?.absorbed ?? 0) < PALE);
  protected readonly problem = computed(() => {
    const answer = this.answer();
    return (
      this.unreadable() ??
      this.meter.failure() ??
      this.learning.failure() ??
      (answer?.kind === 'refused' ? pictureFaultText[answer.fault] : null)
    );
  });

  protected choose(use: Use): void {
    this.picture.set(null);
    this.use.set(use);
  }

  protected pickTowel(id: string): void {
    this.towelId.set(id);
  }

  protected async take(file: Blob): Promise<void> {
    this.unreadable.set(null);
    this.isSimulated.set(false);
    try {
      this.picture.set(await rasterOf(file));
    } catch {
      this.unreadable.set(eyeText.unreadable);
    }
  }

  /** A side of this towel, more or less full, or one that was only sprayed. */
  protected simulate(): void {
    const a = this.assumptions();
    const seed = Math.floor(1e6 * Math.random());
    const dye = this.product()?.dye;
    const tint = dye ? ([0.6 * dye.red, 0.6 * dye.green, 0.6 * dye.blue] as const) : ([0, 0, 0] as const);
    const scene = { ...simulatedScene, width: 960, height: 720, seed, mark: 0.75, kind: 'road-film' as const };
    const onSide = this.use() === 'side' ? a.sideDirt * (0.3 + Math.random()) : 0.001;
    const dyed = this.use() === 'dye' ? ([0.5, 0.28, 0.12] as const) : tint;
    this.unreadable.set(null);
    this.isSimulated.set(true);
    this.picture.set(
      renderTowel({ ...scene, loadGm2: (onSide * scene.sideM2) / (scene.patchM2 * a.wipePickUp), dye: dyed }, a),
    );
  }

  /** As a towel with it looks. */
  protected tone({ red, green, blue }: Dye): string {
    const part = (one: number): number => Math.round(255 * Math.max(0, 1 - one / 3));
    return `rgb(${part(red)} ${part(green)} ${part(blue)})`;
  }

  /** With this job, and for all that come. */
  protected remember(dye: Dye): void {
    const id = this.productId();
    const kept = this.entries.items('product').find((one) => one.id === id);
    if (kept) this.entries.put('product', { ...kept, dye });
    this.desk.edit(sideText.learnt(this.product()?.name ?? ''), (job) => ({
      ...job,
      products: job.products.map((one) => (one.id === id ? { ...one, dye } : one)),
    }));
    this.choose('side');
  }
}
