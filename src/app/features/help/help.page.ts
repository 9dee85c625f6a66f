import { ChangeDetectionStrategy, Component } from '@angular/core';
import { type SoilLevel, soilLevels } from '@esmero/model';
import { glossary, helpSteps, helpText, levelName } from '@esmero/messages';
import { KeyListComponent } from '../../ui/key-list.component';

/** Of this build; set where it is built. */
declare const ESMERO_VERSION: string;

/** The work stage by stage, levels, words and keys: what is not already beside the thing. */
@Component({
  selector: 'esm-help',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [KeyListComponent],
  template: `
    <div class="page">
      <h1>Help</h1>
      <p>{{ wording.lead }}</p>
      <div class="cards">
        <section class="card">
          <h2>From the car to the handover</h2>
          <ol>
            @for (step of steps; track $index) {
              <li>
                <strong>{{ step.title }}.</strong> {{ step.text }}
              </li>
            }
          </ol>
          <p>{{ wording.whole }}</p>
          <p>{{ wording.remote }}</p>
        </section>
        <section class="card">
          <h2>How dirty is it?</h2>
          <p>{{ wording.levels }}</p>
          <p>{{ wording.measured }}</p>
          <dl class="levels">
            @for (level of levels; track level) {
              <dt><i class="soil" [style.background]="soil(level)" aria-hidden="true"></i>{{ level }}</dt>
              <dd>{{ name[level] }}</dd>
            }
          </dl>
        </section>
        <section class="card">
          <h2>What the figures rest on</h2>
          <p>{{ wording.figures }}</p>
        </section>
        <section class="card">
          <h2>What is kept</h2>
          <p>{{ wording.kept }}</p>
          <p>{{ wording.offline }}</p>
        </section>
        <section class="card">
          <h2>Words</h2>
          <p>{{ wording.wordsLead }}</p>
          <dl>
            @for (one of words; track $index) {
              <dt>{{ one.word }}</dt>
              <dd>{{ one.means }}</dd>
            }
          </dl>
        </section>
        <section class="card">
          <h2>Keyboard</h2>
          <esm-key-list />
        </section>
      </div>
      <p class="note">{{ wording.safety }}</p>
      <p class="soft">Esmero {{ version }}</p>
    </div>
  `,
  styleUrls: ['../../ui/cards-page.css', './help.page.css'],
})
export class HelpPage {
  protected readonly wording = helpText;
  protected readonly steps = helpSteps;
  protected readonly words = glossary;
  protected readonly levels = soilLevels;
  protected readonly name = levelName;
  protected readonly version = ESMERO_VERSION;

  protected soil(level: SoilLevel): string {
    return `var(--soil-${level})`;
  }
}
