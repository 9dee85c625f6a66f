import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import { type Counted, type ProofAsked, type Raster, keepProof, plainProof, renderProof } from '@esmero/core';
import { type Picture, type PictureTime, type ZoneId, pictureTimes } from '@esmero/model';
import { capital, eyeText, proofFaultText, proofText, zoneName } from '@esmero/messages';
import { freshId } from '@esmero/records';
import { NOW } from '../../state/clock';
import { JobDesk } from '../../state/job-desk';
import { picturesOf } from '../../state/pictures';
import { questionOf } from '../../state/study';
import { ProgressComponent } from '../../ui/progress.component';
import { fileOf, rasterOf } from '../../ui/raster';
import { TakePictureComponent } from '../../ui/take-picture.component';

interface Taken {
  readonly file: Blob;
  readonly raster: Raster;
  readonly url: string;
}

/** The same panel under the same lamp, before and after: fine lines counted in both, and kept with the job. */
@Component({
  selector: 'esm-half-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Dialog, FormsModule, ProgressComponent, Select, TakePictureComponent],
  template: `
    <p-dialog header="Half-panel proof" [visible]="true" (visibleChange)="closed.emit()" [modal]="true" [draggable]="false" closeAriaLabel="Close" [style]="{ width: 'min(60rem, 96vw)' }">
      <div class="stack">
        @if (!found()) {
          <p>{{ wording.lead }}</p>
        }
        <div class="top">
        <label class="field panel" for="proof-panel">Panel<p-select inputId="proof-panel" [options]="panels()" optionValue="value" optionLabel="label" [filter]="true" [ngModel]="zone()" (ngModelChange)="picked.set($event)" appendTo="body" [fluid]="true" /></label>
        @if (found(); as found) {
          <div role="status" class="verdict">
            <p class="num"><strong>{{ wording.verdict(found.before, found.after, found.doubt) }}</strong></p>
            <p class="num">{{ wording.counted(found.before, found.after, found.doubt) }}</p>
          </div>
          <p-button label="Keep with the job" icon="pi pi-check" (onClick)="keep()" />
        }
        </div>
        <div class="pair">
          @for (when of times; track when) {
            <section>
              <h3>{{ when === 'before' ? 'Before' : 'After' }}</h3>
              @if (taken()[when]; as one) {
                <figure>
                  <img [src]="one.url" [alt]="when === 'before' ? 'Before' : 'After'" />
                  @if (counted()[when]; as lines) {
                    <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
                      @for (path of lines; track $index) {
                        <path [attr.d]="path" vector-effect="non-scaling-stroke" />
                      }
                    </svg>
                  }
                </figure>
              }
              <esm-take-picture [busy]="study.share() !== null" [canSimulate]="true" (taken)="take(when, $event)" (simulated)="simulate(when)" />
            </section>
          }
        </div>
        @if (simulated()) {
          <p class="soft">{{ wording.simulated }}</p>
        }
        @if (study.share(); as share) {
          <div class="row"><esm-progress [percent]="100 * share" label="Laying them on each other" /><p-button label="Stop" severity="secondary" [outlined]="true" (onClick)="study.stop()" /></div>
        }
        @if (problem(); as why) {
          <p class="note stop" role="alert">{{ why }}</p>
        }
      </div>
    </p-dialog>
  `,
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
      position: relative;
      margin: 0 0 0.5rem;
    }
    img {
      display: block;
      width: 100%;
      border-radius: 12px;
    }
    svg {
      position: absolute;
      inset: 0;
      width: 100%;
      height: 100%;
    }
    path {
      fill: none;
      stroke: var(--rail-amber);
      stroke-width: 2px;
    }
  `,
})
export class HalfPanelComponent {
  readonly closed = output();

  protected readonly wording = proofText;
  protected readonly times = pictureTimes;
  private readonly desk = inject(JobDesk);
  private readonly now = inject(NOW);
  private readonly pictures = picturesOf(signal([]));

  protected readonly panels = computed(() => this.desk.zones().filter(({ surface }) => surface === 'paint').map(({ id }) => ({ value: id, label: capital(zoneName(id)) })));
  protected readonly picked = signal<ZoneId | null>(null);
  protected readonly zone = computed((): ZoneId => this.picked() ?? this.panels().find(({ value }) => value === 'bonnet')?.value ?? this.panels()[0]?.value ?? 'roof');

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
    return this.unreadable() ?? this.study.failure() ?? (answer?.kind === 'refused' ? proofFaultText[answer.fault] : null);
  });
  /** The lines of each picture as paths of dots, in hundredths. */
  protected readonly counted = computed((): Readonly<Partial<Record<PictureTime, readonly string[]>>> => {
    const found = this.found();
    const paths = ({ lines }: Counted): readonly string[] => lines.map((line) => line.map(({ x, y }) => `M${(100 * x).toFixed(2)},${(100 * y).toFixed(2)}h.1`).join(''));
    return found ? { before: paths(found.before), after: paths(found.after) } : {};
  });

  protected async take(when: PictureTime, file: Blob): Promise<void> {
    this.unreadable.set(null);
    try {
      const raster = await rasterOf(file);
      const old = this.taken()[when];
      if (old) URL.revokeObjectURL(old.url);
      this.taken.update((all) => ({ ...all, [when]: { file, raster, url: URL.createObjectURL(file) } }));
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

  protected async keep(): Promise<void> {
    const [found, { before, after }, zone] = [this.found(), this.taken(), this.zone()];
    if (!found || !before || !after) return;
    const [first, second] = [await this.pictures.keep(before.file), await this.pictures.keep(after.file)];
    if ('problem' in first) return this.unreadable.set(first.problem);
    if ('problem' in second) return this.unreadable.set(second.problem);
    const count = ({ arcs, streaks }: Counted): number => arcs + streaks;
    const [marksBefore, marksAfter] = [count(found.before), count(found.after)];
    const note = proofText.kept(marksBefore, marksAfter, found.doubt);
    const pair = ([['before', first.key], ['after', second.key]] as const).map(([when, photo]): Picture => ({ id: freshId('picture'), when, zone, note, photo })) as [Picture, Picture];
    const proof = { id: freshId('proof'), zone, at: this.now(), before: pair[0].id, after: pair[1].id, marksBefore, marksAfter, doubt: found.doubt };
    this.desk.edit(`${zoneName(zone)}: ${note}`, (job) => keepProof(job, proof, pair));
    this.closed.emit();
  }
}
