import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { type DeviceKind, type Dosed, type Job, type Mix, deviceKinds, ml } from '@esmero/core';
import { type Units, contentName, deviceName, fixed, mixSentences, money, originName, percent } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { treatmentLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { VesselDrawingComponent } from '../../ui/vessel/vessel-drawing.component';

interface Named {
  readonly id: string;
  readonly name: string;
}

interface Bench {
  readonly mix: Mix;
  readonly title: string;
  readonly sentences: readonly string[];
  readonly strength: string;
  readonly warning: string | null;
  readonly rounding: string;
  readonly rest: string;
  readonly cost: string;
}

const bandText = {
  'too-weak': 'After rounding, this is weaker than the label allows: measure with a finer device.',
  'too-strong': 'After rounding, this is stronger than the label allows: measure with a finer device.',
} as const;

/** What whole steps of the device make of the exact amount. */
function roundingText({ productMl, measured }: Dosed, u: Units): string {
  const exact = `Exactly it would be ${u.volume(productMl)}`;
  if (Math.abs(measured.error) < 0.0005) return `${exact}, and the device can measure that.`;
  const off = percent(Math.abs(measured.error), 1);
  return `${exact}; whole steps of the device give ${off} too ${measured.error > 0 ? 'much' : 'little'}.`;
}

const devices: Readonly<Record<DeviceKind, { readonly stepMl: number; readonly capacityMl: number }>> = {
  cup: { stepMl: 5, capacityMl: 100 },
  syringe: { stepMl: 1, capacityMl: 60 },
  cap: { stepMl: 10, capacityMl: 10 },
  pump: { stepMl: 2, capacityMl: 2 },
};

/** Steps that a measuring device may have. */
const LEAST_STEP_ML = 0.05;
const MOST_STEP_ML = 1000;

/** What goes into which vessel, drawn with its lines. */
@Component({
  selector: 'esm-mix-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, InputText, Select, VesselDrawingComponent],
  templateUrl: './mix.stage.html',
  styleUrl: './mix.stage.css',
})
export class MixStage {
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);

  protected readonly devices = deviceKinds.map((value) => ({ value, label: deviceName[value] }));
  protected readonly benches = computed(() => (this.desk.plan()?.mix.mixes ?? []).map((mix) => this.bench(mix)));
  protected readonly products = computed(() => this.carried('product', this.desk.job()!.products));
  protected readonly vessels = computed(() => this.carried('vessel', this.desk.job()!.vessels));

  constructor() {
    inject(NetBoard).use({
      caption: 'The car, unfolded, with what is done to each zone',
      looks: computed(() => treatmentLooks(this.desk.zonePlans().values(), this.desk.job()?.choices.fixed ?? {})),
      paints: false,
      press: () => undefined,
    });
  }

  private bench(mix: Mix): Bench {
    const u = this.desk.units();
    const dose = mix.fills[0]?.dose ?? null;
    const currency = this.desk.job()?.currency ?? 'EUR';
    return {
      mix,
      title: contentName[mix.content],
      sentences: mixSentences(mix, u),
      strength: mix.strength
        ? `1 to ${fixed(mix.strength.waterParts, 1)} water = 1 in ${fixed(mix.strength.wholeParts, 1)} = ${fixed(mix.strength.percent, 2)} % (${originName[mix.use?.origin ?? 'label']})`
        : '',
      warning: dose && dose.band !== 'within' ? bandText[dose.band] : null,
      rounding: dose ? roundingText(dose, u) : '',
      rest: `Panels take ${u.volume(mix.demandMl)}; ${u.volume(mix.leftoverMl)} stay in the vessel.`,
      cost: !mix.productName ? '' : mix.costMinor === null ? 'Price not known.' : money(mix.costMinor, currency),
    };
  }

  /** Everything on the shelf, and what the job has that is no longer there. */
  private carried(kind: 'product' | 'vessel', own: readonly Named[]) {
    const shelf: readonly Named[] = this.desk
      .library()
      .filter((entry) => entry.kind === kind && !entry.archived)
      .map(({ item }) => item);
    const gone = own.filter(({ id }) => !shelf.some((one) => one.id === id));
    return [...shelf, ...gone].map((item) => ({ item, on: own.some(({ id }) => id === item.id) }));
  }

  protected carry(part: 'products' | 'vessels', item: Named, on: boolean): void {
    this.desk.edit(`${item.name} ${on ? 'taken along' : 'left behind'}`, (job: Job) => ({
      ...job,
      [part]: on ? [...job[part], item] : job[part].filter(({ id }) => id !== item.id),
    }));
  }

  protected measureWith(kind: DeviceKind): void {
    const { stepMl, capacityMl } = devices[kind];
    this.desk.edit(`Measured with a ${deviceName[kind]}`, (job) => ({
      ...job,
      device: { kind, stepMl: ml(stepMl), capacityMl: ml(capacityMl) },
    }));
  }

  protected readonly stepRefused = signal(false);
  protected readonly stepBounds = computed(() => {
    const u = this.desk.units();
    return `From ${u.volume(LEAST_STEP_ML)} to ${u.volume(MOST_STEP_ML)}, please.`;
  });

  protected setStep(text: string): void {
    const step = this.desk.units().edit.volume.read(Number(text));
    const good = step >= LEAST_STEP_ML && step <= MOST_STEP_ML;
    this.stepRefused.set(!good);
    if (!good) return;
    this.desk.edit('Measuring step changed', (job) => ({
      ...job,
      device: { ...job.device, stepMl: ml(step), capacityMl: ml(Math.max(step, job.device.capacityMl)) },
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
