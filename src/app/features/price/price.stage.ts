import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { Button, ButtonDirective } from 'primeng/button';
import {
  type CarsPrice,
  type QuoteAnswer,
  type QuoteAsked,
  billOf,
  invoiceOf,
  numbersOf,
  siteSheet,
} from '@esmero/core';
import type { StatementPaper } from '@esmero/papers';
import type { Bill, BillKind, Job } from '@esmero/model';
import {
  bandText,
  costName,
  dayText,
  money,
  percent,
  priceText,
  siteSheetSections,
  spanText,
  statementText,
  unitsOf,
  washText,
} from '@esmero/messages';
import { freshId } from '@esmero/records';
import { BusinessDesk } from '../../state/business-desk';
import { collectionFeature } from '../../state/collection';
import { Entries } from '../../state/entries';
import { JobDesk } from '../../state/job-desk';
import { questionOf } from '../../state/study';
import { today } from '../../state/today';
import { VanStock } from '../../state/van-stock';
import { ChoiceComponent, type ChoiceOption } from '../../ui/choice.component';
import { NetBoard } from '../../ui/net/net-board';
import { treatmentLooks } from '../../ui/net/looks';
import { PdfComponent } from '../../ui/pdf.component';
import { ProgressComponent } from '../../ui/progress.component';
import { billPaper } from './bill-paper';

/** What is asked of the plan: the same whatever has been billed since. */
const asPlanned = (job: Job): Job => ({ ...job, bills: [], run: null });

/** What to ask for it, and for how long: a quote before the car is seen, an invoice once it is done. */
@Component({
  selector: 'esm-price-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ButtonDirective, ChoiceComponent, PdfComponent, ProgressComponent, RouterLink],
  templateUrl: './price.stage.html',
  styleUrl: './price.stage.css',
})
export class PriceStage {
  protected readonly wording = priceText;
  protected readonly money = money;
  protected readonly desk = inject(JobDesk);
  private readonly state = inject(State);
  private readonly entries = inject(Entries);
  private readonly vanStock = inject(VanStock);
  protected readonly rates = inject(BusinessDesk);

  private readonly jobs = this.state.selectSignal(collectionFeature.selectJobs);
  private readonly units = computed(() => unitsOf(this.vanStock.units()));

  private readonly asked = computed(
    (): QuoteAsked | null => {
      const job = this.desk.job();
      return job && { job: asPlanned(job), business: this.rates.business(), van: this.vanStock.kept() };
    },
    { equal: (p, q) => JSON.stringify(p) === JSON.stringify(q) },
  );
  protected readonly study = questionOf('quote', this.asked, true);

  protected readonly cars = signal(1);
  protected readonly counts = computed((): readonly ChoiceOption<number>[] =>
    (this.study.answer()?.cars ?? []).map((one) => ({
      value: one.cars,
      label: String(one.cars),
      hint: priceText.saved(one),
    })),
  );
  private readonly several = computed(
    (): CarsPrice | null => this.study.answer()?.cars.find(({ cars }) => cars === this.cars()) ?? null,
  );
  protected readonly total = computed(() => {
    const [answer, several] = [this.study.answer(), this.several()];
    return answer && several ? money(several.totalMinor, answer.price.currency) : '';
  });
  protected readonly slot = computed(() => spanText(this.several()?.minutes ?? 0));
  protected readonly how = computed(() => {
    const answer = this.study.answer();
    return answer ? priceText.minutes(answer, this.rates.business().confidence) : '';
  });
  protected readonly bands = computed(
    () => this.study.answer()?.bands.map((band) => bandText(band, this.study.answer()!.price.currency)) ?? [],
  );
  /** Of one car: what it costs oneself, and what is kept. */
  protected readonly costs = computed(() => {
    const answer = this.study.answer();
    if (!answer) return [];
    const { costs, currency, netMinor } = answer.price;
    return costs.map(({ kind, minor }) => ({
      name: costName[kind],
      text: money(minor, currency),
      share: netMinor > 0 ? Math.min(1, minor / netMinor) : 0,
    }));
  });
  protected readonly sums = computed(() => {
    const answer = this.study.answer();
    return answer ? this.sumsOf(answer) : [];
  });
  protected readonly notes = computed(() => {
    const [answer, job, business] = [this.study.answer(), this.desk.job(), this.rates.business()];
    if (!answer || !job) return [];
    const { takes, price } = answer;
    return [
      ...(this.rates.isSet() ? [] : [priceText.noRates]),
      ...(price.isAgreed ? [priceText.agreed(job.soldAs!.name)] : []),
      ...(job.soldAs?.priceMinor != null && job.currency !== business.currency
        ? [priceText.quotedFor(job.currency, business.currency)]
        : []),
      ...(price.keptMinor < 0 ? [priceText.loses] : []),
      ...(takes.productMinor === null ? [priceText.unpriced] : []),
      takes.km > 0 ? priceText.road(this.units().distance(takes.km), takes.drivingMin) : priceText.noRoad,
    ];
  });
  protected readonly bills = computed(() =>
    [...(this.desk.job()?.bills ?? [])].reverse().map((bill) => this.shown(bill)),
  );
  protected readonly changed = computed(() => {
    const [answer, last] = [this.study.answer(), this.desk.job()?.bills.at(-1)];
    const expected = answer?.cars.find(({ cars }) => cars === (last?.lines[0]?.count ?? 1))?.totalMinor;
    return last?.kind === 'quote' && expected !== undefined && expected !== last.totalMinor;
  });

