import { describe, expect, it } from 'vitest';
import { paint, setChoices } from '@esmero/core';
import type { Job } from '@esmero/model';
import { deck } from '../testing/desk';
import { type DeskState, deskActions, deskFeature } from './desk';

const { reducer } = deskFeature;
const stored = { id: deck.id, job: deck, revision: 3, changedAt: 1, vector: {}, archived: false };
const opened = reducer(undefined, deskActions.opened({ stored }));
const dusty = (job: Job): Job => paint(job, ['roof'], { deposit: { kind: 'dust', level: 3 }, onTop: false });
const strict = (job: Job): Job => setChoices(job, { approach: 'cautious' });
const edit = (state: DeskState, change: (job: Job) => Job, stroke: string | null = null): DeskState =>
  reducer(state, deskActions.edited({ job: change(state.job!), cause: 'changed', stroke }));

describe('the job on the desk', () => {
  it('goes back and forth through its changes', () => {
    const twice = edit(edit(opened, dusty), strict);
    const back = reducer(twice, deskActions.undo());
    expect(back.job).toEqual(dusty(deck));
    const start = reducer(back, deskActions.undo());
    expect(start.job).toBe(deck);
    expect(reducer(start, deskActions.undo())).toBe(start);
    const again = reducer(reducer(start, deskActions.redo()), deskActions.redo());
    expect(again.job).toEqual(twice.job);
    expect(reducer(again, deskActions.redo())).toBe(again);
  });

  it('forgets what was undone when something else is done', () => {
    const other = edit(reducer(edit(opened, dusty), deskActions.undo()), strict);
    expect(other.future).toEqual([]);
  });

  it('takes a stroke back in one step', () => {
    const stroke = edit(edit(edit(opened, dusty, 's1'), strict, 's1'), dusty, 's2');
    expect(stroke.past).toHaveLength(2);
    expect(reducer(reducer(stroke, deskActions.undo()), deskActions.undo()).job).toBe(deck);
  });

  it('is dirty until the very job that it shows is saved', () => {
    const changed = edit(opened, dusty);
    expect(changed.saving.kind).toBe('dirty');
    const more = edit(changed, strict);
    const late = reducer(more, deskActions.saved({ job: changed.job!, revision: 4 }));
    expect(late).toMatchObject({ revision: 4, saving: { kind: 'dirty' } });
    expect(reducer(late, deskActions.saved({ job: more.job!, revision: 5 })).saving.kind).toBe('clean');
    expect(reducer(late, deskActions.saved({ job: { ...deck, id: 'other' }, revision: 9 }))).toBe(late);
  });

  const theirs = (change: Partial<Job>, revision = 7) => ({ ...stored, revision, job: { ...deck, ...change } });
  const found = (state: DeskState, change: Partial<Job>): DeskState =>
    reducer(state, deskActions.theirsFound({ theirs: theirs(change) }));

  it('follows what somebody else has saved while it has no change of its own', () => {
    expect(found(opened, { name: 'Theirs' })).toMatchObject({
      job: { name: 'Theirs' },
      revision: 7,
      saving: { kind: 'clean' },
    });
    const older = reducer(opened, deskActions.theirsFound({ theirs: theirs({ name: 'Old' }, 3) }));
    expect(older).toBe(opened);
  });

  it('puts changes of different fields together, and an edit that came while theirs was being fetched stays', () => {
    const mine = edit(opened, (job) => ({ ...job, client: 'Mine' }));
    const both = found(mine, { note: 'Theirs' });
    expect(both).toMatchObject({ job: { client: 'Mine', note: 'Theirs' }, revision: 7, saving: { kind: 'dirty' } });
    // A step back takes back one’s own change, and no more.
    expect(reducer(both, deskActions.undo()).job).toMatchObject({ client: deck.client, note: 'Theirs' });
  });

  it('asks where both have changed the same field, names it, and goes by the answer in that field alone', () => {
    const mine = edit(opened, (job) => ({ ...job, client: 'Mine', hour: 7 }));
    const conflict = found(mine, { client: 'Theirs', note: 'Theirs' });
    expect(conflict.saving).toMatchObject({ kind: 'conflict', fields: ['client'] });
    expect(edit(conflict, strict).saving.kind).toBe('conflict');
    expect(reducer(conflict, deskActions.takeTheirs())).toMatchObject({
      job: { client: 'Theirs', note: 'Theirs', hour: 7 },
      revision: 7,
      saving: { kind: 'dirty' },
    });
    expect(reducer(conflict, deskActions.keepMine())).toMatchObject({
      job: { client: 'Mine', note: 'Theirs', hour: 7 },
      revision: 7,
      saving: { kind: 'dirty' },
    });
    expect(reducer(conflict, deskActions.keepBoth({ id: 'copy', instead: deck.id }))).toMatchObject({
      job: { id: 'copy', client: 'Mine' },
      revision: 0,
      kept: null,
    });
  });

  it('takes up what was left behind, beside what was saved since', () => {
    const rescue = { job: { ...deck, client: 'Half done' }, kept: deck, base: 3 };
    const up = (state: Parameters<typeof deskActions.rescued>[0]['stored']) =>
      reducer(undefined, deskActions.rescued({ rescue, stored: state }));
    expect(up(null)).toMatchObject({ job: { client: 'Half done' }, opening: 'open', saving: { kind: 'dirty' } });
    expect(up(theirs({ note: 'Since' }))).toMatchObject({
      job: { client: 'Half done', note: 'Since' },
      revision: 7,
      saving: { kind: 'dirty' },
    });
    expect(up(theirs({ client: 'Since' })).saving).toMatchObject({ kind: 'conflict', fields: ['client'] });
    expect(up(theirs({ client: 'Half done' })).saving.kind).toBe('clean');
  });
});
