import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button, ButtonDirective } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import {
  type Advice,
  type Caution,
  type AdviceReason,
  type Dosed,
  type Mix,
  type Fill,
  waterByStage,
} from '@esmero/core';
import { bounds, type DeviceKind, type Job, deviceKinds } from '@esmero/model';
import { defaultCurrency, ml } from '@esmero/units';
import {
  type Units,
  contentName,
  deviceName,
  fixed,
  mixTitle,
  mixSentences,
  money,
  originName,
  rinseWaterLines,
  percent,
  mixText,
  dayText,
  partsText,
  bottleSentence,
} from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { treatmentLooks } from '../../ui/net/looks';
import { CautionsComponent } from '../../ui/cautions.component';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { NumberComponent } from '../../ui/number.component';
import type { LabelsPaper, VesselLabel } from '@esmero/papers';
import { PdfComponent } from '../../ui/pdf.component';
import { VesselLabelComponent } from '../../ui/vessel-label.component';
import { VesselDrawingComponent } from '../../ui/vessel/vessel-drawing.component';

interface Named {
  readonly id: string;
  readonly name: string;
}

interface Bench {
  /** As drawn: the first filling, or what stands in the vessel. */
  readonly fill: Fill;
  readonly mix: Mix;
  readonly title: string;
  readonly sentences: readonly string[];
  readonly strength: string;
  readonly warning: string | null;
  readonly rounding: string;
  readonly rest: string;
  readonly cost: string;
  readonly advice: Advised | null;
  /** How hot flush water cools while it is used. */
  readonly hot: string | null;
  readonly label: VesselLabel | null;
}

/** The strength that today asks for, in words. */
interface Advised extends Advice {
  readonly says: string;
  readonly differs: boolean;
}

const because: Readonly<Record<AdviceReason, string>> = {
  sun: 'in the sun',
  hot: 'on hot panels',
  cool: 'in the cool',
  heavy: 'for heavy dirt',
  light: 'for light dirt',
};

const bandText = {
  'too-weak': mixText.tooWeak,
  'too-strong': mixText.tooStrong,
} as const;

/** What whole steps of the device make of the exact amount. */
function roundingText({ productMl, measured }: Dosed, u: Units): string {
  const exact = `Exactly it would be ${u.volume(productMl)}`;
  if (Math.abs(measured.error) < 0.0005) return mixText.exact(exact);
  const off = percent(Math.abs(measured.error), 1);
  return `${exact}; whole steps of the device give ${off} too ${measured.error > 0 ? 'much' : 'little'}.`;
}

const devices: Readonly<Record<Exclude<DeviceKind, 'cap'>, { readonly stepMl: number; readonly capacityMl: number }>> =
  {
    cup: { stepMl: 5, capacityMl: 100 },
    syringe: { stepMl: 1, capacityMl: 60 },
    pump: { stepMl: 2, capacityMl: 2 },
  };

/** The first product with the purpose is the one that serves it. */
function withStrength(products: Job['products'], purpose: Advice['purpose'], waterParts: number): Job['products'] {
  const serves = products.findIndex(({ uses }) => uses.some((use) => use.purpose === purpose));
  return products.map((product, i) =>
    i === serves
      ? {
          ...product,
          uses: product.uses.map((use) =>
            use.purpose === purpose
              ? {
                  ...use,
                  dilution: { label: String(waterParts), reading: 'water' as const },
                  origin: 'computed' as const,
                }
              : use,
          ),
        }
      : product,
  );
}

