import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Checkbox } from 'primeng/checkbox';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import { TableModule } from 'primeng/table';
import {
  amountText,
  balanceText,
  choiceName,
  countedText,
  freshChoiceName,
  importCount,
  importKindName,
  standingName,
  standingsText,
  importText,
  momentText,
  unreadableText,
} from '@esmero/messages';
import { type Choice, type ReviewRow, type Standing, offered, standings, usual } from '@esmero/transfer';
import { JobDesk } from '../../state/job-desk';
import { CollectionDesk } from '../../state/collection-desk';
import { TransferDesk } from '../../state/transfer-desk';
import { download } from '../../ui/download';
import { ReturnsFocusDirective } from '../../ui/returns-focus.directive';

type Picked = Readonly<Record<string, Choice>>;

/** Height of a row, px: the list of thousands is drawn as it is scrolled. */
const ROW = 56;
/** So many rows are seen at once. */
const SEEN = 5;
/** So many files that cannot be read are named. */
const NAMED = 20;

/** What a file holds beside what is here, kind by kind and one by one, with a choice for each. */
@Component({
  selector: 'esm-import-review',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Checkbox, Dialog, FormsModule, ReturnsFocusDirective, Select, TableModule],
  templateUrl: './import-review.component.html',
  styleUrl: './import-review.component.css',
})
export class ImportReviewComponent {
  protected readonly wording = importText;
  protected readonly desk = inject(TransferDesk);
  private readonly collection = inject(CollectionDesk);
  private readonly units = inject(JobDesk).units;

  protected readonly rowHeight = ROW;
  protected readonly standingName = standingName;
  protected readonly review = computed(() => this.desk.review()?.review ?? null);
  private readonly rows = computed(() => this.review()?.rows ?? []);

  protected readonly picked = linkedSignal<readonly ReviewRow[], Picked>({
    source: this.rows,
    computation: (rows) => Object.fromEntries(rows.map(({ key, standing }) => [key, usual(standing)])),
  });
  protected readonly stock = linkedSignal(() => {
    const stock = this.review()?.stock;
    return stock !== undefined && stock.fresh > 0 && stock.related;
  });

  private readonly grouped = computed(() => {
    const kinds = [...new Set(this.rows().map(({ kind }) => kind))];
    return kinds.map((kind) => ({ kind, rows: this.rows().filter((row) => row.kind === kind) }));
  });
  protected readonly kinds = computed(() => {
    const open = this.grouped().filter(({ rows }) => rows.some(({ standing }) => standing !== 'same'));
    return open.map(({ kind, rows }) => {
      const counts = new Map(
        standings.map((standing) => [standing, rows.filter((row) => row.standing === standing).length] as const),
      );
      return { kind, name: importKindName(kind), text: standingsText(counts), choices: this.choicesFor(rows) };
    });
  });
  /** "7 vehicles, 5 sites" */
  protected readonly same = computed(() => {
    const same = this.grouped().filter(({ rows }) => rows.every(({ standing }) => standing === 'same'));
    return same.map(({ kind, rows }) => importCount(kind, rows.length)).join(', ');
  });
  /** What is the same needs no choice. */
  protected readonly open = computed(() =>
    this.rows()
      .filter(({ standing }) => standing !== 'same')
      .map((row) => ({
        row,
        what: [importKindName(row.kind), standingName[row.standing]].join(': '),
        when: this.when(row),
        choices: this.optionsOf(row.standing),
      })),
  );
  protected readonly tableHeight = computed(() => `${Math.min(SEEN, Math.max(1, this.open().length)) * ROW + 8}px`);
  protected readonly balances = computed(() => {
    const units = this.units();
    return (this.review()?.stock.changes ?? []).map(({ item, before, after }) =>
      balanceText(this.collection.nameOf(item), amountText(item, before, units), amountText(item, after, units)),
    );
  });
  protected readonly pictures = computed(() => countedText({ pictures: this.review()?.pictures.fresh ?? 0 }));
  /** Jobs that cannot be read; the first of them are named. */
  protected readonly aside = computed(() =>
    (this.review()?.aside ?? []).slice(0, NAMED).map(({ path, why, text }) => {
      const { headline, details } = unreadableText(why);
      return { path, text, says: [headline, ...details.slice(0, 2)].join(' ') };
    }),
  );
  protected readonly nothing = computed(
    () => !this.stock() && Object.values(this.picked()).every((choice) => choice === 'mine'),
  );

  protected pick(key: string, choice: Choice): void {
    this.picked.update((all) => ({ ...all, [key]: choice }));
  }

  /** The same for all of a kind, as far as it can be chosen. */
  protected pickAll(kind: ReviewRow['kind'], choice: Choice | null): void {
    if (!choice) return;
    const changed = this.rows().filter((row) => row.kind === kind && offered[row.standing].includes(choice));
    this.picked.update((all) => ({ ...all, ...Object.fromEntries(changed.map(({ key }) => [key, choice])) }));
  }

  protected save(path: string, text: string): void {
    download(path.split('/').at(-1)!, text);
  }

  protected bring(): void {
    void this.desk.bring({ rows: this.picked(), stock: this.stock() });
  }

  private optionsOf(standing: Standing): readonly { readonly value: Choice; readonly label: string }[] {
    return offered[standing].map((value) => ({
      value,
      label: standing === 'new' ? freshChoiceName[value] : choiceName[value],
    }));
  }

  private choicesFor(rows: readonly ReviewRow[]) {
    const all = [...new Set(rows.flatMap(({ standing }) => (standing === 'same' ? [] : offered[standing])))];
    const fresh = rows.every(({ standing }) => standing === 'new' || standing === 'same');
    return all.map((value) => ({ value, label: fresh ? freshChoiceName[value] : choiceName[value] }));
  }

  private when({ mineAt, theirsAt, standing }: ReviewRow): string {
    if (standing === 'new' || !mineAt || !theirsAt) return '';
    return `yours ${momentText(mineAt)}, the file’s ${momentText(theirsAt)}`;
  }
}
