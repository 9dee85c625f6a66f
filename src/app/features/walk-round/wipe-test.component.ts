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
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Checkbox } from 'primeng/checkbox';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import {
  type OfPicture,
  type WipeMeasured,
  type WipedKind,
  addPicture,
  levelOfLoad,
  measure,
  onTowelByLevel,
  onTowelByScale,
  simulatedScene,
  renderTowel,
  resolveAssumptions,
  soilOn,
  wipedKinds,
} from '@esmero/core';
import { type Calibration, type ZoneId, soilLevels } from '@esmero/model';
import { capital, eyeText, levelName, pictureFaultText, roughly, soilName, zoneName } from '@esmero/messages';
import { freshId } from '@esmero/records';
import { NOW } from '../../state/clock';
import { EyeDesk } from '../../state/eye-desk';
import { JobDesk } from '../../state/job-desk';
import { picturesOf } from '../../state/pictures';
import { questionOf } from '../../state/study';
import { ChoiceComponent } from '../../ui/choice.component';
import { NumberComponent } from '../../ui/number.component';
import { ProgressComponent } from '../../ui/progress.component';
import { fileOf, rasterOf } from '../../ui/raster';
import { TakePictureComponent } from '../../ui/take-picture.component';

/** Edges of the patch that is wiped, cm. */
const patches = [10, 15, 20] as const;
const GRAMS = { min: 0, max: 10_000 } as const;
/** A dirty panel needs a smaller patch, else black is black: from this load on, g/m². */
const SMALLER_FROM = [5, 1.5] as const;

/** A panel’s soil, measured by a picture of the towel that wiped a patch of it. */
@Component({
  selector: 'esm-wipe-test',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    Checkbox,
    ChoiceComponent,
    Dialog,
    FormsModule,
    NumberComponent,
    ProgressComponent,
    Select,
    TakePictureComponent,
  ],
  templateUrl: './wipe-test.component.html',
  styleUrls: ['../../ui/marked-picture.css', './wipe-test.component.css'],
})
export class WipeTestComponent {
  readonly zone = input.required<ZoneId>();
  readonly closed = output();

  protected readonly wording = eyeText;
  protected readonly desk = inject(JobDesk);
  protected readonly eye = inject(EyeDesk);
  private readonly now = inject(NOW);
  private readonly pictures = picturesOf(signal([]));

  protected readonly grams = GRAMS;
  protected readonly name = computed(() => zoneName(this.zone()));
  protected readonly assumptions = computed(() => resolveAssumptions(this.desk.job()?.choices.assumptions ?? {}));
  private readonly known = computed(() => {
    const [job, zone] = [this.desk.job(), this.desk.zone(this.zone())];
    return job && zone ? soilOn(zone, job, this.assumptions()) : null;
  });

  protected readonly cloths = computed(() => {
    const towels = (this.desk.job()?.towels ?? []).filter(({ role }) => role !== 'wheels');
    return towels.map((batch) => ({
      label: batch.name,
      value: batch.name,
      sideM2: (2 * batch.widthM * batch.heightM) / batch.sides,
    }));
  });
  private readonly pickedCloth = signal<string | null>(null);
  protected readonly cloth = computed(() => this.pickedCloth() ?? this.cloths()[0]?.value ?? '');
  private readonly sideM2 = computed(
    () => this.cloths().find(({ value }) => value === this.cloth())?.sideM2 ?? simulatedScene.sideM2,
  );

  protected readonly patches = patches.map((cm) => ({ value: cm, label: `${cm} × ${cm} cm` }));
  private readonly pickedPatch = signal<number | null>(null);
  protected readonly patch = computed(() => {
    const load = this.known()?.totalGm2 ?? 0;
    return this.pickedPatch() ?? patches[load > SMALLER_FROM[0] ? 0 : load > SMALLER_FROM[1] ? 1 : 2]!;
  });
  private readonly patchM2 = computed(() => (this.patch() / 100) ** 2);

  protected readonly kinds = [
    { value: null as WipedKind | null, label: 'Find out' },
    ...wipedKinds.map((value) => ({ value: value as WipedKind | null, label: capital(soilName[value]) })),
  ];
  protected readonly kind = signal<WipedKind | null>(null);

  private readonly picture = signal<OfPicture<'wipe-test'>['picture'] | null>(null);
  private readonly file = signal<Blob | null>(null);
  protected readonly isSimulated = signal(false);
  protected readonly keeps = signal(false);
  protected readonly problem = signal<string | null>(null);
  protected readonly url = signal<string | null>(null);

