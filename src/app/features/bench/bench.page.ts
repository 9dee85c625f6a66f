import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import {
  type Dilution,
  type Fill,
  type FillMode,
  apart,
  costPerCar,
  countFor,
  fillModes,
  fillVolumes,
  fillWith,
  newItem,
  notations,
  readDilution,
  strengthPoured,
} from '@esmero/core';
import {
  bounds,
  type DeviceKind,
  type LabelReading,
  type MeasuringDevice,
  type Vessel,
  deviceKinds,
  labelReadings,
} from '@esmero/model';
import { ml, toMinor } from '@esmero/units';
import { today } from '../../state/today';
import { deviceName, fillSentence, fixed, money, readingName, mixingText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { CollectionDesk } from '../../state/collection-desk';
import { ChoiceComponent } from '../../ui/choice.component';
import { NumberComponent } from '../../ui/number.component';
import { VesselDrawingComponent } from '../../ui/vessel/vessel-drawing.component';
import type { VesselLabel } from '@esmero/papers';
import { VesselLabelComponent } from '../../ui/vessel-label.component';

/** One way to understand the number on the label, with what it makes of the volume. */
interface Reading {
  readonly title: string;
  readonly strength: string;
  readonly fills: readonly Fill[];
  readonly sentences: readonly string[];
}

const fillName: Readonly<Record<FillMode, string>> = {
  finalVolume: 'The finished mix',
  intoWater: 'The water that product goes into',
};

/** Product steps that devices commonly have; a cap has none before it is measured. */
const usualSteps: Readonly<Record<DeviceKind, number | null>> = { cup: 5, syringe: 1, cap: null, pump: 2 };

/** A ratio as it is spoken: tenths matter where it is strong. */
const ratioText = (waterParts: number): string => fixed(waterParts, waterParts < 20 ? 1 : 0);

/** Any dilution, apart from any job: vessel, lines, rounding, both readings of a label, cost, label. */
@Component({
  selector: 'esm-bench-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ChoiceComponent,
    FormsModule,
    InputText,
    NumberComponent,
    Select,
    VesselDrawingComponent,
    VesselLabelComponent,
  ],
  templateUrl: './bench.page.html',
  styleUrl: './bench.page.css',
})
export class BenchPage {
  protected readonly wording = mixingText;
  protected readonly desk = inject(JobDesk);
  protected readonly u = this.desk.units;

  protected readonly readings = labelReadings.map((value) => ({ value, label: readingName[value] }));
  protected readonly modes = fillModes.map((value) => ({ value, label: fillName[value] }));
  protected readonly devices = deviceKinds.map((value) => ({ value, label: deviceName[value] }));

  protected readonly content = signal('Rinseless wash');
  protected readonly product = signal('');
  protected readonly number = signal('256');
  protected readonly reading = signal<LabelReading>('water');
  protected readonly mode = signal<FillMode>('finalVolume');
  /** mL. */
  protected readonly volume = signal(8000);
  protected readonly deviceKind = signal<DeviceKind>('syringe');
  protected readonly step = signal<number | null>(1);
  protected readonly vesselId = signal<string | null>(null);
  protected readonly labelled = signal(false);

  protected readonly vessels = computed(() =>
    this.desk
      .library()
      .filter((entry) => entry.kind === 'vessel' && !entry.archived)
      .map(({ item }) => item as Vessel),
  );
  protected readonly vesselChoices = computed(() => [
    { value: '', label: 'What fits' },
    ...this.vessels().map(({ id, name }) => ({ value: id, label: name })),
  ]);
  /** Without a choice, the smallest that holds it in one filling, or a bucket of our own that does. */
  protected readonly vessel = computed((): Vessel => {
    const chosen = this.vessels().find(({ id }) => id === this.vesselId());
    if (chosen) return chosen;
    const line = ({ capacityMl, workingShare }: Vessel): number => capacityMl * workingShare;
    const fitting = [...this.vessels()].sort((p, q) => line(p) - line(q)).find((one) => line(one) >= this.volume());
    return (
      fitting ?? {
        ...newItem.vessel('bench'),
        name: 'Bucket',
        kind: 'bucket',
        capacityMl: ml(Math.max(1000, this.volume() / 0.8)),
        workingShare: 0.8,
      }
    );
  });
  private readonly device = computed((): MeasuringDevice | null => {
    const step = this.step();
    return step === null ? null : { kind: this.deviceKind(), stepMl: ml(step), capacityMl: ml(Math.max(step, 60)) };
  });

  private readonly fault = computed(() => {
    const read = readDilution({ label: this.number(), reading: this.reading() });
    return read.ok ? null : mixingText.noMix;
  });
  protected readonly problem = computed(() => {
    if (this.fault()) return this.fault();
    return this.device() ? null : mixingText.cap;
  });

