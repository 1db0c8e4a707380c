import type { Wool } from '../../src/engine/index.ts';
import type { PaperSource } from '../../src/papers/index.ts';
import { BLANK_STEP, blankJoin, type Pattern } from '../../src/pattern/index.ts';
import {
  type BoxRecipe,
  NO_PROMISES,
  packsOf,
  portionsOfRun,
  RUN_DEFAULTS,
  type RunInput,
  toPackOf,
} from '../../src/run/index.ts';
import { BLANK_FINDING, blankMeasure, type Finding } from '../../src/shelf/index.ts';
import { fibre, mm, part, pattern, shapes, shelf, use } from './make.ts';

/** A body with a coat, legs joined on, a dot, a wisp only if needed, eyes; two sessions, a wait, a swap, a colourway. */
export const bird: Pattern = pattern(
  [
    part('body', shapes.ball(60), {
      uses: [
        use('core', 'body-core', 'chalk'),
        use('coat', 'body-coat', 'slate'),
        use('added', 'body-wisp', 'slate', { isIfNeeded: true, amount: { form: 'grams', massG: 1, highG: null, isWeighed: true } }),
      ],
    }),
    part('leg', shapes.limb(40, 12), { count: 2, core: 'amber' }),
    part('spot', shapes.ball(4), { core: 'ink' }),
  ],
  {
    title: 'Bird',
    joinsApart: true,
    joins: [{ ...blankJoin('leg-body', 'leg', 'body'), looseEnd: null, cover: { fibreId: 'slate', band: mm(10), words: '', wordsSizeFraction: 1, isIfNeeded: false } }],
    findings: [{ id: 'eyes', findingId: 'eye', partId: 'body', count: 2 , placement: null}, { id: 'beads', findingId: 'bead', partId: 'body', count: { low: 9, high: 12 }, placement: null }],
    steps: [
      { ...BLANK_STEP, id: 's1', text: 'Roll the body', partIds: ['body'], stage: 'core', minutes: 20 },
      { ...BLANK_STEP, id: 's2', text: 'Wrap the legs clockwise, the left leg first', partIds: ['leg'], stage: 'core', minutes: 10, waiting: 30 },
      { ...BLANK_STEP, id: 's3', text: 'Lay on the coat of slate', partIds: ['body'], stage: 'coat', minutes: 15 },
      { ...BLANK_STEP, id: 's4', text: 'Set on the legs and the spot', partIds: ['leg', 'spot'], joinIds: ['leg-body'], stage: 'join', minutes: null },
    ],
    sessions: [
      { id: 'one', name: 'shapes', firstStepId: 's1', startState: '', safeStop: '', homework: '' },
      { id: 'two', name: 'feathers', firstStepId: 's3', startState: '', safeStop: '', homework: '' },
    ],
    slots: [{ id: 'coat', name: 'coat', places: [{ kind: 'use', id: 'body-coat' }, { kind: 'join', id: 'leg-body' }], rule: null }],
    colourways: [{ id: 'dusk', name: 'Dusk', fills: [{ slotId: 'coat', fibreId: 'plum' }] }],
    swaps: [
      {
        id: 'felt-eyes',
        of: { kind: 'finding', id: 'eyes' },
        to: { kind: 'finding', findingId: 'bead' },
        amountFactor: 1,
        moreMinutes: 0,
        steps: [{ stepId: 's4', text: 'Set on the legs, and sew the beads on for eyes' }],
        look: 'beads for eyes',
      },
      { id: 'grey', of: { kind: 'use', id: 'body-coat' }, to: { kind: 'fibre', fibreId: 'plum' }, amountFactor: 1, moreMinutes: 0, steps: [{ stepId: 's3', text: 'Lay on the coat of plum' }], look: 'plum for slate' },
    ],
  },
); // prettier-ignore

