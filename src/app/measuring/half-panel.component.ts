import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import {
  type Counted,
  type ProofAsked,
  type Raster,
  addPicture,
  keepProof,
  marksIn,
  plainProof,
  renderProof,
} from '@esmero/core';
import { type Picture, type PictureTime, type ZoneId, pictureTimes } from '@esmero/model';
import { capital, eyeText, proofFaultText, proofText, zoneName } from '@esmero/messages';
import { freshId } from '@esmero/records';
import { NOW } from '../state/clock';
import { JobDesk } from '../state/job-desk';
import { picturesOf } from '../state/pictures';
import { questionOf } from '../state/study';
import { ProgressComponent } from '../ui/progress.component';
import { fileOf, rasterOf } from '../ui/raster';
import { TakePictureComponent } from '../ui/take-picture.component';

interface Taken {
  readonly file: Blob;
  readonly raster: Raster;
  readonly url: string;
  /** As the job has it already. */
  readonly kept: Picture | null;
}

/** The same panel under the same lamp, before and after: fine lines counted in both, and kept with the job. */
@Component({
  selector: 'esm-half-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Dialog, FormsModule, ProgressComponent, Select, TakePictureComponent],
  template: `
    <p-dialog
      header="Half-panel proof"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      appendTo="body"
      [draggable]="false"
      closeAriaLabel="Close"
      [style]="{ width: 'min(60rem, 96vw)' }"
    >
      <div class="stack">
        @if (!found()) {
          <p>{{ wording.lead }}</p>
        }
        <div class="top">
          <label class="field panel" for="proof-panel"
            >Panel<p-select
              inputId="proof-panel"
              [options]="panels()"
              optionValue="value"
              optionLabel="label"
              [filter]="true"
              [ngModel]="zone()"
              (ngModelChange)="pick($event)"
              appendTo="body"
              [fluid]="true"
          /></label>
          @if (found(); as found) {
            <div role="status" class="verdict">
              <p class="num">
                <strong>{{ wording.verdict(found.before, found.after, found.doubt) }}</strong>
              </p>
              <p class="num">{{ wording.counted(found.before, found.after, found.doubt) }}</p>
            </div>
            <p-button label="Keep with the job" icon="pi pi-check" (onClick)="keep()" />
          } @else if (isFirst()) {
            <p-button label="Keep for later" icon="pi pi-check" (onClick)="keepFirst()" />
          }
        </div>
        <div class="pair">
          @for (when of times; track when) {
            <section>
              <h3>{{ names[when] }}</h3>
              @if (taken()[when]; as one) {
                <figure>
                  <img [src]="one.url" [alt]="names[when]" />
                  @if (counted()[when]; as lines) {
                    <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
                      @for (path of lines; track $index) {
                        <path [attr.d]="path" vector-effect="non-scaling-stroke" />
                      }
                    </svg>
                  }
                </figure>
              }
              <esm-take-picture
                [busy]="study.share() !== null"
                [again]="taken()[when] !== undefined"
                [canSimulate]="true"
                (taken)="take(when, $event)"
                (simulated)="simulate(when)"
              />
            </section>
          }
        </div>
        @if (simulated()) {
          <p class="soft">{{ wording.simulated }}</p>
        }
        @if (study.share(); as share) {
          <div class="row">
            <esm-progress [percent]="100 * share" label="Aligning the pictures" /><p-button
              label="Stop"
              severity="secondary"
              [outlined]="true"
              (onClick)="study.stop()"
            />
          </div>
        }
        @if (problem(); as why) {
          <p class="note stop" role="alert">{{ why }}</p>
        }
      </div>
    </p-dialog>
  `,
  styleUrl: '../ui/marked-picture.css',
  styles: `
    .top {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem 1.2rem;
      align-items: end;
    }
    .panel {
      width: 16rem;
    }
    .verdict {
      flex: 1 1 20rem;
    }
    .verdict p {
      margin: 0 0 0.2rem;
    }
    .pair {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(20rem, 100%), 1fr));
      gap: 1rem;
    }
    h3 {
      margin: 0 0 0.4rem;
    }
    figure {
      margin: 0 0 0.5rem;
    }
    img {
      display: block;
      width: 100%;
      border-radius: 12px;
    }
    path {
      fill: none;
      stroke: var(--rail-amber);
      stroke-width: 2px;
    }
  `,
})
export class HalfPanelComponent {
  /** The panel that is in question; it can be another. */
  readonly panel = input<ZoneId | null>(null);
  readonly closed = output();

  protected readonly wording = proofText;
  protected readonly names: Readonly<Record<PictureTime, string>> = { before: 'Before', after: 'After' };
  protected readonly times = pictureTimes;
  private readonly desk = inject(JobDesk);
  private readonly now = inject(NOW);
  private readonly pictures = picturesOf(signal([]));

  protected readonly panels = computed(() =>
    this.desk
      .zones()
      .filter(({ surface }) => surface === 'paint')
      .map(({ id }) => ({ value: id, label: capital(zoneName(id)) })),
  );
  private readonly picked = signal<ZoneId | null>(null);
  protected readonly zone = computed((): ZoneId => {
    const has = (zone: ZoneId | null | undefined): ZoneId | undefined =>
      this.panels().find(({ value }) => value === zone)?.value;
    const panel = has(this.panel());
    const waits = this.firsts().some(({ zone }) => zone === panel) ? panel : has(this.firsts().at(-1)?.zone);
    return has(this.picked()) ?? waits ?? panel ?? has('bonnet') ?? this.panels()[0]?.value ?? 'roof';
  });
  /** Pictures for a proof that were taken before the wash. */
  private readonly firsts = computed(() =>
    (this.desk.job()?.pictures ?? []).filter(({ when, shows }) => when === 'before' && shows === 'lamp'),
  );
  /** The picture before, where it was kept for this. */
  private readonly first = computed(
    () =>
      this.firsts()
        .filter(({ zone }) => zone === this.zone())
        .at(-1) ?? null,
  );