  protected readonly main = computed(() => (this.problem() ? null : this.under(this.reading())));
  /** A bare ratio may mean the water or the whole: the other way to read it stands beside it. */
  protected readonly other = computed(() => {
    const reading = this.reading();
    if (this.problem() || (reading !== 'water' && reading !== 'whole')) return null;
    return this.under(reading === 'water' ? 'whole' : 'water');
  });
  protected readonly apart = computed(() => {
    const [main, other] = [this.main(), this.other()];
    const [p, q] = [main?.fills[0]?.dose?.productMl, other?.fills[0]?.dose?.productMl];
    if (!p || !q) return '';
    const more = apart(p, q) * 100;
    return mixingText.apart(fixed(more, more < 10 ? 1 : 0));
  });

  private dilutionOf(reading: LabelReading): Dilution | null {
    const read = readDilution({ label: this.number(), reading });
    return read.ok ? read.dilution : null;
  }

  private under(reading: LabelReading): Reading | null {
    const [dilution, device] = [this.dilutionOf(reading), this.device()];
    if (!dilution || !device) return null;
    const said = notations(dilution);
    const poured = { dilution, use: { weakest: null, strongest: null } };
    const fills = fillVolumes(this.volume(), this.vessel()).map((v) => fillWith(poured, this.mode(), v, device));
    const [amount, says] =
      this.u().system === 'us'
        ? [said.flOzPerGallon, mixingText.perGallon]
        : [said.mLPerLitreOfWater, mixingText.perLitre];
    const by = amount === null ? '' : ` = ${says(fixed(amount, amount < 10 ? 2 : 0))}`;
    return {
      title: readingName[reading].replace('N', this.number()),
      strength: `1 to ${fixed(said.waterParts, 1)} water = 1 in ${fixed(said.wholeParts, 1)} = ${fixed(said.percent, 2)} %${by}`,
      fills,
      sentences: fills.map((fill) => fillSentence(fill, this.u())),
    };
  }

  protected readonly rounding = computed(() => {
    const dose = this.main()?.fills[0]?.dose;
    if (!dose) return '';
    const { productMl, measured, trueWaterParts } = dose;
    const off =
      Math.abs(measured.error) < 0.0005
        ? 'which the device can measure'
        : `${fixed(Math.abs(measured.error) * 100, 1)} % too ${measured.error > 0 ? 'much' : 'little'} after rounding`;
    return `Exactly ${this.u().volume(productMl)} of product, ${off}; true ratio 1 to ${fixed(trueWaterParts, 1)}.`;
  });
  protected readonly label = computed((): VesselLabel | null => {
    const main = this.main();
    if (!main) return null;
    return {
      content: this.content() || 'Mix',
      product: this.product() || 'Product not named',
      ratio: main.strength.split(' = ')[0]!,
      vessel: this.vessel().name,
      date: today(),
    };
  });

  protected measureWith(kind: DeviceKind): void {
    this.deviceKind.set(kind);
    this.step.set(usualSteps[kind]);
  }

  protected readonly bounds = bounds;

  // The other way round: from what was poured to what it is.
  protected readonly pouredOpen = signal(false);
  protected readonly count = signal(2.5);
  /** mL, as is the water. */
  protected readonly each = signal(14.8);
  protected readonly into = signal(9460);
  protected readonly poured = computed(() => {
    const poured = { count: this.count(), eachMl: this.each(), waterMl: this.into() };
    const strength = poured.waterMl > 0 ? strengthPoured(poured) : null;
    if (!strength) return mixingText.pouredNothing;
    const { waterParts } = notations(strength);
    const label = this.dilutionOf(this.reading());
    const wanted = label && countFor(label, poured);
    const says = mixingText.poured(ratioText(waterParts));
    return label && wanted !== null
      ? `${says} ${mixingText.wanted(ratioText(notations(label).waterParts), fixed(wanted, wanted < 10 ? 1 : 0))}`
      : says;
  });

  // Cost by the car.
  protected readonly currency = inject(CollectionDesk).currency;
  protected readonly costsOpen = signal(false);
  protected readonly perCar = signal(500);
  protected readonly price = signal(26);
  protected readonly size = signal(1000);
  protected readonly readyPrice = signal(9);
  protected readonly readySize = signal(500);
  protected readonly costs = computed(() => {
    const dilution = this.dilutionOf(this.reading());
    const ready = readDilution({ label: '0', reading: 'water' });
    if (!dilution || !ready.ok || !(this.size() > 0) || !(this.readySize() > 0)) return null;
    const mixed = costPerCar(
      { priceMinor: toMinor(this.price(), this.currency()), sizeMl: this.size(), dilution },
      this.perCar(),
    );
    const bought = costPerCar(
      { priceMinor: toMinor(this.readyPrice(), this.currency()), sizeMl: this.readySize(), dilution: ready.dilution },
      this.perCar(),
    );
    const say = (minor: number): string => money(minor, this.currency());
    const times = mixed > 0 ? bought / mixed : Infinity;
    return {
      mixed: say(mixed),
      bought: say(bought),
      says:
        times >= 1
          ? mixingText.timesAsMuch(fixed(times, times < 10 ? 1 : 0))
          : mixingText.shareOfIt(fixed(times * 100)),
    };
  });
}
