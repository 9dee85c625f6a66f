import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { clock, orderText } from '@esmero/messages';
import { marksOf, sidesText, titleOf } from './pass-line';
import type { LapSection } from './lap-sections';

/** The passes as a list for paper: one page at the car, when the phone stays in the van. */
@Component({
  selector: 'esm-print-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">
      {{ wording.key }}
      @if (two()) {
        {{ wording.second }}
      }
    </p>
    <ol>
      @for (section of sections(); track $index) {
        <li class="title">{{ section.title }}</li>
        @for (row of section.rows; track $index) {
          <li class="line">
            <span class="number num">{{ row.number ?? '' }}</span>
            <span>
              @if (row.worker > 0) {
                <strong>2nd</strong>&ngsp;
              }
              {{ titleOf(row) }} <strong>{{ marksOf(row) }}</strong></span
            >
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
