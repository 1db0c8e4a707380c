import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup } from '@testing-library/react';
import type { FormEvent } from 'react';
import { useItemForm, type FormSpec } from '../../src/shelf/useItemForm.ts';
import { conflictWith, FakeServer } from '../support/fakeServer.ts';
import { hookInStudio, press, noticeText, settled } from '../support/inStudio.tsx';

interface Glue {
  readonly name: string;
  readonly place: string;
  readonly archived: boolean;
}

const GLUE: Glue = { name: 'Contact glue', place: 'box G', archived: false };
const stored = (change: Partial<Glue> & { version?: number } = {}) => ({
  ...GLUE,
  id: 'g',
  version: 4,
  ...change,
});

const spec: FormSpec<Glue> = {
  path: '/findings',
  blank: { name: '', place: '', archived: false },
  check: ({ name }) => (name === '' ? [{ code: 'title_empty', pointer: '/name' }] : []),
  nameOf: ({ name }) => name,
};

/** The form as it is sent by Enter or its button. */
const submit = (hasUnread = false) => {
  const form = document.createElement('form');
  if (hasUnread) form.innerHTML = '<input aria-invalid="true" id="unread">';
  document.body.append(form);
  return { preventDefault: () => undefined, currentTarget: form } as unknown as FormEvent<HTMLFormElement>;
};

let server: FakeServer;
beforeEach(() => {
  server = new FakeServer();
});
afterEach(() => {
  cleanup();
  server.close();
  document.body.innerHTML = '';
});

function open(thing: ReturnType<typeof stored> | null = stored(), hasStock = false) {
  const onSaved = jest.fn<(id: string) => void>();
  const hook = hookInStudio((item: typeof thing) => useItemForm(spec, item, hasStock, onSaved), thing);
  const form = () => hook.result.current;
  return {
    form,
    onSaved,
    storedIs: (item: typeof thing) => hook.rerender(item),
    set: (change: Partial<Glue>) => act(() => form().set(change)),
    send: (hasUnread = false) => act(() => form().onSubmit(submit(hasUnread))),
    answer: async (...answer: Parameters<FakeServer['answer']>) => {
      server.answer(...answer);
      await settled();
    },
  };
}

describe('a thing that is changed', () => {
  test('is sent from the version it was opened at, said to be saved, and goes on from the next', async () => {
    const { form, set, send, answer, onSaved } = open();
    set({ place: 'box H' });
    send();
    expect(server.writes).toEqual([
      expect.objectContaining({
        method: 'PUT',
        path: '/findings/g',
        version: 4,
        body: { ...GLUE, place: 'box H' },
      }),
    ]);
    await answer({ status: 200, body: stored({ place: 'box H', version: 5 }) });
    expect(noticeText()).toBe('Contact glue is saved.');
    expect(onSaved).toHaveBeenCalledWith('g');
    set({ place: 'box I' });
    send();
    expect(server.writes[1]).toMatchObject({ version: 5 });
    expect(form().input.place).toBe('box I');
  });

  test('what is typed while it is on its way is not lost', async () => {
    const { form, set, send, answer } = open();
    set({ place: 'box H' });
    send();
    set({ name: 'Contact glue, clear' });
    await answer({ status: 200, body: stored({ place: 'box H', version: 5 }) });
    expect(form().input).toEqual({ ...GLUE, place: 'box H', name: 'Contact glue, clear' });
    send();
    expect(server.writes[1]).toMatchObject({ version: 5, body: form().input });
  });

  test('undo puts back what was there, from the version that was saved', async () => {
    const { form, set, send, answer } = open();
    set({ place: 'box H' });
    send();
    await answer({ status: 200, body: stored({ place: 'box H', version: 5 }) });
    await press('Undo');
    expect(server.writes[1]).toMatchObject({ method: 'PUT', version: 5, body: GLUE });
    await answer({ status: 200, body: stored({ version: 6 }) });
    expect(form().input).toEqual(GLUE);
  });

  test('an undo that is refused is said', async () => {
    const { set, send, answer } = open();
    set({ place: 'box H' });
    send();
    await answer({ status: 200, body: stored({ place: 'box H', version: 5 }) });
    await press('Undo');
    await answer({ status: 409, body: { code: 'in_use', status: 409, title: 'It is packed already.' } });
    expect(noticeText()).toBe('It is packed already.');
  });

  test('what cannot be is said beside its field, and nothing is sent', () => {
    const { form, set, send } = open();
    set({ name: '' });
    send();
    expect(server.writes).toEqual([]);
    expect(form().problemAt('/name')).toMatch(/name/i);
    expect(form().problemAt('/place')).toBeNull();
    set({ name: 'Glue' });
    expect(form().problemAt('/name')).toBeNull();
  });

  test('with a field that could not be read nothing is sent: that field is gone to', () => {
    const { send } = open();
    send(true);
    expect(server.writes).toEqual([]);
    expect(document.activeElement?.id).toBe('unread');
  });

  test('what the server finds wrong stands beside its field too', async () => {
    const { form, set, send, answer } = open();
    set({ place: 'x' });
    send();
    const errors = [{ code: 'title_empty', pointer: '/place', message: 'Nowhere.' }];
    await answer({ status: 422, body: { code: 'content_invalid', status: 422, title: 'Not so.', errors } });
    expect(form().problemAt('/place')).not.toBeNull();
    expect(noticeText()).toBe('');
    expect(form().input.place).toBe('x');
  });

  test.each([
    ['the server does not answer', 'unreachable' as const, 'Lanakit cannot be reached. Is it still running?'],
    ['it fails without a word', { status: 500, body: null }, 'Lanakit could not do it (500). Try it again.'],
  ])('%s: said, and what was typed stays', async (_name, reply, words) => {
    const { form, set, send, answer } = open();
    set({ place: 'box H' });
    send();
    await answer(reply);
    expect(noticeText()).toBe(words);
    expect(form().input.place).toBe('box H');
  });
});

