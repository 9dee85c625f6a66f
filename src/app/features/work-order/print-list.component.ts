import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { RunRow } from '@esmero/core';
import { clock, jobTitle, passZones, orderText } from '@esmero/messages';
import { markOf } from '../../ui/net/looks';
import type { LapSection } from './lap-sections';

/** Marks before a towel: fresh from the pile, turned, taken up again; and after it: done. */
const heldMark = { fresh: '+', turned: '›', same: '', demoted: '»' } as const;

/** "+2:1–2  ›3:4" from the towels in the hand, in order. */
const sidesText = ({ towels }: RunRow): string =>
  towels.map(({ towel, how, sides, done }) => `${heldMark[how]}${towel}:${sides.length > 1 ? `${sides[0]}–${sides.at(-1)}` : sides[0]}${done ? '.' : ''}`).join('  ');

const titleOf = (row: RunRow): string => (row.number === null ? jobTitle(row) : passZones(row));
const marksOf = ({ treatments }: RunRow): string => [...new Set(treatments.map(markOf))].join(' ');

/** The passes as a list for paper: one page at the car, when the phone stays in the van. */
@Component({
  selector: 'esm-print-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">
      {{ wording.key }}@if (two()) {{{ wording.second }}}
    </p>
    <ol>
      @for (section of sections(); track $index) {
        <li class="title">{{ section.title }}</li>
        @for (row of section.rows; track $index) {
          <li class="line">
            <span class="number num">{{ row.number ?? '' }}</span>
            <span>@if (row.worker > 0) {<strong>2nd</strong>&ngsp;}{{ titleOf(row) }} <strong>{{ marksOf(row) }}</strong></span>
            <span class="num sides">{{ sidesText(row) }}</span>
            <span class="num soft">{{ clock(row.wipeS) }}</span>
            <span class="num">{{ clock(row.handS) }}</span>
          </li>
        }
      }
    </ol>
  `,
  styleUrl: './print-list.component.css',
})
export class PrintListComponent {
  protected readonly wording = orderText;
  readonly sections = input.required<readonly LapSection[]>();
  readonly two = input.required<boolean>();

  protected readonly titleOf = titleOf;
  protected readonly marksOf = marksOf;
  protected readonly sidesText = sidesText;
  protected readonly clock = clock;
}
