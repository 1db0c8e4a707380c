import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, screen } from '@testing-library/react';
import { ApiProblem, Unreachable } from '../../src/api/client.ts';
import { useAttempt } from '../../src/shell/useAttempt.ts';
import { hookInStudio, press, noticeText, settled } from '../support/inStudio.tsx';

afterEach(cleanup);

const refusal = (code: string, title: string) => new ApiProblem({ code, status: 422, title });

function attempting() {
  const { result } = hookInStudio(() => useAttempt(), undefined);
  return async (...args: Parameters<typeof result.current>) => {
    await act(() => result.current(...args));
    await settled();
  };
}

const undoButton = () => screen.queryByRole('button', { name: 'Undo' });

describe('something is done', () => {
  test('and said', async () => {
    await attempting()(() => Promise.resolve({ text: 'Harbour is saved.' }));
    expect(noticeText()).toBe('Harbour is saved.');
    expect(undoButton()).toBeNull();
  });
  test('what has nothing to say says nothing', async () => {
    await attempting()(() => Promise.resolve(undefined));
    expect(noticeText()).toBe('');
  });
  test('and can be taken back, once', async () => {
    const undo = jest.fn(() => Promise.resolve());
    await attempting()(() => Promise.resolve({ text: 'Harbour is moved.', undo }));
    await press('Undo');
    expect(undo).toHaveBeenCalledTimes(1);
    expect(undoButton()).toBeNull();
  });
  test('the newest stands in place of what was said before', async () => {
    const attempt = attempting();
    await attempt(() => Promise.resolve({ text: 'first', undo: () => Promise.resolve() }));
    await attempt(() => Promise.resolve({ text: 'second' }));
    expect(noticeText()).toBe('second');
    expect(undoButton()).toBeNull();
  });
});

describe('something cannot be done', () => {
  test.each([
    ['the server refuses it', refusal('in_use', 'It is in use.'), 'It is in use.'],
    ['the server does not answer', new Unreachable(), 'Lanakit cannot be reached. Is it still running?'],
    ['something else', new Error('no such step'), 'no such step'],
    ['something that is no error', 'odd', 'odd'],
  ])('%s', async (_name, error, words) => {
    // What is thrown need not be an error.
    // oxlint-disable-next-line typescript/prefer-promise-reject-errors
    await attempting()(() => Promise.reject(error));
    expect(noticeText()).toBe(words);
  });
  test('a refusal that is shown beside its cause is not said again', async () => {
    const beside = jest.fn(() => true);
    await attempting()(() => Promise.reject(refusal('content_invalid', 'Not so.')), beside);
    expect(beside).toHaveBeenCalledTimes(1);
    expect(noticeText()).toBe('');
  });
  test('one that has no place there is', async () => {
    await attempting()(
      () => Promise.reject(refusal('in_use', 'It is in use.')),
      () => false,
    );
    expect(noticeText()).toBe('It is in use.');
  });
  test('what is no refusal is not offered to a form', async () => {
    const beside = jest.fn(() => true);
    await attempting()(() => Promise.reject(new Unreachable()), beside);
    expect(beside).not.toHaveBeenCalled();
    expect(noticeText()).toMatch(/cannot be reached/);
  });
  test('an undo that fails is said', async () => {
    const undo = () => Promise.reject(refusal('version_conflict', 'It was changed since.'));
    await attempting()(() => Promise.resolve({ text: 'Moved.', undo }));
    await press('Undo');
    expect(noticeText()).toBe('It was changed since.');
  });
});
