import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { paperProgressBoard } from '../../src/services/paperProgress.ts';
import { request } from '../support/request.ts';
import { openStudio, type Studio } from '../support/studio.ts';

describe('how far a paper has come', () => {
  test('is told to who watches its name, and to nobody else', () => {
    const board = paperProgressBoard();
    const heard: [string, number][] = [];
    board.watch('one', ({ done }) => heard.push(['one', done]));
    board.watch('two', ({ done }) => heard.push(['two', done]));
    board.tell('one', { done: 1, of: 3 });
    board.tell('three', { done: 2, of: 3 });
    expect(heard).toEqual([['one', 1]]);
  });
  test('no more once who watched has gone; whoever came after stays', () => {
    const board = paperProgressBoard();
    const heard: number[] = [];
    const stop = board.watch('one', () => heard.push(-1));
    board.watch('one', ({ done }) => heard.push(done));
    stop();
    board.tell('one', { done: 4, of: 5 });
    expect(heard).toEqual([4]);
  });
  test('of very many watchers the oldest is given up, so that they take no room for ever', () => {
    const board = paperProgressBoard();
    const heard = new Set<number>();
    for (let at = 0; at < 60; at++) board.watch(`job ${at}`, () => heard.add(at));
    for (let at = 0; at < 60; at++) board.tell(`job ${at}`, { done: 1, of: 1 });
    expect(heard.size).toBe(50);
    expect(heard.has(0)).toBe(false);
    expect(heard.has(59)).toBe(true);
  });
});

describe('over HTTP', () => {
  let studio: Studio;
  beforeEach(() => {
    studio = openStudio();
  });
  afterEach(() => studio.close());
  test.each(['x', 'short', 'has a gap in it!'])('%p is no name of a paper', async (job) => {
    await request(studio.app)
      .get(`/api/paper-progress/${encodeURIComponent(job)}`)
      .expect(404);
  });
});