/** The bird at one sitting, with nothing to do while its legs wait. */
export const stillBird: Pattern = {
  ...bird,
  sessions: [],
  steps: bird.steps.map((step) => (step.id === 's3' ? { ...step, partIds: ['body', 'leg'] } : step)),
};

export const pear: Pattern = pattern(
  [part('body', shapes.egg(74, 56), { core: 'chalk', coat: 'amber' }), part('leaf', shapes.flat(38, 20, 3), { count: 2, core: 'ink' })],
  { title: 'Pear' },
); // prettier-ignore

const thing = (id: string, sort: 'eye' | 'bead' | 'other', onHand: number | null, priceMinor: number | null): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  measure: { ...(blankMeasure('count') as Extract<Finding['measure'], { by: 'count' }>), sort, piecesPerPack: 10 },
  priceMinor,
  onHand,
  peak: onHand ?? 0,
}); // prettier-ignore

export const coastWool: Wool = {
  ...shelf(
    fibre('chalk', { colour: '#e6e0d2', onHandG: 300 }),
    fibre('slate', { colour: '#2c3440' }),
    fibre('amber', { colour: '#dd8a1c' }),
    fibre('ink', { colour: '#1d1c1e', onHandG: 40 }),
    fibre('plum', { colour: '#5a2a52', onHandG: null }),
  ),
  findings: new Map(
    [thing('eye', 'eye', 30, 100), thing('bead', 'bead', 500, 50), thing('card-box', 'other', 20, 600)].map(
      (finding) => [finding.id, finding],
    ),
  ),
};

/** With the bird that a class stands still at. */
export const stillDesigns = new Map([
  ['bird-1', stillBird],
  ['pear-1', pear],
]);

export const coastDesigns = new Map([
  ['bird-1', bird],
  ['pear-1', pear],
]);

export const classOf = (more: Partial<RunInput> = {}): RunInput => ({
  ...RUN_DEFAULTS,
  recipes: [],
  roster: [],
  swapIds: [],
  ownBags: [],
  name: 'Birds',
  date: '2026-12-05',
  revisionId: 'bird-1',
  seats: 6,
  sparePacks: 1,
  ...more,
});

const none = { values: {}, colourwayId: null, swapIds: [] as string[] };

export const duo = (more: Partial<BoxRecipe> = {}): BoxRecipe => ({
  id: 'duo',
  name: 'Coast duo',
  boxes: 5,
  spares: 1,
  form: 'full',
  designs: [
    { revisionId: 'bird-1', copies: 1, choices: none },
    { revisionId: 'pear-1', copies: 2, choices: none },
  ],
  needlesLeftOut: [],
  packaging: [{ findingId: 'card-box', count: 1 }],
  ...more,
});

export const kitsOf = (recipes: BoxRecipe[], more: Partial<RunInput> = {}): RunInput =>
  classOf({
    kind: 'kits',
    recipes,
    seats: recipes.reduce((sum, { boxes }) => sum + boxes, 0),
    sparePacks: recipes.reduce((sum, { spares }) => sum + spares, 0),
    ...more,
  });

/** What papers are made of, from nothing bought or promised. */
export const sourceOf = (input: RunInput, designs = coastDesigns, wool: Wool = coastWool): PaperSource => {
  const toPack = toPackOf(designs, input, wool);
  const plan = portionsOfRun(toPack, input, (id) => ({
    onHandG: wool.fibres.get(id)?.onHandG ?? null,
    promisedG: 0,
  }));
  return {
    runId: 'run-1',
    input,
    toPack,
    plan,
    packs: packsOf(toPack.groups, input.roster),
    wool,
    revisionNumbers: new Map([['bird-1', 3], ['pear-1', 1]]),
    kit: null,
    needles: [],
    tools: [],
    promised: NO_PROMISES,
    shelf: wool.fibres,
    isPacked: false,
    recipes: new Map([['plum', new Map([['slate', 0.8], ['amber', 0.1], ['chalk', 0.1]])]]),
  };
}; // prettier-ignore