  protected readonly taken = signal<Readonly<Partial<Record<PictureTime, Taken>>>>({});
  protected readonly simulated = signal(false);
  private readonly unreadable = signal<string | null>(null);
  private readonly asked = computed((): ProofAsked | null => {
    const { before, after } = this.taken();
    return before && after ? { before: before.raster, after: after.raster } : null;
  });
  protected readonly study = questionOf('proof', this.asked, true);
  protected readonly found = computed(() => {
    const answer = this.study.answer();
    return answer?.kind === 'counted' ? answer : null;
  });
  protected readonly problem = computed(() => {
    const answer = this.study.answer();
    return (
      this.unreadable() ?? this.study.failure() ?? (answer?.kind === 'refused' ? proofFaultText[answer.fault] : null)
    );
  });
  /** The lines of each picture as paths of dots, in hundredths. */
  protected readonly counted = computed((): Readonly<Partial<Record<PictureTime, readonly string[]>>> => {
    const found = this.found();
    const paths = ({ lines }: Counted): readonly string[] =>
      lines.map((line) => line.map(({ x, y }) => `M${(100 * x).toFixed(2)},${(100 * y).toFixed(2)}h.1`).join(''));
    return found ? { before: paths(found.before), after: paths(found.after) } : {};
  });

  /** There is one before, and none after yet. */
  protected readonly isFirst = computed(() => {
    const { before, after } = this.taken();
    return before !== undefined && before.kept === null && !after;
  });

  constructor() {
    effect(() => {
      const first = this.first();
      const before = untracked(this.taken).before;
      if (first && (!before || before.kept)) void this.fetch(first);
    });
    inject(DestroyRef).onDestroy(() => this.forget());
  }

  /** Pictures are of one panel: another begins anew. */
  protected pick(zone: ZoneId): void {
    this.forget();
    this.taken.set({});
    this.picked.set(zone);
  }

  private async fetch(first: Picture): Promise<void> {
    const file = await this.pictures.kept(first.photo);
    // Another panel may have been picked meanwhile.
    if (file && this.first() === first) await this.take('before', file, first);
  }

  private forget(): void {
    Object.values(this.taken()).forEach(({ url }) => URL.revokeObjectURL(url));
  }

  protected async take(when: PictureTime, file: Blob, kept: Picture | null = null): Promise<void> {
    this.unreadable.set(null);
    try {
      const raster = await rasterOf(file);
      const old = this.taken()[when];
      if (old) URL.revokeObjectURL(old.url);
      this.taken.update((all) => ({ ...all, [when]: { file, raster, url: URL.createObjectURL(file), kept } }));
    } catch {
      this.unreadable.set(eyeText.unreadable);
    }
  }

  /** The same panel twice, the second time by a hand that moved a little. */
  protected async simulate(when: PictureTime): Promise<void> {
    this.simulated.set(true);
    const some = (most: number): number => Math.floor(most * Math.random());
    const seen = when === 'after' ? [1.01, 0.015, -10 + some(20), -0.012, 0.99, -8 + some(16), 1e-5, -1e-5, 1] : null;
    const scene = { ...plainProof, arcs: 8 + some(14), streaks: some(5), lineSeed: 1 + some(900), panelSeed: 7, seen };
    await this.take(when, await fileOf(renderProof(scene)));
  }

  /** The picture before waits for the one after. */
  protected async keepFirst(): Promise<void> {
    const picture = await this.picture('before', proofText.first);
    if (!picture) return;
    this.desk.edit(proofText.first, (job) => addPicture(job, picture));
    this.closed.emit();
  }

  protected async keep(): Promise<void> {
    const [found, zone] = [this.found(), this.zone()];
    if (!found) return;
    const [marksBefore, marksAfter] = [marksIn(found.before), marksIn(found.after)];
    const note = proofText.kept(marksBefore, marksAfter, found.doubt);
    const [before, after] = [await this.picture('before', note), await this.picture('after', note)];
    if (!before || !after) return;
    const proof = {
      id: freshId('proof'),
      zone,
      at: this.now(),
      before: before.id,
      after: after.id,
      marksBefore,
      marksAfter,
      doubt: found.doubt,
    };
    this.desk.edit(`${zoneName(zone)}: ${note}`, (job) => keepProof(job, proof, [before, after]));
    this.closed.emit();
  }

  /** A picture as the job has it; null, and said why, where it could not be kept. */
  private async picture(when: PictureTime, note: string): Promise<Picture | null> {
    const taken = this.taken()[when];
    if (!taken) return null;
    if (taken.kept) return { ...taken.kept, note };
    const kept = await this.pictures.keep(taken.file);
    if ('key' in kept) return { id: freshId('picture'), when, zone: this.zone(), note, photo: kept.key, shows: 'lamp' };
    this.unreadable.set(kept.problem);
    return null;
  }
}