describe('saved elsewhere meanwhile', () => {
  const theirs = stored({ place: 'theirs', version: 9 });
  async function collide() {
    const opened = open();
    opened.set({ place: 'mine' });
    opened.send();
    await opened.answer(conflictWith(theirs));
    return opened;
  }
  test('nothing is overwritten: both are there', async () => {
    const { form } = await collide();
    expect(form().theirs).toEqual(theirs);
    expect(form().input.place).toBe('mine');
    expect(noticeText()).toBe('');
  });
  test('mine is kept, over theirs', async () => {
    const { form, answer } = await collide();
    act(() => form().keepMine());
    expect(server.writes[1]).toMatchObject({ version: 9, body: { ...GLUE, place: 'mine' } });
    await answer({ status: 200, body: stored({ place: 'mine', version: 10 }) });
    expect(form().theirs).toBeNull();
  });
  test('theirs is taken, and what is changed next goes on from it', async () => {
    const { form, set, send } = await collide();
    act(() => form().useTheirs());
    expect(form().input.place).toBe('theirs');
    expect(form().theirs).toBeNull();
    set({ name: 'Glue' });
    send();
    expect(server.writes[1]).toMatchObject({ version: 9, body: { ...GLUE, place: 'theirs', name: 'Glue' } });
  });
  test('seen on the shelf before anything was typed, it is simply gone on from', () => {
    const { form, storedIs, set, send } = open();
    storedIs(stored({ place: 'theirs', version: 9 }));
    expect(form().input.place).toBe('theirs');
    set({ name: 'Glue' });
    send();
    expect(server.writes[0]).toMatchObject({ version: 9 });
  });
  test('seen on the shelf while something is typed, what is typed stays and collides when it is sent', () => {
    const { form, storedIs, set, send } = open();
    set({ place: 'mine' });
    storedIs(stored({ place: 'theirs', version: 9 }));
    expect(form().input.place).toBe('mine');
    send();
    expect(server.writes[0]).toMatchObject({ version: 4 });
  });
});

describe('a new thing', () => {
  test('is put on the shelf with what was counted of it, and the form is empty for the next', async () => {
    const { form, set, send, answer, onSaved } = open(null, true);
    expect(form().isNew).toBe(true);
    set({ name: 'Felt stiffener' });
    act(() => form().setCountedNow(190));
    send();
    expect(server.writes[0]).toMatchObject({
      method: 'POST',
      path: '/findings',
      version: null,
      body: { name: 'Felt stiffener', countedNow: 190 },
    });
    await answer({ status: 201, body: stored({ name: 'Felt stiffener', version: 1 }) });
    expect(noticeText()).toBe('Felt stiffener is on the shelf.');
    expect(onSaved).toHaveBeenCalledWith('g');
    expect(form().input).toEqual(spec.blank);
  });
  test('not counted is not nought', async () => {
    const { set, send } = open(null, true);
    set({ name: 'Felt stiffener' });
    send();
    expect(server.writes[0]?.body).toMatchObject({ countedNow: null });
  });
  test('what is kept without a count is sent without one', () => {
    const { set, send } = open(null);
    set({ name: 'A supplier' });
    send();
    expect(server.writes[0]?.body).not.toHaveProperty('countedNow');
  });
});

describe('taken off the shelf', () => {
  test('and brought back', async () => {
    const { form, answer } = open();
    act(() => form().remove());
    expect(server.writes[0]).toMatchObject({ method: 'DELETE', path: '/findings/g', version: 4 });
    await answer({ status: 204 });
    expect(noticeText()).toBe('Contact glue is off the shelf.');
    await press('Undo');
    expect(server.writes[1]).toMatchObject({ method: 'POST', path: '/findings/g/restore' });
  });
  test('archived: saved at once with that one change', () => {
    const { form } = open();
    act(() => form().saveWith({ archived: true }));
    expect(server.writes[0]?.body).toEqual({ ...GLUE, archived: true });
  });
  test('a thing in use is not', async () => {
    const { form, answer } = open();
    act(() => form().remove());
    await answer({ status: 409, body: { code: 'in_use', status: 409, title: 'It is in use.' } });
    expect(noticeText()).toBe('It is in use.');
  });
});