  private readonly asked = computed((): OfPicture<'wipe-test'> | null => {
    const [picture, zone] = [this.picture(), this.desk.zone(this.zone())];
    if (!picture || !zone) return null;
    return {
      picture,
      asked: {
        patchM2: this.patchM2(),
        sideM2: this.sideM2(),
        cleanliness: zone.cleanliness,
        kind: this.kind(),
        person: this.eye.person(),
        cloth: this.cloth(),
        calibrations: this.eye.calibrations(),
        dye: this.dye(),
        assumptions: this.assumptions(),
      },
    };
  });
  protected readonly study = questionOf('wipe-test', this.asked, true);
  /** Of the only product whose dye is known; with several one cannot tell which it was. */
  private readonly dye = computed(() => {
    const dyes = (this.desk.job()?.products ?? []).flatMap(({ dye }) => (dye ? [dye] : []));
    return dyes.length === 1 ? dyes[0]! : null;
  });
  protected readonly found = computed((): WipeMeasured | null => {
    const answer = this.study.answer();
    return answer?.kind === 'measured' ? answer : null;
  });
  protected readonly fault = computed(() => {
    const answer = this.study.answer();
    return answer?.kind === 'refused' ? pictureFaultText[answer.fault] : null;
  });
  protected readonly outline = computed(() =>
    (this.study.answer()?.outline ?? []).map(({ x, y }) => `${(100 * x).toFixed(2)},${(100 * y).toFixed(2)}`).join(' '),
  );
  protected readonly load = computed(() => this.desk.units().load(roughly(this.found()?.loadGm2 ?? 0)));
  protected readonly level = computed(() => {
    const found = this.found();
    return found && levelOfLoad(found.loadGm2, this.assumptions());
  });
  protected readonly levelName = levelName;
  protected readonly soilName = soilName;

  protected readonly calibrates = signal(false);
  protected readonly levels = soilLevels.map((value) => ({
    value,
    label: levelName[value],
    brief: String(value),
    level: value,
  }));
  private readonly before = signal<number | null>(null);
  private readonly after = signal<number | null>(null);
  protected readonly mine = computed(() =>
    this.eye.calibrations().filter(({ person, name }) => person === this.eye.person() && name === this.cloth()),
  );

  constructor() {
    effect(() => {
      const file = this.file();
      const url = file && URL.createObjectURL(file);
      this.url.update((old) => {
        if (old) URL.revokeObjectURL(old);
        return url;
      });
    });
    inject(DestroyRef).onDestroy(() => {
      const url = this.url();
      if (url) URL.revokeObjectURL(url);
    });
  }

  protected async take(file: Blob, isSimulated = false): Promise<void> {
    this.problem.set(null);
    try {
      this.picture.set(await rasterOf(file));
    } catch {
      this.picture.set(null);
      this.file.set(null);
      return this.problem.set(eyeText.unreadable);
    }
    this.file.set(file);
    this.isSimulated.set(isSimulated);
  }

  /** A towel that wiped this panel, if it is as the job says, under some light. */
  protected async simulate(): Promise<void> {
    const known = this.known();
    const kind = known?.loads.find((one) => (wipedKinds as readonly string[]).includes(one.kind))?.kind as
      WipedKind | undefined;
    const [warmth, seed] = [0.2 * Math.random() - 0.1, Math.floor(1e6 * Math.random())];
    const scene = {
      ...simulatedScene,
      width: 1280,
      height: 960,
      weave: 0.02,
      share: 0.72,
      turnDeg: 24 * Math.random() - 12,
      slope: [0.1 * Math.random(), 0.1 * Math.random()] as const,
      kind: kind ?? 'dust',
      loadGm2: known?.totalGm2 ?? 0.5,
      patchM2: this.patchM2(),
      sideM2: this.sideM2(),
      white: [0.62 * (1 + warmth), 0.62, 0.62 * (1 - warmth)] as const,
      blur: 1,
      seed,
    };
    await this.take(await fileOf(renderTowel(scene, this.assumptions())), true);
  }

  protected pickCloth(cloth: string): void {
    this.pickedCloth.set(cloth);
  }

  protected pickPatch(cm: number): void {
    this.pickedPatch.set(cm);
  }

  protected async put(): Promise<void> {
    const [found, zone, level, file] = [this.found(), this.zone(), this.level(), this.file()];
    if (!found || level === null) return;
    const kept = this.keeps() && file ? await this.pictures.keep(file) : null;
    if (kept && 'problem' in kept) return this.problem.set(kept.problem);
    const { loadGm2, spread } = found;
    this.desk.edit(eyeText.put(this.name(), this.load()), (job) => {
      const measured = measure(job, zone, { kind: found.soil, level }, { loadGm2, spread });
      return kept
        ? addPicture(measured, {
            id: freshId('picture'),
            when: 'before',
            zone,
            note: eyeText.put(this.name(), this.load()),
            photo: kept.key,
            shows: 'towel',
          })
        : measured;
    });
    this.closed.emit();
  }

  protected weigh(which: 'before' | 'after', grams: number | null): void {
    this[which].set(grams);
  }

  protected readonly weighed = computed(() => {
    const [before, after] = [this.before(), this.after()];
    return before !== null && after !== null && after > before ? after - before : null;
  });

  protected byScale(): void {
    const grams = this.weighed();
    if (grams !== null) this.calibrate('scale', onTowelByScale(grams, this.sideM2()));
  }

  protected byLevel(level: (typeof soilLevels)[number]): void {
    this.calibrate('levels', onTowelByLevel(level, this.patchM2(), this.sideM2(), this.assumptions()));
  }

  private calibrate(by: Calibration['by'], onTowelGm2: number): void {
    const found = this.found();
    if (!found) return;
    this.eye.calibrate({
      id: freshId('calibration'),
      name: this.cloth(),
      person: this.eye.person(),
      kind: found.soil,
      by,
      at: this.now(),
      onTowelGm2,
      shades: found.shades,
    });
    this.calibrates.set(false);
  }
}
