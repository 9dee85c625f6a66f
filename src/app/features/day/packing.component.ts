import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Checkbox } from 'primeng/checkbox';

/** One thing to put into the van. */
interface PackingItem {
  readonly key: string;
  readonly text: string;
  /** There is not so much of it. */
  readonly short: string | null;
}

/** What stands in one place of the van. */
export interface PackingGroup {
  readonly name: string;
  readonly items: readonly PackingItem[];
}

/** What to pack for a day, by place in the van, to be ticked off and printed. */
@Component({
  selector: 'esm-packing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Checkbox, FormsModule],
  template: `
    <p class="soft">{{ hint() }}</p>
    <div class="places">
      @for (group of groups(); track group.name) {
        <section>
          <h3>{{ group.name }}</h3>
          <ul>
            @for (item of group.items; track item.key) {
              <li>
                <label [for]="'pack-' + item.key">
                  <p-checkbox
                    [inputId]="'pack-' + item.key"
                    [binary]="true"
                    [ngModel]="packed().includes(item.key)"
                    (ngModelChange)="tick(item.key, $event)"
                  />
                  <span class="num" [class.in]="packed().includes(item.key)">{{ item.text }}</span>
                </label>
                @if (item.short) {
                  <small class="bad">{{ item.short }}</small>
                }
              </li>
            }
          </ul>
        </section>
      }
    </div>
    <p-button
      class="no-print"
      label="Print the list"
      icon="pi pi-print"
      severity="secondary"
      [outlined]="true"
      (onClick)="print()"
    />
  `,
  styles: `
    ul {
      list-style: none;
      margin: 0 0 0.6rem;
      padding: 0;
    }
    .places {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
      gap: 0 2rem;
    }
    h3 {
      margin: 0.6rem 0 0.1rem;
    }
    label {
      display: flex;
      align-items: center;
      gap: 0.7rem;
      min-height: var(--touch);
      cursor: pointer;
    }
    .in {
      color: var(--ink-soft);
      text-decoration: line-through;
    }
    .bad {
      color: var(--rust);
      display: block;
    }
  `,
})
export class PackingComponent {
  readonly groups = input.required<readonly PackingGroup[]>();
  readonly packed = input.required<readonly string[]>();
  readonly hint = input.required<string>();
  readonly ticked = output<readonly string[]>();

  protected tick(key: string, isIn: boolean): void {
    this.ticked.emit(isIn ? [...this.packed(), key] : this.packed().filter((one) => one !== key));
  }

  protected print(): void {
    window.print();
  }
}
