import { afterEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import { onlyFibres } from '@lanakit/core/engine';
import { blankPattern, type Pattern } from '@lanakit/core/pattern';
import { readReview, type ReviewRead } from '@lanakit/core/words';
import { useReview } from '../../src/review/useReview.ts';
import { settled } from '../support/inStudio.tsx';

afterEach(cleanup);

const WOOL = onlyFibres(new Map());
const titled = (title: string): Pattern => ({ ...blankPattern(title), finishedHeight: null });

/** A reader that answers when the test says. */
function reader() {
  const asked: { pattern: Pattern; answer: (review: ReviewRead) => void; fail: () => void }[] = [];
  return {
    asked,
    ask: (pattern: Pattern) =>
      new Promise<ReviewRead>((answer, reject) =>
        asked.push({ pattern, answer, fail: () => reject(new Error('broken')) }),
      ),
  };
}

const reviewing = (first: Pattern, { ask }: ReturnType<typeof reader>) =>
  renderHook(({ pattern }) => useReview(pattern, WOOL, ask), { initialProps: { pattern: first } });

const answer = async (of: ReturnType<typeof reader>, at: number) => {
  const { pattern, answer: say } = of.asked[at]!;
  act(() => say(readReview(pattern, WOOL)));
  await settled();
};

describe('the review of a pattern that is being written', () => {
  test('is worked on at first, and then there', async () => {
    const read = reader();
    const { result } = reviewing(titled('Otter'), read);
    expect(result.current.kind).toBe('working');
    await answer(read, 0);
    expect(result.current.kind).toBe('read');
    expect(read.asked).toHaveLength(1);
  });

  test('of changes that come while it is read, only the last is read next', async () => {
    const read = reader();
    const { rerender } = reviewing(titled('a'), read);
    for (const title of ['ab', 'abc', 'abcd']) rerender({ pattern: titled(title) });
    await answer(read, 0);
    await answer(read, 1);
    expect(read.asked.map(({ pattern }) => pattern.title)).toEqual(['a', 'abcd']);
  });

  test('a line that says what it said is the same line, so that its row is not drawn anew', async () => {
    const read = reader();
    const figure = { ...titled('Otter'), rights: { origin: 'learned' as const, from: 'a friend', permissions: [], credit: '' } };
    const { result, rerender } = reviewing(figure, read);
    await answer(read, 0);
    const first = result.current;
    rerender({ pattern: { ...figure, prerequisites: 'patience' } });
    await answer(read, 1);
    const next = result.current;
    if (first.kind !== 'read' || next.kind !== 'read') throw new Error('not read');
    expect(first.review.open.map(({ remark }) => remark.code)).toEqual(['credit_missing']);
    expect(next.review.open).toBe(first.review.open);
  }); // prettier-ignore

  test('a reader that fails is said to, and asked again at the next change', async () => {
    const read = reader();
    const { result, rerender } = reviewing(titled('a'), read);
    act(() => read.asked[0]!.fail());
    await settled();
    expect(result.current.kind).toBe('failed');
    rerender({ pattern: titled('b') });
    await answer(read, 1);
    expect(result.current.kind).toBe('read');
  });

  test('what comes after it is closed is nobody’s', async () => {
    const read = reader();
    const { rerender, unmount } = reviewing(titled('a'), read);
    rerender({ pattern: titled('b') });
    unmount();
    await answer(read, 0);
    expect(read.asked).toHaveLength(1);
  });
});
