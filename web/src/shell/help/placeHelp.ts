import { at, type KeyLine, type PlaceHelp, PRINT_KEYS } from './helpOfPlace.ts';
import { LOGBOOK_PLACES } from './logbookHelp.ts';
import { RUN_PLACES } from './runHelp.ts';

const LIST_KEYS: readonly KeyLine[] = [['↑ ↓', 'From row to row; Home and End to its ends']];

const NETWORK_PLACES: readonly PlaceHelp[] = [
  {
    isAt: at(/^\/network(?:\/[^/]+)?$/),
    title: 'Network',
    answers: 'Who comes in, what did they do, and who is named?',
    ways: [
      'Devices: name one, say what it may, show the code there. It comes in by typing or photographing it, and goes by a press.',
      'Who did what: every write with device and role, the last first; by device and by day; as CSV.',
      'Persons: everybody a class names. Give them theirs, forget them everywhere, or say after how long a class is forgotten by itself.',
    ],
    terms: [],
    keys: [],
  },
  {
    isAt: at(/^\/count$/),
    title: 'Count',
    answers: 'What lies in this drawer now?',
    ways: [
      'Find the drawer by a name, a lot or a place; count or weigh what lies there; the ledger gets the difference.',
      'With a scale chosen (at the scale of a run), wool is taken from it by a press.',
    ],
    terms: ['lot'],
    keys: [['Enter', 'Enter the count']],
  },
  {
    isAt: at(/^\/runs\/[^/]+\/codes$/),
    title: 'Codes for learners’ phones',
    answers: 'How does a learner open their pattern on their phone?',
    ways: [
      'Make a code for each seat, print, cut along the dashes, lay a slip into each pack. It opens the pattern of that pack as long as the class says.',
      'End them all by a press; new ones are others.',
    ],
    terms: [],
    keys: PRINT_KEYS,
  },
  {
    isAt: at(/^\/pack$/),
    title: 'Your pattern',
    answers: 'What do I do next with what is in my pack?',
    ways: [
      'Type the code of the pack. Press the number of a step when it is done; it stays so on this phone.',
    ],
    terms: [],
    keys: [],
  },
  {
    isAt: at(/^\/pair$/),
    title: 'Pair this device',
    answers: 'How does this device come in?',
    ways: ['By the code on the owner’s screen, under Network: it lets in one device, for ten minutes.'],
    terms: [],
    keys: [],
  },
];