  constructor() {
    inject(NetBoard).use({
      shape: 'page',
      caption: 'The car, unfolded',
      looks: computed(() => treatmentLooks(this.desk.zonePlans().values(), this.desk.job()?.choices.fixed ?? {})),
      paints: false,
      press: () => undefined,
    });
  }

  protected readonly quotable = computed(() => (this.desk.plan()?.method ?? 'decline') !== 'decline');
  /** For whoever answers for the place. */
  protected readonly sheet = (): StatementPaper => {
    const [job, plan] = [this.desk.job()!, this.desk.plan()!];
    return {
      kind: 'statement',
      title: statementText.title,
      about: [this.rates.business().name, job.site.name, job.vehicle.name, dayText(job.date)].join(' · '),
      sections: siteSheetSections(siteSheet(job, plan), job.site, this.units()),
      table: null,
      foot: this.rates.business().name,
    };
  };

  protected make(kind: BillKind): void {
    const [quote, job, several] = [this.study.answer(), this.desk.job(), this.several()];
    if (!quote || !job || !several) return;
    const words = { wash: washText(job), discount: priceText.discount(several.cars, several.saved) };
    const bill = billOf({
      id: freshId('bill'),
      kind,
      on: today(),
      to: this.addressOf(job),
      cars: several.cars,
      words,
      quote,
      business: this.rates.business(),
      numbers: this.numbers(kind, job),
    });
    this.add(bill);
  }

  /** The invoice of what was quoted. */
  protected invoice(quoted: Bill): void {
    const job = this.desk.job()!;
    this.add(invoiceOf(quoted, freshId('bill'), today(), this.rates.business(), this.numbers('invoice', job)));
  }

  protected pay({ id, paidOn }: Bill): void {
    this.desk.edit(paidOn ? 'Not paid' : 'Paid', (job) => ({
      ...job,
      bills: job.bills.map((bill) => (bill.id === id ? { ...bill, paidOn: paidOn ? null : today() } : bill)),
    }));
  }

  private add(bill: Bill): void {
    this.desk.edit(priceText.undo(bill.kind), (job) => ({ ...job, bills: [...job.bills, bill] }));
  }

  private numbers(kind: BillKind, job: Job): readonly string[] {
    return numbersOf([job, ...this.jobs().map((one) => one.job)], kind);
  }

  private addressOf({ client, clientId }: Job): string {
    const known = this.entries.items('client').find(({ id }) => id === clientId);
    return [known?.name ?? client, known?.places[0]?.address ?? ''].filter(Boolean).join('\n');
  }

  private sumsOf({
    price,
  }: QuoteAnswer): readonly { readonly name: string; readonly text: string; readonly isLoss?: boolean }[] {
    const { currency, costMinor, keptMinor, keptShare, netMinor, taxMinor, totalMinor } = price;
    const { taxName, taxShare } = this.rates.business();
    return [
      { name: 'Your costs', text: money(costMinor, currency) },
      { name: 'You keep', text: `${money(keptMinor, currency)}, ${percent(keptShare)}`, isLoss: keptMinor < 0 },
      { name: 'Before tax', text: money(netMinor, currency) },
      { name: priceText.taxIncluded(taxName, taxShare), text: money(taxMinor, currency) },
      { name: 'Client pays', text: money(totalMinor, currency) },
    ];
  }

  private shown(bill: Bill) {
    const { kind, number, on, paidOn } = bill;
    const invoiced = kind === 'quote' && (this.desk.job()?.bills ?? []).some((one) => one.kind === 'invoice');
    return {
      bill,
      title: priceText.made(kind, number),
      note: [priceText.madeOn(on), paidOn ? priceText.paid(paidOn) : priceText.until(bill)].join(', '),
      total: money(bill.totalMinor, bill.currency),
      canInvoice: kind === 'quote' && !invoiced,
      isInvoice: kind === 'invoice',
      paper: () => billPaper(bill, this.rates.business()),
      file: number.replace(/[^\w.-]+/g, '-'),
    };
  }
}
