import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { dropMark, putMark } from '@esmero/core';
import { type Mark, type MarkKind, type ZoneId, markKinds } from '@esmero/model';
import { markName, zoneName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { freshId } from '@esmero/records';
import { picturesOf } from '../../state/pictures';
import { type Typed, TypedTextDirective } from '../../ui/typed-text.directive';

const kinds = markKinds.map((value) => ({ value, label: markName[value] }));

/** Marks that were there before the wash, each with a note and a picture. */
@Component({
  selector: 'esm-marks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, FormsModule, InputText, Select, TypedTextDirective],
  template: `
    <h3>Existing marks</h3>
    @for (mark of here(); track mark.id) {
      <div class="mark">
        <p-select
          [options]="kinds"
          optionValue="value"
          optionLabel="label"
          ariaLabel="Kind of mark"
          [ngModel]="mark.kind"
          (ngModelChange)="kind(mark, $event)"
          appendTo="body"
        />
        <input
          pInputText
          class="note-text"
          maxlength="500"
          aria-label="Note"
          placeholder="Where, how long, how deep"
          [esmTyped]="mark.note"
          (typed)="write(mark, $event)"
        />
        <label class="chip">
          <i class="pi pi-camera" aria-hidden="true"></i>
          {{ mark.photo ? 'Another picture' : 'Picture' }}
          <input
            type="file"
            class="sr-only"
            accept="image/*"
            capture="environment"
            #file
            (change)="picture(mark, file)"
          />
        </label>
        <p-button
          icon="pi pi-trash"
          [ariaLabel]="'Remove ' + names[mark.kind]"
          severity="secondary"
          [text]="true"
          (onClick)="drop(mark)"
        />
        @if (urls()[mark.photo ?? '']; as url) {
          <img [src]="url" [alt]="names[mark.kind] + ', ' + name()" />
        }
      </div>
    }
    <p-button label="Note a mark" icon="pi pi-plus" severity="secondary" [outlined]="true" (onClick)="add()" />
    @if (problem(); as problem) {
      <p class="note stop" role="alert">{{ problem }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .mark {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
      align-items: center;
      padding: 0.3rem 0;
      border-bottom: 1px solid var(--line);
    }
    .note-text {
      flex: 1 1 12rem;
    }
    img {
      max-height: 9rem;
      border-radius: 4px;
      border: 1px solid var(--line);
    }
  `,
})
export class MarksComponent {
  readonly zone = input.required<ZoneId>();

  private readonly desk = inject(JobDesk);
  protected readonly kinds = kinds;
  protected readonly names = markName;
  protected readonly name = computed(() => zoneName(this.zone()));
  protected readonly here = computed(() => (this.desk.job()?.marks ?? []).filter((mark) => mark.zone === this.zone()));
  protected readonly problem = signal<string | null>(null);
  private readonly pictures = picturesOf(computed(() => this.here().flatMap(({ photo }) => (photo ? [photo] : []))));
  protected readonly urls = this.pictures.urls;

  protected add(): void {
    const mark: Mark = { id: freshId('mark'), zone: this.zone(), kind: 'scratch', note: '', photo: null };
    this.desk.edit(`Mark on ${this.name()}`, (job) => putMark(job, mark));
  }

  protected kind(mark: Mark, kind: MarkKind): void {
    this.desk.edit(`${this.name()}: ${markName[kind]}`, (job) => putMark(job, { ...mark, kind }));
  }

  protected write(mark: Mark, { text, stroke }: Typed): void {
    this.desk.edit(`${this.name()}: note on a mark`, (job) => putMark(job, { ...mark, note: text.trim() }), stroke);
  }

  protected drop(mark: Mark): void {
    this.desk.edit(`${this.name()}: mark removed`, (job) => dropMark(job, mark.id));
  }

  protected async picture(mark: Mark, field: HTMLInputElement): Promise<void> {
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    const kept = await this.pictures.keep(file);
    this.problem.set('problem' in kept ? kept.problem : null);
    if ('key' in kept) this.desk.edit(`${this.name()}: picture`, (job) => putMark(job, { ...mark, photo: kept.key }));
  }
}
