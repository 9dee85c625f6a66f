import { describe, expect, it } from 'vitest';
import { type Job, paint, setChoices } from '@esmero/core';
import { deck } from '../testing/desk';
import { type DeskState, deskActions, deskFeature } from './desk';

const { reducer } = deskFeature;
const stored = { id: deck.id, job: deck, revision: 3, changedAt: 1, archived: false };
const opened = reducer(undefined, deskActions.opened({ stored }));
const dusty = (job: Job): Job => paint(job, ['roof'], { deposit: { kind: 'dust', level: 3 }, onTop: false });
const strict = (job: Job): Job => setChoices(job, { school: 'cautious' });
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

  it('settles a conflict only by choice', () => {
    const theirs = { ...stored, revision: 7, job: { ...deck, name: 'Theirs' } };
    const conflict = reducer(edit(opened, dusty), deskActions.conflictFound({ theirs }));
    expect(edit(conflict, strict).saving.kind).toBe('conflict');
    expect(reducer(conflict, deskActions.takeTheirs())).toMatchObject({ job: { name: 'Theirs' }, revision: 7, past: [] });
    expect(reducer(conflict, deskActions.keepMine())).toMatchObject({ revision: 7, saving: { kind: 'dirty' } });
    expect(reducer(conflict, deskActions.keepBoth({ id: 'copy' }))).toMatchObject({ job: { id: 'copy' }, revision: 0 });
  });
});
