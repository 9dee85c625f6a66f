import { ChangeDetectionStrategy, Component } from '@angular/core';

const sheet: readonly { readonly title: string; readonly keys: readonly (readonly [string, string])[] }[] = [
  {
    title: 'Everywhere',
    keys: [
      ['?', 'This sheet'],
      ['Ctrl Z', 'Undo'],
      ['Ctrl Shift Z', 'Redo'],
      ['[  ]', 'Stage before, stage after'],
    ],
  },
  {
    title: 'On the car',
    keys: [
      ['Tab', 'To the car, and on from it'],
      ['← ↑ → ↓', 'To the next panel that way'],
      ['Enter, Space', 'Press the panel'],
    ],
  },
  {
    title: 'Walk-round, on a panel',
    keys: [
      ['0 … 5', 'Paint that level'],
      ['d p f a s g m b', 'Dust, pollen, road film, fallout, salt, grit, mud, brake dust'],
      ['o', 'Add to what is there, or replace it'],
      ['v', 'Paint its whole view'],
      ['c', 'Paint its whole class'],
      ['x', 'Not looked at'],
    ],
  },
];

/** Every key that means something. */
@Component({
  selector: 'esm-key-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (part of sheet; track part.title) {
      <h3>{{ part.title }}</h3>
      <dl>
        @for (key of part.keys; track key[0]) {
          <dt>
            <kbd>{{ key[0] }}</kbd>
          </dt>
          <dd>{{ key[1] }}</dd>
        }
      </dl>
    }
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: 9rem 1fr;
      gap: 0.3rem 0.75rem;
      margin: 0 0 1rem;
    }
    dd {
      margin: 0;
    }
    kbd {
      font: inherit;
      border: 1px solid var(--line);
      border-radius: 4px;
      padding: 0.05rem 0.4rem;
      background: var(--sunk);
    }
  `,
})
export class KeyListComponent {
  protected readonly sheet = sheet;
}