/** What goes into which vessel, drawn with its lines. */
@Component({
  selector: 'esm-mix-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ButtonDirective,
    CautionsComponent,
    Dialog,
    FormsModule,
    NumberComponent,
    Select,
    PdfComponent,
    VesselDrawingComponent,
    VesselLabelComponent,
  ],
  templateUrl: './mix.stage.html',
  styleUrl: './mix.stage.css',
})
export class MixStage {
  protected readonly wording = mixText;
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);

  protected readonly devices = deviceKinds.map((value) => ({ value, label: deviceName[value] }));
  protected readonly bottles = computed(() =>
    (this.desk.plan()?.bottles ?? []).map((bottle) => ({
      title: contentName[bottle.purpose],
      name: bottle.productName,
      says: bottleSentence(bottle, this.desk.units()),
    })),
  );
  /** Where the water of rinses goes. */
  protected readonly water = computed(() => {
    const [job, plan] = [this.desk.job(), this.desk.plan()];
    const water = job && plan ? waterByStage(job, plan) : null;
    return water ? rinseWaterLines(water, this.desk.units()) : [];
  });
  protected readonly benches = computed(() => (this.desk.plan()?.mix.mixes ?? []).map((mix) => this.bench(mix)));
  protected readonly products = computed(() => this.carried('product', this.desk.job()!.products));
  protected readonly gear = computed(() => this.carried('gear', this.desk.job()!.gear));
  protected readonly vessels = computed(() => this.carried('vessel', this.desk.job()!.vessels));

  /** Cautions whose hazard is met here. */
  protected readonly here: readonly Caution[] = ['chemicals', 'hot-liquid', 'solvent'];

  constructor() {
    inject(NetBoard).use({
      shape: 'instrument',
      caption: 'The car, unfolded, with what is done to each panel',
      looks: computed(() => treatmentLooks(this.desk.zonePlans().values(), this.desk.job()?.choices.fixed ?? {})),
      paints: false,
      press: () => undefined,
    });
  }

  private bench(mix: Mix): Bench {
    const u = this.desk.units();
    const dose = mix.fills[0]?.dose ?? null;
    const currency = this.desk.job()?.currency ?? defaultCurrency;
    return {
      mix,
      title: mixTitle(mix),
      fill: mix.fills[0] ?? { totalMl: mix.haveMl, waterMl: mix.haveMl, dose: null },
      sentences: mixSentences(mix, u),
      strength: mix.strength
        ? `1 to ${fixed(mix.strength.waterParts, 1)} water = 1 in ${fixed(mix.strength.wholeParts, 1)} = ${fixed(mix.strength.percent, 2)} % (${originName[mix.use?.origin ?? 'label']})`
        : '',
      warning: dose && dose.band !== 'within' ? bandText[dose.band] : null,
      rounding: dose ? roundingText(dose, u) : '',
      rest: `The panels use ${u.volume(mix.demandMl)}; ${u.volume(mix.leftoverMl)} left over.`,
      advice: this.advised(mix),
      hot: mix.content === 'water' ? this.hotWater() : null,
      label: this.labelOf(mix),
      cost: !mix.productName ? '' : mix.costMinor === null ? 'Price not known.' : money(mix.costMinor, currency),
    };
  }

  private advised({ use, strength }: Mix): Advised | null {
    const advice = this.desk.plan()?.advice.find(({ purpose }) => purpose === use?.purpose);
    if (!advice || !strength) return null;
    const differs = Math.round(strength.waterParts) !== advice.waterParts;
    const why = advice.reasons.map((reason) => because[reason]).join(', ') || 'on an ordinary day';
    const says = differs ? mixText.suitsBetter(why, advice.waterParts) : mixText.suits(why, advice.waterParts);
    return { ...advice, says, differs };
  }

  private hotWater(): string | null {
    const hot = this.desk.plan()?.hotWater;
    if (!hot) return null;
    const t = (c: number): string => this.desk.units().temperature(c);
    const lasts = hot.lastsMin === null ? '' : mixText.hotFor(t(hot.leastC), fixed(hot.lastsMin));
    return `Heat it to ${t(hot.startC)}; in this vessel it is at ${t(hot.thenC)} after ${fixed(hot.minutes)} min.${lasts} Only a sprayer rated for hot water, gloves, let the pressure off first.`;
  }

  private labelOf({ content, productName, strength, vessel }: Mix): VesselLabel | null {
    if (!productName || !strength) return null;
    return {
      content: contentName[content],
      product: productName,
      ratio: `1 to ${fixed(strength.waterParts, 1)} water`,
      vessel: vessel.name,
      date: dayText(this.desk.job()?.date ?? ''),
    };
  }

  /** The strength goes into the job's own copy of the product. */
  protected advise({ purpose, waterParts }: Advised): void {
    this.desk.edit(`${contentName[purpose]} at 1 to ${waterParts}`, (job) => ({
      ...job,
      wishes: purpose === 'wash' ? { ...job.wishes, strength: 'product' } : job.wishes,
      products: withStrength(job.products, purpose, waterParts),
    }));
  }

  protected readonly labels = computed(() => this.benches().flatMap(({ label }) => label ?? []));
  protected readonly labelsPaper = (): LabelsPaper => ({
    kind: 'labels',
    labels: this.labels(),
    caution: partsText.label,
  });

  protected readonly labelled = signal<Mix['content'] | null>(null);
  protected readonly label = computed(
    () => this.benches().find(({ mix }) => mix.content === this.labelled())?.label ?? null,
  );
  /** Whose working is shown. */
  protected readonly opened = signal<Mix['content'] | null>(null);
  protected toggle({ content }: Mix): void {
    this.opened.update((now) => (now === content ? null : content));
  }
  /** All vessels are drawn to the scale of the largest. */
  protected readonly largestMl = computed(() => Math.max(1, ...this.benches().map(({ mix }) => mix.vessel.capacityMl)));

  /** Everything in the library, and what the job has that is no longer there. */
  private carried(kind: 'product' | 'vessel' | 'gear', own: readonly Named[]) {
    const offered: readonly Named[] = this.desk
      .library()
      .filter((entry) => entry.kind === kind && !entry.archived)
      .map(({ item }) => item);
    const gone = own.filter(({ id }) => !offered.some((one) => one.id === id));
    return [...offered, ...gone].map((item) => ({ item, on: own.some(({ id }) => id === item.id) }));
  }

  protected carry(part: 'products' | 'vessels' | 'gear', item: Named, on: boolean): void {
    this.desk.edit(`${item.name} ${on ? 'taken along' : 'left behind'}`, (job: Job) => ({
      ...job,
      [part]: on ? [...job[part], item] : job[part].filter(({ id }) => id !== item.id),
    }));
  }

  /** A cap is no unit: nothing is counted in caps before somebody has measured one. */
  protected readonly capAsked = signal(false);

  protected measureWith(kind: DeviceKind): void {
    this.capAsked.set(kind === 'cap');
    if (kind === 'cap') return;
    const { stepMl, capacityMl } = devices[kind];
    this.desk.edit(`Measured with a ${deviceName[kind]}`, (job) => ({
      ...job,
      device: { kind, stepMl: ml(stepMl), capacityMl: ml(capacityMl) },
    }));
  }

  protected readonly bounds = bounds;
  protected readonly step = computed(() => (this.capAsked() ? null : (this.desk.job()?.device.stepMl ?? null)));

  protected setStep(step: number | null): void {
    if (step === null) return;
    const cap = this.capAsked();
    this.capAsked.set(false);
    this.desk.edit(cap ? 'Measured with a cap' : 'Measuring step changed', (job) => ({
      ...job,
      device: {
        ...job.device,
        ...(cap ? { kind: 'cap', capacityMl: ml(step) } : {}),
        stepMl: ml(step),
        capacityMl: ml(cap ? step : Math.max(step, job.device.capacityMl)),
      },
    }));
  }

  protected light(mix: Mix | null): void {
    const { content } = mix ?? {};
    const plans = this.desk.plan()?.zones ?? [];
    this.view.light(
      content && content !== 'rinse'
        ? plans.filter(({ option }) => (option?.laidMl[content] ?? 0) > 0).map(({ zone }) => zone.id)
        : [],
    );
  }
}
