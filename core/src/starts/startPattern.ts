import {
  blankCut,
  blankJoin,
  blankPart,
  blankPattern,
  blankUse,
  type Cut,
  type Join,
  type Part,
  type Pattern,
  SCHOOL_DEFAULTS,
  type Segment,
  type Use,
} from '../pattern/index.ts';
import { resizePattern } from '../resize/index.ts';
import type { StartBody, StartPart, StartRole } from './body.ts';
import { joinId, startId } from './startIds.ts';
import { startSteps } from './startSteps.ts';

/** Which fibre of the shelf stands for each; null: none is chosen yet. */
export type StartWool = Readonly<Record<StartRole, string | null>>;

/**
 * A body as a pattern of its author’s own, so high: parts with their wool and places, joins, and steps with gaps to fill.
 * @param heightMm over all; null: as the body is written
 */
export function startPattern(
  body: StartBody,
  { title, heightMm, wool }: { title: string; heightMm: number | null; wool: StartWool },
): Pattern {
  const written: Pattern = {
    ...blankPattern(title),
    finishedHeight: { value: body.heightMm, unit: 'mm' },
    stance: body.stance,
    parts: body.parts.map((part) => startPart(part, wool)),
    joins: body.parts.flatMap((part) => startJoin(part)),
    cuts: startWire(body),
    steps: startSteps(body),
    // A needle to build, one for surfaces, one for details; its author’s own is said under About.
    school: SCHOOL_DEFAULTS.ladder,
  };
  return heightMm === null ? written : asWritten(resizePattern(written, heightMm / body.heightMm));
}

/** What a start calls its details is no size: it holds in every size. */
const asWritten = (pattern: Pattern): Pattern => ({
  ...pattern,
  parts: pattern.parts.map((part) => ({
    ...part,
    uses: part.uses.map((use) => ('wordsSizeFraction' in use ? { ...use, wordsSizeFraction: 1 } : use)),
  })),
});

function startWire({ wire, parts }: StartBody): Cut[] {
  if (!wire) return [];
  const host = parts.find(({ name }) => name === wire.through)?.on?.host ?? '';
  const segment = (name: string, partId: string | null, lengthMm: number | null): Segment => ({
    name,
    partId,
    length: lengthMm === null ? null : { value: lengthMm, unit: 'mm' },
    strands: 1,
    isTwisted: false,
  });
  return [
    {
      ...(blankCut(startId(wire.name), 'wire') as Extract<Cut, { kind: 'wire' }>),
      name: wire.name,
      count: wire.count,
      segments: [
        segment('', startId(host), wire.intoHostMm),
        segment('', startId(wire.through), null),
        segment('for the foot', null, wire.beyondMm),
      ],
    },
  ];
}

function startPart(part: StartPart, wool: StartWool): Part {
  const id = startId(part.name);
  const uses: Use[] = [
    blankUse(`${id}-core`, 'core', wool[part.wool]),
    ...(part.coat ? [blankUse(`${id}-coat`, 'coat', wool[part.coat])] : []),
    ...(part.marks ?? []).map((mark, at) => startMark(`${id}-${at + 1}`, mark, wool)),
  ];
  return {
    ...blankPart(id, part.name),
    shape: part.shape,
    count: part.count ?? 1,
    firmness: part.firmness ?? 'firm',
    uses,
  };
}

function startMark(id: string, mark: NonNullable<StartPart['marks']>[number], wool: StartWool): Use {
  const fibreId = wool[mark.wool];
  const more = { count: mark.count, words: mark.words, placement: mark.placement ?? null };
  const mm = (value: number) => ({ value, unit: 'mm' as const });
  switch (mark.is) {
    case 'dot':
      return { ...blankUse(id, 'dot', fibreId), ...more, diameter: mm(mark.diameterMm) } as Use;
    case 'line':
      return { ...blankUse(id, 'line', fibreId), ...more, length: mm(mark.lengthMm) } as Use;
    case 'patch':
      return {
        ...blankUse(id, 'patch', fibreId),
        ...more,
        length: mm(mark.lengthMm),
        width: mm(mark.widthMm),
      } as Use;
  }
}

function startJoin({ name, on }: StartPart): Join[] {
  if (!on) return [];
  const join = blankJoin(joinId(name, on.host), startId(name), startId(on.host));
  return [
    {
      ...join,
      looseEnd: on.hasNoLooseEnd ? null : join.looseEnd,
      sink: on.sinkMm === undefined ? null : { value: on.sinkMm, unit: 'mm' },
      placement: on.placement ?? null,
    },
  ];
}
