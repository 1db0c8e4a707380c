import { at, type PlaceHelp, PRINT_KEYS } from './helpOfPlace.ts';

/** What may be asked of a run and of each place at its table. */
export const RUN_PLACES: readonly PlaceHelp[] = [
  {
    isAt: at(/^\/runs\/[^/]+\/day$/),
    title: 'The day of a class',
    answers: 'Will everybody finish, and what would help?',
    ways: [
      'Say when it begins and how long the room is yours; propose what is talked and shown, or write it.',
      'The strip shows who is where when; what goes over the end stands in red. Drag a talk, a demonstration or a break, or move it with the arrow keys.',
      'What would help is tried one after another: take one, or what is proposed together. It goes into the class, its lists and its sheets, and Ctrl Z takes it back.',
    ],
    terms: ['likely', 'unknown', 'stage'],
    keys: [
      ['← →', 'On a talk, a demonstration or a break: five minutes'],
      ['Ctrl Z', 'Take back the last change'],
    ],
  },
  {
    isAt: at(/^\/runs\/[^/]+\/pattern$/),
    title: 'Patterns, as each is made',
    answers: 'What does each seat get to read?',
    ways: ['One after another, each with what its seat chose, in its size; alike ones once.'],
    terms: ['build', 'portion', 'colourway'],
    keys: PRINT_KEYS,
  },
  {
    isAt: at(/^\/runs\/[^/]+\/booklets$/),
    title: 'Booklets of a run',
    answers: 'What does each pack take home to read?',
    ways: [
      'Every pack its own, with what lies in its bag, or each kind once with whose it is; all in one file.',
      'One of them is seen beside it. Many take a while: how far they have come is told, and they can be stopped.',
    ],
    terms: ['build', 'portion', 'bag'],
    keys: [],
  },
  {
    isAt: at(/^\/runs\/[^/]+\/cards$/),
    title: 'Cards for the box',
    answers: 'What lies in the box beside the wool?',
    ways: [
      'Say how large the box is inside: the cards are a little less. The size stays for the next run.',
      'Print at 100 %, on one side. Cut along whole lines; what hangs together is folded like a fan.',
    ],
    terms: ['bag', 'spare'],
    keys: [],
  },
  {
    isAt: at(/^\/runs\/[^/]+$/),
    title: 'A run',
    answers: 'What goes into every pack, and is it there?',
    ways: [
      'Who comes and what they chose, at the left; what each sort of pack holds, at the right.',
      'A number with a dotted line opens to how it came about.',
      'Bought fixes the numbers: from then on neither the shelf nor the pattern changes them.',
    ],
    terms: ['portion', 'nobody-short', 'more', 'scale', 'spare', 'bag', 'free', 'short'],
    keys: [],
  },
  {
    isAt: at(/^\/runs\/[^/]+\/weigh-out$/),
    title: 'Weigh out',
    answers: 'What goes on the scale next?',
    ways: [
      'Fibre by fibre, pale before dark, or pack by pack. ± is how far off it may be.',
      'With a scale chosen above, what is right and stable is kept by itself, with what it weighed; lift it off, and the next is wanted. By hand a tap keeps what was planned.',
    ],
    terms: ['portion', 'scale', 'lot'],
    keys: [
      ['Space', 'Tick, and on to the next'],
      ['← → ↑ ↓', 'From weighing to weighing'],
      ['Enter', 'With a scale: keep what lies there, as soon as it stands still'],
      ['T', 'With a scale: tare'],
      ['S', 'With a scale: another first'],
      ['⌫', 'With a scale: the last one again'],
    ],
  },
  {
    isAt: at(/^\/runs\/[^/]+\/packing$/),
    title: 'Packing',
    answers: 'What goes into this pack, and is all of it in?',
    ways: [
      'One pack in front of you; what goes in from the bottom up, each ticked when it is in. Two may pack at once, on two devices.',
      'Weigh the finished pack: what nobody weighs is the same in packs that are alike, so a missing bag shows, and mostly which. What was left out is told before it is closed.',
    ],
    terms: ['portion', 'scale', 'spare'],
    keys: [
      ['Space', 'In, and on to the next'],
      ['↑ ↓', 'From thing to thing'],
    ],
  },
  {
    isAt: at(/^\/runs\/[^/]+\/class$/),
    title: 'Teaching',
    answers: 'What is on, what comes next, and who needs me?',
    ways: [
      'At the left the clock, what is on, how late it is and what comes next. “Everybody has it” ends it, “5 more minutes” moves the rest of the day along; what runs by itself afterwards is timed at once, and rings on every device.',
      'In the room a tap on a piece says what it has become; behind is who is not where half of the class was to be by now. What the whole class is late is nobody’s own.',
      'Everything is kept act by act and can be taken back; out of reach of the studio it waits on this device. Where two devices said different things it is told who said what.',
    ],
    terms: ['tray', 'spare', 'portion'],
    keys: [
      ['H', 'Everybody has it'],
      ['M', 'Five more minutes'],
      ['N', 'Begin what comes next'],
      ['1 – 5', 'The room, the day, sharps, said and seen, afterwards'],
      ['Ctrl Z', 'Take the last thing back'],
    ],
  },
  {
    isAt: at(/^\/runs\/[^/]+\/tray$/),
    title: 'Needles out and in',
    answers: 'Are all needles back?',
    ways: ['One tap for each needle. What is still out when everybody has gone is missing, and stays told.'],
    terms: ['tray', 'gauge'],
    keys: [['1 – 9', 'One more of that needle, with Shift one less; O I B S: out, in, broken, sold']],
  },
  {
    isAt: at(/^\/runs\/[^/]+\/papers\//),
    title: 'Paper',
    answers: 'What do I print for it?',
    ways: ['Each paper is set from the same numbers as the run; PDF and CSV say the same.'],
    terms: ['portion', 'bag'],
    keys: PRINT_KEYS,
  },
];
