import { describe, expect, test } from '@jest/globals';
import { makePaper } from '../../src/papers/index.ts';
import {
  allMarks,
  inMark,
  labelCode,
  packedMark,
  packLines,
  planOfToday,
  type RunTick,
  scannedAt,
  weighings,
} from '../../src/run/index.ts';
import { classOf, coastDesigns, coastWool, sourceOf } from '../support/coast.ts';

const input = classOf({ seats: 3, sparePacks: 1 });
const packed = planOfToday(input, { designs: coastDesigns, shelf: coastWool, promisedG: new Map() });
const all = weighings(packed.plan, packed.packs, packed.wool.fibres, input.scaleStepG);
const lines = new Map(
  packed.packs.map((pack) => [pack.id, packLines(packed, pack, [], all, new Map<string, RunTick>())]),
);
const [first, second] = packed.packs.map(({ id }) => id) as [string, string];
const bagLine = (packId: string) => lines.get(packId)?.find(({ kind }) => kind === 'bag');
const done = (...marks: string[]) =>
  new Map(marks.map((mark): [string, RunTick] => [mark, { mark, isDone: true, massG: 0 }]));
const at = (text: string, ticks: ReadonlyMap<string, RunTick> = new Map(), frontId = first) =>
  scannedAt(text, { runId: 'run-1', lines, ticks, frontId });
const codeOf = (packId: string) => {
  const line = bagLine(packId);
  return labelCode({ runId: 'run-1', packId, bagKey: line?.kind === 'bag' ? line.bag.key : null });
};

describe('a label that is scanned at the packing table', () => {
  test('every label that is printed names a bag of its pack that is laid in', () => {
    const { labels } = makePaper('labels', sourceOf(input));
    expect(labels.length).toBeGreaterThanOrEqual(packed.packs.length);
    expect(new Set(allMarks(all).flatMap(({ packs }) => packs.map(({ id }) => id))).size).toBeGreaterThan(0);
    for (const { code } of labels) expect(at(code).kind).toBe('bag');
    expect(new Set(labels.map(({ code }) => JSON.stringify(at(code)))).size).toBe(labels.length);
  });
  test.each([
    ['its pack is in front: it goes in', done(), 'bag'],
    ['its pack is closed already', done(packedMark(first)), 'bag'],
  ])('of the pack in front, where %s', (_, ticks, kind) => {
    expect(at(codeOf(first), ticks)).toEqual({ kind, packId: first, line: bagLine(first) });
  });
  test.each([
    ['nothing lies in the one in front: that one is laid in front', done(), 'bag'],
    ['the one in front is begun: it must not go in', done(inMark(first, 'paper contents'), inMark(first, bagLine(first)?.key ?? '')), 'wrong-pack'],
    ['the one in front is closed: that one is laid in front', done(inMark(first, bagLine(first)?.key ?? ''), packedMark(first)), 'bag'],
  ])('of another pack, where %s', (_, ticks, kind) => {
    expect(at(codeOf(second), ticks)).toEqual({ kind, packId: second, line: bagLine(second) });
  }); // prettier-ignore
  test.each([
    ['the pack itself', labelCode({ runId: 'run-1', packId: second, bagKey: null }), 'pack'],
    ['of another run', labelCode({ runId: 'run-2', packId: second, bagKey: null }), 'not-here'],
    [
      'of a seat that is no more',
      labelCode({ runId: 'run-1', packId: 'seat gone', bagKey: null }),
      'not-here',
    ],
    ['with a sign wrong', codeOf(first).replace(/.$/, (sign) => (sign === '2' ? '3' : '2')), 'misread'],
    ['something else', 'https://studio.local', 'no-code'],
  ])('%s', (_, text, kind) => {
    expect(at(text).kind).toBe(kind);
  });
});
