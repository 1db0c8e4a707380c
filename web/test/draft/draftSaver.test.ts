import { beforeEach, describe, expect, test } from '@jest/globals';
import {
  DraftSaver,
  type PutResult,
  type SaveState,
  type SaverWorld,
  type Versioned,
} from '../../src/draft/DraftSaver.ts';

/** A world in which the test holds the clock and the server. */
class World implements SaverWorld<string> {
  readonly sent: { version: number; document: string }[] = [];
  readonly states: SaveState<string>['kind'][] = [];
  kept: Versioned<string> | null = null;
  timer: (() => void) | null = null;
  #answers: ((result: PutResult<string>) => void)[] = [];

  put = (version: number, document: string): Promise<PutResult<string>> => {
    this.sent.push({ version, document });
    return new Promise((resolve) => this.#answers.push(resolve));
  };
  check = (document: string) =>
    document === '' ? [{ code: 'title_empty', pointer: '/title' } as const] : [];
  isSame = (a: string, b: string) => a === b;
  keep = (copy: Versioned<string>) => {
    this.kept = copy;
  };
  hasRoom = true;
  isKept = () => this.hasRoom;
  drop = () => {
    this.kept = null;
  };
  schedule = (callback: () => void) => {
    this.timer = callback;
    return () => {
      this.timer = null;
    };
  };
  nowMs = () => 42;
  full: boolean | null = null;
  onState = (state: SaveState<string>) => {
    this.states.push(state.kind);
    if (state.kind === 'kept-here') this.full = !state.isKept;
  };

  get last() {
    return this.states.at(-1);
  }
  tick() {
    const timer = this.timer;
    this.timer = null;
    timer?.();
  }
  async answer(result: PutResult<string>) {
    this.#answers.shift()?.(result);
    // Lets everything that waited for the answer have its turn.
    for (let i = 0; i < 8; i++) await Promise.resolve();
  }
}

let world: World;
let saver: DraftSaver<string>;
beforeEach(() => {
  world = new World();
  saver = new DraftSaver(1, world);
});

test('an edit is kept at once, sent after a while, and let go only when acknowledged', async () => {
  saver.changed('pear');
  expect(world.kept).toEqual({ version: 1, document: 'pear' });
  expect(world.sent).toEqual([]);
  world.tick();
  expect(world.last).toBe('saving');
  expect(world.kept).not.toBeNull();
  await world.answer({ kind: 'saved', version: 2 });
  expect(world.last).toBe('saved');
  expect(world.kept).toBeNull();
  expect([saver.version, saver.isSettled]).toEqual([2, true]);
});

test('what is typed while a save is under way is sent after it, from the new version', async () => {
  saver.changed('pe');
  world.tick();
  saver.changed('pear');
  world.tick();
  expect(world.sent).toHaveLength(1);
  await world.answer({ kind: 'saved', version: 2 });
  expect(world.kept).toEqual({ version: 2, document: 'pear' });
  world.tick();
  expect(world.sent[1]).toEqual({ version: 2, document: 'pear' });
});

test('a dead server is tried again, and nothing is lost meanwhile', async () => {
  saver.changed('pear');
  world.tick();
  await world.answer({ kind: 'unreachable' });
  expect(world.last).toBe('kept-here');
  expect(world.kept).toEqual({ version: 1, document: 'pear' });
  world.tick();
  await world.answer({ kind: 'saved', version: 2 });
  expect(world.last).toBe('saved');
});

test('what cannot be stored is not sent, but kept; mended, it goes', () => {
  saver.changed('');
  expect(world.last).toBe('refused');
  world.tick();
  expect(world.sent).toEqual([]);
  expect(world.kept).toEqual({ version: 1, document: '' });
  saver.changed('pear');
  world.tick();
  expect(world.sent).toEqual([{ version: 1, document: 'pear' }]);
});

describe('changed elsewhere', () => {
  const theirs = { version: 7, document: 'plum' };
  beforeEach(async () => {
    saver.changed('pear');
    world.tick();
    await world.answer({ kind: 'conflict', theirs });
  });

  test('nothing more is sent until she decides', () => {
    expect(world.last).toBe('conflict');
    saver.changed('pears');
    world.tick();
    expect(world.sent).toHaveLength(1);
    expect(world.kept?.document).toBe('pears');
  });
  test('keeping mine sends mine over theirs', async () => {
    const kept = saver.keepMine();
    expect(world.sent[1]).toEqual({ version: 7, document: 'pear' });
    await world.answer({ kind: 'saved', version: 8 });
    await kept;
    expect(world.last).toBe('saved');
  });
  test('taking theirs lets mine go', () => {
    saver.takeTheirs();
    expect([world.last, world.kept, saver.version]).toEqual(['saved', null, 7]);
  });
});

test('the same change made in both places is no conflict', async () => {
  saver.changed('pear');
  world.tick();
  await world.answer({ kind: 'conflict', theirs: { version: 3, document: 'pear' } });
  expect(world.last).toBe('saved');
  expect(saver.version).toBe(3);
});

test('a copy found on opening that was begun from another version waits for her decision', () => {
  saver.begunFromAnother('pear', { version: 5, document: 'plum' });
  world.tick();
  expect(world.sent).toEqual([]);
  expect(world.last).toBe('conflict');
});

test('leaving sends at once what was waiting for the clock', () => {
  saver.changed('pear');
  void saver.flush(true);
  expect(world.sent).toEqual([{ version: 1, document: 'pear' }]);
});

test('put away while it is sending, it does not try again: whoever opens the document next does', async () => {
  saver.changed('pear');
  world.tick();
  saver.dispose();
  await world.answer({ kind: 'unreachable' });
  expect(world.timer).toBeNull();
  expect(world.kept?.document).toBe('pear');
});

test('with no room in the browser it says so, and still sends', async () => {
  world.hasRoom = false;
  saver.changed('a long pattern');
  world.tick();
  await world.answer({ kind: 'unreachable' });
  expect(world.last).toBe('kept-here');
  expect(world.full).toBe(true);
  world.tick();
  expect(world.sent).toHaveLength(2);
  await world.answer({ kind: 'saved', version: 2 });
  expect(world.last).toBe('saved');
});

describe('what is made of the stored work waits for it', () => {
  /** Whether it is settled, once it is known. */
  const settling = () => {
    const seen: { settled: boolean | null } = { settled: null };
    void saver.settle().then((settled) => (seen.settled = settled));
    return seen;
  };

  test('with nothing to send it is settled', async () => {
    expect(await saver.settle()).toBe(true);
    expect(world.sent).toEqual([]);
  });
  test('what waits for the clock is sent at once', async () => {
    saver.changed('pear');
    const seen = settling();
    await world.answer({ kind: 'saved', version: 2 });
    expect(seen.settled).toBe(true);
  });
  test('what is on its way is waited for', async () => {
    saver.changed('pear');
    world.tick();
    const seen = settling();
    expect([world.sent.length, seen.settled]).toEqual([1, null]);
    await world.answer({ kind: 'saved', version: 2 });
    expect([world.sent.length, seen.settled]).toEqual([1, true]);
  });
  test('what was typed while it was on its way follows without the clock', async () => {
    saver.changed('pe');
    world.tick();
    saver.changed('pear');
    const seen = settling();
    await world.answer({ kind: 'saved', version: 2 });
    expect(world.sent[1]).toEqual({ version: 2, document: 'pear' });
    expect(seen.settled).toBeNull();
    await world.answer({ kind: 'saved', version: 3 });
    expect([saver.version, seen.settled]).toEqual([3, true]);
  });
  test.each([
    ['the server does not answer', { kind: 'unreachable' } as const],
    ['it was changed elsewhere', { kind: 'conflict', theirs: { version: 7, document: 'plum' } } as const],
    ['it is refused', { kind: 'refused', message: 'no', problems: [] } as const],
  ])('not settled: %s', async (_name, result) => {
    saver.changed('pear');
    world.tick();
    const seen = settling();
    await world.answer(result);
    if (result.kind === 'unreachable') await world.answer(result);
    expect(seen.settled).toBe(false);
    expect(world.kept?.document).toBe('pear');
  });
  test('two who wait do not send it twice', async () => {
    saver.changed('pear');
    const [first, other] = [settling(), settling()];
    await world.answer({ kind: 'saved', version: 2 });
    expect([first.settled, other.settled, world.sent.length]).toEqual([true, true, 1]);
  });
});
