import { onlyFibres, type Wool } from '../../src/engine/index.ts';
import { blankCut, type Join, type Pattern, type Step } from '../../src/pattern/index.ts';
import { BLANK_FINDING, blankMeasure, type Finding } from '../../src/shelf/index.ts';
import { fibre, mm, part, pattern, shapes, wools } from './make.ts';
import { joined, step } from './writing.ts';

const finding = (id: string, name: string, measure: Partial<Finding['measure']> & { by: Finding['measure']['by'] }): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name,
  measure: { ...blankMeasure(measure.by), ...measure } as Finding['measure'],
  onHand: 100,
  peak: 100,
}); // prettier-ignore

/** A shelf on which everything that the figures below are of lies, and some that only a slip brings in. */
export const reviewWool: Wool = {
  ...onlyFibres(
    wools(
      fibre('core', { name: 'Oat', preparation: 'core-batt', colour: '#cdbfa4', arealGPerM2: 340, smallestPartMm: 4 }),
      fibre('coat', { name: 'Moss', preparation: 'carded', colour: '#6b7d36', linearGPerM: 13, stapleMm: 60 }),
      fibre('soot', { name: 'Soot', preparation: 'carded', colour: '#22201f', linearGPerM: 13 }),
      fibre('chalk', { name: 'Chalk', preparation: 'carded', colour: '#f1efe8', linearGPerM: 13 }),
      fibre('coarse', { name: 'Coarse', preparation: 'core-batt', smallestPartMm: 40 }),
    ),
  ),
  findings: new Map(
    [
      finding('eye', 'Glass eye 6 mm', { by: 'count', sort: 'eye', massG: 0.2, outerMm: { length: 6, width: 6, height: 6 } }),
      finding('bell', 'Bell 10 mm', { by: 'count', sort: 'bell', massG: 1, outerMm: { length: 10, width: 10, height: 10 } }),
      finding('glue', 'Craft glue', { by: 'volume', sort: 'glue', settingMinutes: 120 }),
      finding('wire', 'Wire 1 mm', { by: 'length', sort: 'wire', diameterMm: 1 }),
    ].map((each) => [each.id, each]),
  ),
}; // prettier-ignore

/** What of a figure may be otherwise without anything being wrong with it. */
export interface Make {
  readonly bodyMm: number;
  readonly limbMm: number;
  readonly limb: 'Leg' | 'Arm' | 'Stalk';
  readonly limbs: 2 | 4;
  readonly isRound: boolean;
  readonly unit: 'mm' | 'in';
}

const NUMBER = { 2: 'two', 4: 'four' } as const;

/** A small whole pattern in which a reader stumbles over nothing: a body, limbs, a fin, eyes, wire and a cord. */
export function cleanFigure({ bodyMm, limbMm, limb, limbs, isRound, unit }: Make): Pattern {
  const loose = { looseEnd: { partId: 'limb', length: null, ends: 1, amount: null } } as Partial<Join>;
  const limbName = limb.toLowerCase();
  const steps: Step[] = [
    say('bend', 'wrap', ['limb'], `Bend the wire and curl its ends.`, { stage: 'skeleton', needle: { by: 'none' } }),
    say('body', 'make', ['body'], 'Roll the wool tight and felt it until it springs back.', { minutes: 240 }),
    say('limbs', 'make', ['limb'], `Felt ${NUMBER[limbs]} ${limbName}s round the wire, one end loose.`),
    say('fin', 'make', ['fin'], 'Lay it out and felt it flat, turning it over as you go.', { place: 'on-surface', stage: 'shape' }),
    say('coat', 'wrap', ['body'], 'Lay thin layers all round, one over the other.', { stage: 'coat' }),
    say('limbs-on', 'join', ['limb', 'body'], `Stab the loose ends of the ${limbName}s deep into the body.`, { stage: 'join', joinIds: ['limb-body'] }),
    say('fin-on', 'join', ['fin', 'body'], 'Stab it on along its edge.', { stage: 'join', joinIds: ['fin-body'] }),
    say('eyes', 'sew', ['body'], 'Sew both eyes on with strong thread, level.', { stage: 'mount', needle: { by: 'none' } }),
    say('finish', 'felt', ['body', 'limb', 'fin'], 'Fine needle all over, shallow.', { stage: 'finish' }),
  ]; // prettier-ignore
  return pattern(
    [
      { ...part('body', isRound ? shapes.ball(bodyMm) : shapes.egg(bodyMm * 1.3, bodyMm), { coat: 'coat' }), name: 'Body' },
      { ...part('limb', shapes.limb(limbMm, 14), { count: limbs }), name: limb },
      { ...part('fin', shapes.flat(40, 24, 6)), name: 'Fin' },
    ],
    {
      lengthUnit: unit,
      level: 'practised',
      prerequisites: 'one figure with wire in it',
      sidesSeen: 'figure',
      joins: [joined('limb', 'body', loose), joined('fin', 'body', { looseEnd: null })],
      findings: [{ id: 'eyes', findingId: 'eye', partId: 'body', count: 2, placement: null }],
      cuts: [
        {
          ...(blankCut('wire', 'wire') as Extract<Pattern['cuts'][number], { kind: 'wire' }>),
          name: 'Wire',
          findingId: 'wire',
          segments: [{ name: limb, partId: 'limb', length: mm(limbMm + 10), strands: 1, isTwisted: false }],
          endCurls: 2,
        },
      ],
      steps,
    },
  ); // prettier-ignore
}

/** A step with words of its own. */
export const say = (id: string, act: Parameters<typeof step>[1], partIds: readonly string[], text: string, more: Partial<Step> = {}): Step =>
  step(id, act, partIds, { text, ...more }); // prettier-ignore