const PLACES: readonly PlaceHelp[] = [
  ...LOGBOOK_PLACES,
  ...RUN_PLACES,
  ...NETWORK_PLACES,
  {
    isAt: at(/^\/$/),
    title: 'Bench',
    answers: 'What needs me today?',
    ways: [
      'Runs ahead, the nearest first, with what each lacks. A run opens by a press.',
      'Right of it what is short for all of them together, needles that did not come back, and patterns that cannot be published yet.',
    ],
    terms: ['short', 'unknown', 'promised'],
    keys: [],
  },
  {
    isAt: at(/^\/begin$/),
    title: 'Begin a figure',
    answers: 'How do I get from nothing to packs?',
    ways: [
      'A body, a height, two colours and who comes; the numbers follow while you choose.',
      'Nothing is made before you press the button. Then pattern, wool and class are there, and all of it can be changed.',
    ],
    terms: ['likely', 'nobody-short', 'spare', 'core', 'coat'],
    keys: [['← →', 'From body to body']],
  },
  {
    isAt: at(/^\/begin\/shelf$/),
    title: 'What is on your shelf?',
    answers: 'How do I tell what I have without typing it all?',
    ways: ['Tick what is there; grams may wait. A bag about so big is near enough to begin with.'],
    terms: ['preparation', 'core', 'gauge', 'lot'],
    keys: [['Space', 'Tick']],
  },
  {
    isAt: at(/^\/patterns$/),
    title: 'Patterns',
    answers: 'What can be made, and which of it is ready?',
    ways: ['Search by words of the name; open one to write, or read it as its reader does.'],
    terms: ['revision', 'unknown', 'level'],
    keys: LIST_KEYS,
  },
  {
    isAt: at(/^\/patterns\/[^/]+$/),
    title: 'Work table',
    answers: 'What is it made of, and what does that take?',
    ways: [
      'At the left the figure, in pieces or together: pull a handle, or choose a piece to write it.',
      'In the middle what is written: parts with their wool, joins, materials, steps, options, and what stands about it.',
      'At the right what one make takes, changed at once by every edit, and what is still to look at.',
    ],
    terms: [
      'finished',
      'rolled',
      'firmness',
      'coat',
      'join',
      'loose-end',
      'likely',
      'build',
      'stage',
      'ladder',
    ],
    keys: [
      ['Ctrl Z', 'Take back the last change; what it was is said beside the lists'],
      ['Ctrl Shift Z', 'Do it again'],
      ['Ctrl S', 'Save at once (it saves itself)'],
      ['↑ ↓', 'From part to part, step to step'],
      ['↑ ↓ in a size', 'A millimetre or a sixteenth more or less; with Shift five'],
      ['Enter', 'Open the part or step, and close it again'],
      ['Ctrl Enter', 'Add another after this one'],
      ['Ctrl D', 'Duplicate it'],
      ['Alt ↑  Alt ↓', 'Move it up or down'],
      ['Delete', 'Delete it (it can be undone)'],
      [
        '← →  on the ladder',
        'Read along it; Alt ↑ ↓ puts a step on another rung, Delete gives it back to the school',
      ],
    ],
  },
  {
    isAt: at(/^\/patterns\/[^/]+\/read$/),
    title: 'As its reader goes through it',
    answers: 'What do I do next, and with what?',
    ways: ['Choose what is made, and its steps, wool and needles follow. It prints as it stands.'],
    terms: ['build', 'option', 'colourway', 'portion', 'hand-measure'],
    keys: PRINT_KEYS,
  },
  {
    isAt: at(/^\/patterns\/[^/]+\/papers$/),
    title: 'Booklet',
    answers: 'How does this pattern leave the studio?',
    ways: [
      'Say what it is for: to sell, to teach, for yourself. Each begins with settings of its own; yours are kept for this pattern on this device.',
      'The pages beside it are those of the file that is saved: tagged for readers, with bookmarks and links. One page of HTML works without a network, and is ticked along.',
    ],
    terms: ['revision', 'option', 'colourway'],
    keys: [],
  },
  {
    isAt: at(/^\/patterns\/[^/]+\/translations\/[^/]+$/),
    title: 'Another language',
    answers: 'What does this pattern say in another language?',
    ways: [
      'Every text stands beside what it was written from. What is empty, or was changed since, stays as written in the booklet.',
      'Save it as a file to have it translated elsewhere, and bring that in again. Words of the paper stand at the end.',
    ],
    terms: ['revision'],
    keys: [],
  },
  {
    isAt: at(/\/guide$/),
    title: 'Guide at true size',
    answers: 'How large is this piece, under my hands?',
    ways: [
      'Print at 100 %: the bar has to measure 100 mm. On the screen hold a ruler to it once, and it is true there too.',
    ],
    terms: ['guide', 'rolled', 'finished', 'loose-end'],
    keys: PRINT_KEYS,
  },
  {
    isAt: at(/^\/buying\/cutting$/),
    title: 'What to cut',
    answers: 'What do I cut from what, in which order?',
    ways: [
      'Choose what is cut; the plan draws every stick or sheet to scale, with its pieces by number.',
      'Take the plan, and tick off each stick or sheet when it is cut: what is left over and long enough goes back to the shelf.',
    ],
    terms: ['nap', 'finding', 'short'],
    keys: [['Space', 'Tick off']],
  },
  {
    isAt: at(/^\/buying\/makes$/),
    title: 'Makes from here',
    answers: 'How many of each could I make of what lies here?',
    ways: [
      'Each published figure with how many the shelf allows, what limits it, and what one more pack would bring.',
      'Choose leftovers, and the figures that use up most of them come first.',
    ],
    terms: ['free', 'blend', 'colourway'],
    keys: [],
  },
  {
    isAt: at(/^\/buying\/(?!cutting|makes)[^/]+$/),
    title: 'Orders',
    answers: 'What is on its way, and what came?',
    ways: [
      'A draft is sent, and ticked off when it comes: then it is on the shelf, in a lot with what you paid.',
      'What came other than it was ordered is said below; the last arrival can be taken back.',
    ],
    terms: ['lot', 'free'],
    keys: [],
  },
  {
    isAt: at(/^\/buying$/),
    title: 'Buying',
    answers: 'What do I order, of whom, and by when?',
    ways: [
      'At the left the runs that are bought for, with the day each wants its goods by.',
      'In the middle what they want; a line opens to where its number comes from.',
      'At the right whole packs, three ways side by side. A number may be held by hand, and the rest is planned around it.',
    ],
    terms: ['short', 'promised', 'free', 'blend', 'lot'],
    keys: [],
  },
  {
    isAt: at(/^\/shelf(\/(?!import)[^/]+)?$/),
    title: 'Shelf',
    answers: 'What have I got, and what of it is free?',
    ways: [
      'A drawer is as full as it is. Open one for its lots, prices and where it is used.',
      'Count, take off and bring in: every change is a line in its ledger, and can be taken back.',
    ],
    terms: ['preparation', 'staple', 'lot', 'free', 'promised', 'blend', 'finding', 'cover', 'gauge'],
    keys: [['← → ↑ ↓', 'From drawer to drawer; Home and End to its ends']],
  },
  {
    isAt: at(/^\/(shelf\/import|bring-in)$/),
    title: 'Bring in',
    answers: 'Do I have to type what I already have?',
    ways: ['Paste it or choose a file; what was read, and what was not, is shown before anything is kept.'],
    terms: ['lot', 'unknown'],
    keys: [],
  },
  {
    isAt: at(/\/needles$/),
    title: 'Needles',
    answers: 'Which needles does it take, and how many?',
    ways: [
      'For a class: by seat, table and room, with spares by chance, held against what is on the shelf.',
      'Of a pattern: the card its learners get, stage by stage.',
    ],
    terms: ['ladder', 'stage', 'gauge', 'profile', 'spare'],
    keys: PRINT_KEYS,
  },
  {
    isAt: at(/^\/techniques/),
    title: 'Techniques',
    answers: 'Which steps do I write again and again?',
    ways: [
      'Write them once, with gaps to fill; a pattern takes a version and keeps it until you take the next.',
    ],
    terms: ['technique'],
    keys: [],
  },
  {
    isAt: at(/^\/compare$/),
    title: 'Side by side',
    answers: 'What is other between these two?',
    ways: ['Any two patterns or revisions: figure, grams, minutes, and every line that differs.'],
    terms: ['revision', 'likely'],
    keys: [],
  },
  {
    isAt: at(/^\/runs$/),
    title: 'Runs',
    answers: 'What is planned, and how far is it?',
    ways: ['Classes and batches of kits, ahead by day and behind by day.'],
    terms: ['portion', 'revision'],
    keys: LIST_KEYS,
  },
  {
    isAt: at(/^\/(backups|bin|history)/),
    title: 'Keeping it safe',
    answers: 'Can anything be lost?',
    ways: [
      'Backups are made by themselves and checked. What was deleted lies in the bin for ninety days; what was changed can be gone back to.',
    ],
    terms: ['revision'],
    keys: [],
  },
];

const ANYWHERE: PlaceHelp = {
  isAt: () => true,
  title: 'Here',
  answers: 'Where do I find what?',
  ways: ['Press / and type what you look for, or what you want to do.'],
  terms: ['unknown'],
  keys: [],
};

/** @param pathname below the studio that is shown */
export const helpAt = (pathname: string): PlaceHelp => PLACES.find(({ isAt }) => isAt(pathname)) ?? ANYWHERE;

export const KEYS_ANYWHERE: readonly KeyLine[] = [
  ['/  or  Ctrl K', 'Find anything by a word of it, or do something'],
  ['?  or  F1', 'This: what the place answers, its words and its keys'],
  ['Esc', 'Close what lies on top'],
];
