import { ChangeDetectionStrategy, Component, DOCUMENT, computed, inject, signal } from '@angular/core';
import type { MenuItem } from 'primeng/api';
import { Button } from 'primeng/button';
import { Menu } from 'primeng/menu';
import { type RunRow, afterwards, changePass, passChangesOf, runRows } from '@esmero/core';
import type { PassChange, ZoneId } from '@esmero/model';
import {
  cautionSentence,
  afterSentences,
  clock,
  isBehind,
  mixTitle,
  markName,
  figureValue,
  kitName,
  methodName,
  mittSentence,
  minutes,
  mixSentences,
  partName,
  passChangeText,
  roleName,
  stepName,
  towelName,
  treatmentName,
  lapName,
  passZones,
  verdictSentence,
  zoneName,
} from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { markOf, orderLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { OrdersComponent } from './orders.component';
import { ByHandComponent } from './by-hand.component';
import { RunChartComponent } from '../../ui/run-chart/run-chart.component';

interface Line {
  readonly row: RunRow;
  readonly at: string;
  readonly name: string;
  readonly mark: string;
  readonly how: string;
  readonly lasts: string;
  readonly sides: string;
  readonly zones: readonly ZoneId[];
}

interface Section {
  readonly title: string;
  readonly lines: readonly Line[];
}

/** Marks before a towel: fresh from the pile, turned, taken up again; and after it: done. */
const heldMark = { fresh: '+', turned: '›', same: '', demoted: '»' } as const;

/** "+2:1–2  ›3:4" from the towels in the hand, in order. */
const sidesText = ({ towels }: RunRow): string =>
  towels.map(({ towel, how, sides, done }) => `${heldMark[how]}${towel}:${sides.length > 1 ? `${sides[0]}–${sides.at(-1)}` : sides[0]}${done ? '.' : ''}`).join('  ');

const jobStep = ({ seconds, kit }: RunRow): string => {
  const kind = Object.keys(seconds)[0] as keyof typeof stepName;
  const name = stepName[kind];
  return `${name[0]!.toUpperCase()}${name.slice(1)}${kit ? `: ${kitName[kit]}` : ''}`;
};

/** A dwell shorter than this needs no time of its own for the wetting. */
const WORTH_A_TIME_S = 60;

/** What is done, and when the pass is wetted where that is well before its turn. */
function howText(row: RunRow): string {
  if (row.number === null || row.act === null) return '';
  if (isBehind({ act: row.act, place: row.place })) return 'Finish behind';
  const whole = row.treatments.length > 0 ? row.treatments.map(treatmentName).join(', ') : jobStep(row);
  const what = row.seconds.pretreat ? `spots first, ${whole}` : whole;
  return row.treatments.length > 0 && row.wipeS - row.startS > WORTH_A_TIME_S ? `${what}, wet at ${clock(row.startS)}` : what;
}

/** The wash as a list to work down, on screen or on paper. */
@Component({
  selector: 'esm-run-sheet-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ByHandComponent, Menu, OrdersComponent, RunChartComponent],
  templateUrl: './run-sheet.stage.html',
  styleUrl: './run-sheet.stage.css',
})
export class RunSheetStage {
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);
  private readonly document = inject(DOCUMENT);

  protected readonly rows = computed(() => {
    const plan = this.desk.plan();
    return plan && plan.method !== 'decline' ? runRows(plan) : [];
  });
  protected readonly sections = computed(() => this.sectioned(this.rows().map((row) => this.line(row))));
  protected readonly method = computed(() => methodName[this.desk.plan()?.method ?? 'decline']);
  protected readonly verdicts = computed(() =>
    (this.desk.plan()?.verdicts ?? []).map((verdict) => verdictSentence(verdict, this.desk.units())),
  );
  /** What is to be known beside the car: spots that stay, and whose word this is done on. */
  protected readonly known = computed(() =>
    (this.desk.plan()?.verdicts ?? [])
      .filter(({ code }) => code === 'spots-left' || code === 'against-advice' || code === 'late')
      .map((verdict) => verdictSentence(verdict, this.desk.units())),
  );
  protected readonly marks = computed(() =>
    (this.desk.job()?.marks ?? []).map(
      ({ zone, kind, note }) => `${zoneName(zone)}: ${markName[kind]}${note ? ` (${note.replace(/\.$/, '')})` : ''}`,
    ),
  );
  protected readonly cautions = computed(() => (this.desk.plan()?.cautions ?? []).map((one) => cautionSentence[one]));
  protected readonly totals = computed(() => {
    const plan = this.desk.plan();
    if (!plan || plan.method === 'decline') return '';
    const u = this.desk.units();
    const { minutes, litres, productMl, towels } = plan.totals;
    return `${figureValue(minutes, u)}, ${figureValue(litres, u)} of water, ${figureValue(productMl, u)} of product, ${figureValue(towels, u)} towels`;
  });
  /** What to tell the client, and what it is made of. */
  protected readonly slot = computed(() => {
    const plan = this.desk.plan();
    if (!plan || plan.method === 'decline') return '';
    const u = this.desk.units();
    const parts = plan.slot.parts.map(({ code, value }) => `${partName(code)} ${minutes(value)}`);
    return `Give the client ${figureValue(plan.slot, u)}: ${parts.join(', ')}.`;
  });
  protected readonly mixes = computed(() =>
    (this.desk.plan()?.mix.mixes ?? []).map((mix) => ({
      name: mixTitle(mix),
      vessel: mix.vessel.name,
      sentences: mixSentences(mix, this.desk.units()),
    })),
  );
  protected readonly towels = computed(() =>
    (this.desk.plan()?.towels ?? []).map((towel) => ({
      name: towelName(towel),
      role: roleName[towel.role],
      batch: towel.batchName,
      sides: towel.sides.length === 1 ? '1 side' : `${new Set(towel.sides.map(({ number }) => number)).size} sides`,
      rewet: towel.rewetAfter,
      missing: towel.missing,
    })),
  );

  protected readonly mitts = computed(() => (this.desk.plan()?.mitts ?? []).map(mittSentence));
  protected readonly after = computed(() => {
    const [job, plan, u] = [this.desk.job(), this.desk.plan(), this.desk.units()];
    return job && plan && plan.method !== 'decline' ? afterSentences(afterwards(job, plan), u) : [];
  });

  /** In mid-run the rest is planned from what is done; passes are left as they are. */
  protected readonly canChange = computed(() => this.desk.job()?.run === null);
  /** What may be done with the pass that is asked about. */
  protected readonly items = signal<MenuItem[]>([]);

  constructor() {
    inject(NetBoard).use({
      caption: 'The car, unfolded, with the order of work',
      looks: computed(() =>
        orderLooks(
          this.desk.zonePlans().values(),
          this.rows().flatMap(({ act, number, parts }) => (act === 'wipe' ? parts.map(({ zoneId }) => [zoneId, number!] as const) : [])),
        ),
      ),
      paints: false,
      press: () => undefined,
    });
  }

  private line(row: RunRow): Line {
    return {
      row,
      at: clock(row.wipeS),
      name: row.number === null ? jobStep(row) : passZones(row),
      mark: [...new Set(row.treatments.map(markOf))].join(' '),
      how: howText(row),
      lasts: clock(Object.values(row.seconds).reduce((sum, s) => sum + s, 0) - (row.seconds.wait ?? 0)),
      sides: sidesText(row),
      zones: row.parts.map(({ zoneId }) => zoneId),
    };
  }

  protected ask(line: Line, event: Event, menu: Menu): void {
    this.items.set(this.itemsFor(line));
    menu.toggle(event);
  }

  private itemsFor({ row }: Line): MenuItem[] {
    const plan = this.desk.plan();
    if (!plan || row.number === null) return [];
    const { earlier, later, joinBefore, joinNext, splits } = passChangesOf(plan, row.number);
    const item = (label: string, icon: string, change: PassChange | null): MenuItem[] =>
      change ? [{ label, icon, command: () => this.desk.edit(passChangeText(change), (job) => changePass(job, change)) }] : [];
    return [
      ...item('Do it before the one above', 'pi pi-arrow-up', earlier),
      ...item('Do it after the one below', 'pi pi-arrow-down', later),
      ...item('Join it with the one above', 'pi pi-link', joinBefore),
      ...item('Join it with the one below', 'pi pi-link', joinNext),
      ...splits.flatMap((change) => item(passChangeText(change), 'pi pi-minus', change)),
    ];
  }

  /** Consecutive lines of one lap stand under its name. */
  private sectioned(lines: readonly Line[]): readonly Section[] {
    const titleOf = ({ row: { lap, seconds } }: Line): string => {
      if (lap) return lapName[lap];
      if (seconds.flush) return 'Pre-rinse without touching';
      if (seconds.dry) return 'Dry the body';
      if (seconds.glass) return 'Glass finish';
      return seconds.pack ? 'Pack' : 'Set up';
    };
    const sections: { title: string; lines: Line[] }[] = [];
    for (const line of lines) {
      const title = titleOf(line);
      const last = sections.at(-1);
      if (last?.title === title) last.lines.push(line);
      else sections.push({ title, lines: [line] });
    }
    return sections;
  }

  protected light(zones: readonly ZoneId[]): void {
    this.view.light(zones);
  }

  protected print(): void {
    this.document.defaultView?.print();
  }
}
