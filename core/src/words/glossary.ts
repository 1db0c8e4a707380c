interface Term {
  readonly name: string;
  /** What it is, and what it does to a number. */
  readonly words: string;
  /** Labels of fields that ask for it. */
  readonly labels?: readonly string[];
}

/** The trade's words and ours, as they are meant here. */
const TERMS = {
  core: {
    name: 'Core',
    words: 'Cheap, springy wool inside a part: it gives the size, and is hidden by the coat.',
  },
  coat: {
    name: 'Coat',
    words:
      'Wool laid over a core until it no longer shows. How much follows from the surface, and from how far the two colours differ.',
  },
  preparation: {
    name: 'How wool is prepared',
    words:
      'Batt and sliver are carded: fibres lie every way and felt fast. Tops are combed: fibres lie along, for smooth coats, stripes and hair. Locks keep their curl; pre-felt is a soft sheet that can be cut.',
    labels: ['Prepared as'],
  },
  staple: {
    name: 'Staple',
    words: 'How long the single fibres are. A length of tops longer than its staple cannot be pulled off.',
    labels: ['Staple length'],
  },
  firmness: {
    name: 'Firmness',
    words:
      'How dense felt is when it is done: soft gives under a thumb, firm dents a little, hard does not. Grams of a part are its volume times this, so it is most of the doubt in an amount. Weigh one finished make, and it is known.',
    labels: ['Firmness', 'Has to be'],
  },
  rolled: {
    name: 'Rolled to, laid out to',
    words:
      'The size of the loose wool before it is felted: dashed in the drawings. Felting brings it down to the finished size.',
  },
  finished: {
    name: 'Finished size',
    words: 'The size after felting. Every size is one unless it says rolled or laid out.',
    labels: ['Finished height'],
  },
  join: { name: 'Join', words: 'Where one part is felted onto another. What it is joined to is its host.' },
  'loose-end': {
    name: 'Loose end',
    words: 'Wool left unfelted at the end of a part, by which it is joined: it is counted with the part.',
    labels: ['Loose end of'],
  },
  sunk: {
    name: 'Sunk in',
    words:
      'How deep a part sits in its host: that much of its length is not seen, and the figure is the less high.',
    labels: ['Sunk in'],
  },
  widest: {
    name: 'Widest at',
    words: 'How far up from its base an egg or a drop is at its widest, in hundredths of its length.',
    labels: ['Widest at'],
  },
  place: {
    name: 'Place',
    words:
      'Where on its host a part, an eye or a detail sits. One that says proposed was worked out from the joins.',
    labels: ['Its places'],
  },
  build: { name: 'Build', words: 'What one person makes of a pattern, with every option and colour chosen.' },
  option: {
    name: 'Option',
    words: 'A choice that a pattern leaves to who makes it: with or without, this or that.',
  },
  colourway: {
    name: 'Colourway',
    words: 'A set of colours for the whole figure, chosen at once.',
    labels: ['Colourway', 'Colourways'],
  },
  swap: {
    name: 'Swap',
    words: 'A fibre or thing that may stand in for another, because its author says so.',
  },
  revision: {
    name: 'Revision',
    words: 'A pattern as it was published. It never changes; a run keeps the one it was planned with.',
  },
  level: {
    name: 'Level',
    words: 'How practised somebody should be: for readers, and for how long a class takes.',
    labels: ['Level', 'How practised'],
  },
  pace: {
    name: 'At your pace',
    words: 'Minutes your own hands take for a step. Learners take longer; a run counts with that.',
    labels: ['Minutes at your pace', 'Those minutes are'],
  },
  likely: {
    name: 'Likely, and from – to',
    words:
      'The middle of what one make takes, and what eight makes in ten lie between. ≈ is worked out; without it, it was weighed or told.',
  },
  unknown: {
    name: 'Unknown',
    words: 'Nobody has said it. It is never counted as nought, and is told wherever it is missing.',
  },
  portion: {
    name: 'Portion',
    words:
      'One fibre in one bag of one pack, in whole steps of your scale: what is weighed and what is printed.',
  },
  'nobody-short': {
    name: 'Nobody short',
    words:
      'In so many classes of a hundred there is wool enough for all, out of portions, spare packs and the bag all may come to. More costs more wool.',
    labels: [
      'Nobody short, with',
      'A box suffices, with',
      'So that nobody is short',
      'Chance of running out',
    ],
  },
  more: {
    name: 'Pack more than likely',
    words: 'So much is added to the likely amount before it is rounded up to a step of the scale.',
    labels: ['Pack more than likely'],
  },
  scale: {
    name: 'Scale step',
    words:
      'The smallest difference your scale shows. Less than a step or two cannot be weighed: it is weighed for several at once and parted by hand.',
    labels: ['Scale reads to', 'The scale reads to'],
  },
  spare: {
    name: 'Spare packs',
    words: 'Whole packs over, for whoever spoils one or comes unannounced.',
    labels: ['Spare packs', 'Spares'],
  },
  bag: {
    name: 'Bag',
    words: 'What is opened at one time: a whole pack, a session, or a sort of wool.',
    labels: ['Bags', 'The wool of a pack goes into'],
  },
  lot: {
    name: 'Lot',
    words:
      'What came at one time. Colours of two lots may differ: one pack is weighed from one lot where it goes.',
    labels: ['Lot', 'Lots', 'Name of the lot', 'Of which lot'],
  },
  free: { name: 'Free on the shelf', words: 'On hand, less what runs before this one will take.' },
  promised: { name: 'Promised', words: 'What runs ahead will take. It is still on the shelf.' },
  short: { name: 'Short', words: 'Wanted and not there, after the runs before it.' },
  blend: {
    name: 'Blend',
    words: 'Fibres carded together by parts. A run takes the fibres, or a lot already blended.',
  },
  finding: {
    name: 'Finding',
    words: 'Anything bought that is no wool: eyes, beads, wire, cord, pins, packaging.',
  },
  former: {
    name: 'Former',
    words: 'What wool is felted round and comes out again: a sponge, a skewer, a mould.',
  },
  gauge: {
    name: 'Gauge',
    words:
      'How thick a needle is: the higher, the finer. Coarse ones move much wool fast, fine ones leave few marks.',
    labels: ['Gauge', 'Any of a gauge'],
  },
  profile: {
    name: 'Profile',
    words:
      'The shape of a needle’s blade, which says how many edges carry notches, and so how fast it felts.',
    labels: ['Profile'],
  },
  ladder: {
    name: 'Needle ladder',
    words:
      'Which needle each step is done with, coarse to fine, as your school has it: a step’s stage chooses its rung, and what the wool or the part asks otherwise is said beside it.',
    labels: ['Needle ladder', 'How you use needles', 'Ladder'],
  },
  stage: {
    name: 'Stage',
    words:
      'How far the felt is when a step is done: shaping, firming, joining, coating, detail, smoothing. It chooses the needle.',
    labels: ['Stage'],
  },
  tray: {
    name: 'Tray',
    words: 'Needles of a class, counted out and in, so that none stays in a chair or a figure.',
  },
  pose: {
    name: 'Pose',
    words: 'The figure with its limbs turned otherwise. Wool and sizes stay the same.',
    labels: ['Pose', 'Name of the pose'],
  },
  guide: {
    name: 'Guide at true size',
    words:
      'Every piece on paper as large as it is, to lay wool and felt on. Its bar measures 100 mm when it is printed at 100 %.',
  },
  technique: {
    name: 'Technique',
    words: 'Steps that are written once and used in many patterns; each keeps the version it took.',
  },
  cover: {
    name: 'Hides',
    words:
      'How well a fibre covers what is beneath, found once with a sample: grams of a coat follow from it.',
    labels: ['Hides', 'Covers'],
  },
  nap: {
    name: 'Nap',
    words: 'Cloth that lies in one direction: its pieces may not be turned when they are cut.',
    labels: ['Nap'],
  },
  'hand-measure': {
    name: 'A wisp, a pinch, a tuft',
    words: 'What your fingers take at once, in grams: weigh ten once, and steps may speak of them.',
    labels: ['Your hand'],
  },
} as const satisfies Readonly<Record<string, Term>>;

export type TermId = keyof typeof TERMS;

const all = Object.entries(TERMS) as readonly (readonly [TermId, Term])[];

const BY_LABEL: ReadonlyMap<string, TermId> = new Map(
  all.flatMap(([id, { labels = [] }]) => labels.map((label) => [label, id] as const)),
);

/** The term a field's label asks for; null: its words say it all. */
export const termOfLabel = (label: string): TermId | null => BY_LABEL.get(label) ?? null;

export const termOf = (id: TermId): Term => TERMS[id];

export const allTerms = (): readonly (readonly [TermId, Term])[] => all;
