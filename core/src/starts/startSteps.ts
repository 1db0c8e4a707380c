import { BLANK_STEP, type Part, type Step } from '../pattern/index.ts';
import type { StartBody, StartPart } from './body.ts';
import { joinId, startId } from './startIds.ts';

/**
 * How a body is made, in the order hands go: each piece rolled, felted and coated, set on, its details laid on, all of it
 * finished. Minutes, cues and checks are left for its author: nobody else knows them.
 */
export function startSteps({ parts }: StartBody): Step[] {
  const made = parts.flatMap((part) => [...makeSteps(part), ...joinSteps(part)]);
  const finish: Step = {
    ...stepOf('finish', parts.map(({ name }) => name), 'Go over all of it with the finest needle, shallow and at a slant, until no poke marks show. Snip what still stands off.'),
    act: { kind: 'felt' },
    stage: 'finish',
    place: 'on-surface',
    stroke: 'at-a-slant',
    depth: 'light',
  };
  return [...made, ...parts.flatMap(markSteps), finish];
} // prettier-ignore

const stepOf = (id: string, partNames: readonly string[], text: string): Step => ({
  ...BLANK_STEP,
  id,
  text,
  partIds: partNames.map(startId),
});

const FLAT = new Set<Part['shape']['kind']>(['flat-ellipse', 'flat-outline', 'plate']);

/** `the ear`, `both ears`, `all four legs`. */
function nameOf({ name, count = 1 }: StartPart): string {
  const lower = name.toLowerCase();
  if (count === 1) return `the ${lower}`;
  const many = lower === 'foot' ? 'feet' : `${lower}s`;
  return count === 2 ? `both ${many}` : `all ${count} ${many}`;
}

function makeSteps(part: StartPart): Step[] {
  const { name, shape, coat, count = 1 } = part;
  const id = startId(name);
  const them = count > 1 ? 'them' : 'it';
  const isFlat = FLAT.has(shape.kind);
  const loose =
    part.on && !part.on.hasNoLooseEnd ? ` Leave one end${count > 1 ? ' of each' : ''} loose.` : '';
  const make: Step = {
    ...stepOf(`${id}-make`, [name], isFlat
      ? `Lay out the wool for ${nameOf(part)}, a little larger than the outline, and felt ${them} from both sides. Fold the edges in and felt again.${loose}`
      : `Roll the wool for ${nameOf(part)} as tight as it goes, then felt ${them} all round, turning after every few stabs.${loose}`),
    act: { kind: 'make' },
    stage: isFlat ? 'shape' : 'core',
    place: isFlat ? 'on-template' : 'on-surface',
    stroke: isFlat ? 'edges-first' : 'toward-centre',
    depth: isFlat ? 'through' : 'half',
    ...(count > 1 && { repeat: { times: null, notes: [] } }),
  }; // prettier-ignore
  if (!coat) return [make];
  return [
    make,
    {
      ...stepOf(`${id}-coat`, [name], `Lay the colour over ${nameOf(part)} in two thin layers, the second across the first, and felt it on.`),
      act: { kind: 'wrap' },
      stage: 'coat',
      place: 'on-surface',
      stroke: 'at-a-slant',
      depth: 'light',
      ...(count > 1 && { repeat: { times: null, notes: [] } }),
    },
  ]; // prettier-ignore
}

function joinSteps(part: StartPart): Step[] {
  const { name, on } = part;
  if (!on) return [];
  const how = on.hasNoLooseEnd
    ? 'deep and all round, aiming through it into what it sits on'
    : 'spreading the loose end and stabbing it in deep, all round';
  return [
    {
      ...stepOf(`${startId(name)}-join`, [name, on.host], `Set ${nameOf(part)} on and felt ${(part.count ?? 1) > 1 ? 'them' : 'it'} in, ${how}.`),
      act: { kind: 'join' },
      stage: 'join',
      joinIds: [joinId(name, on.host)],
      place: 'in-place',
      stroke: 'toward-centre',
      depth: 'through',
    },
  ]; // prettier-ignore
}

function markSteps({ name, marks = [] }: StartPart): Step[] {
  return marks.map((mark, at) => ({
    ...stepOf(`${startId(name)}-detail-${at + 1}`, [name], `On the ${name.toLowerCase()}: ${mark.words}. A little wool at a time, with a fine needle.`),
    act: { kind: 'wrap' as const },
    stage: 'detail' as const,
    place: 'on-surface' as const,
    stroke: 'straight-down' as const,
    depth: 'light' as const,
  })); // prettier-ignore
}
