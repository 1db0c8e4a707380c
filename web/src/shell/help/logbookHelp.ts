import { at, type KeyLine, type PlaceHelp } from './helpOfPlace.ts';

const UNDO: KeyLine = ['Ctrl Z', 'Take back the last change; Ctrl Shift Z does it again'];

/** The logbook: pages, and what they say together. */
export const LOGBOOK_PLACES: readonly PlaceHelp[] = [
  {
    isAt: at(/^\/logbook\/new$/),
    title: 'A new page',
    answers: 'Which figure is being made?',
    ways: [
      'Along a pattern the page has a line for each bag of wool, each piece and each step; or make first and write later.',
    ],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/making\/[^/]+$/),
    title: 'A making',
    answers: 'What did this one take?',
    ways: [
      'Weigh a bag before you begin and when you are done; half of the page is enough. Start and stop a step’s watch by a press.',
      'What can hardly be is asked about and kept. What is ticked for the next revision goes into the draft.',
    ],
    terms: ['likely'],
    keys: [UNDO],
  },
  {
    isAt: at(/^\/logbook\/learnt$/),
    title: 'What was learnt',
    answers: 'What do all pages teach together, and what would it change?',
    ways: [
      'Each range as it was before anything was weighed, and as it is now. Nothing is in force before you take it; runs that are bought keep what they were planned with.',
      'What is far off all others is asked about and does not count until you say that it is meant so. Anything can be left out.',
    ],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/good$/),
    title: 'How good are we?',
    answers: 'How far off were the estimates, and did ranges keep what they promise?',
    ways: [
      'Each weighing is held against the estimate of the day before. Eight in ten are promised to fall into their range.',
      'At the end: what is most worth weighing next, by how much doubt of the runs ahead it takes away.',
    ],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/questions$/),
    title: 'Asked in classes',
    answers: 'What is the next revision to answer?',
    ways: ['By pattern and step, as it was said in front of a class. Tick what the pattern answers by now.'],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/asked$/),
    title: 'Asked for',
    answers: 'Who wants what, by when, and when does it have to begin?',
    ways: [
      'Those wanted soonest stand first. By when it has to begin follows from its pattern, your pace and the days that are taken.',
    ],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/asked\/[^/]+$/),
    title: 'Something asked for',
    answers: 'Which pattern answers it, what does it take, and when is it made?',
    ways: [
      'Choose a pattern: its wool, your hours and a price stand there at once. A height scales it; several are reckoned together.',
      'Press a free day of the calendar to begin on it. Days of classes, of packing for them and of other things asked for are taken.',
    ],
    terms: ['likely'],
    keys: [UNDO],
  },
  {
    isAt: at(/^\/logbook\/gallery$/),
    title: 'Finished figures',
    answers: 'What was made, and how does it look?',
    ways: ['Pictures of pages that are done, of classes, and of what was asked for and handed over.'],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/seasons$/),
    title: 'Seasons',
    answers: 'What is wanted when, and what has to begin now?',
    ways: ['What was taught and sold in these months of earlier years, beside what is planned of it now.'],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/year$/),
    title: 'The year',
    answers: 'What did a year come to, and what did an hour earn?',
    ways: [
      'Say beside each class and batch what came in for it. What is unknown is in no sum, and each sum says so.',
    ],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook(?:\/[^/]+)?$/),
    title: 'Logbook',
    answers: 'What did it really take?',
    ways: [
      'A page for each figure that was made, and for each class that was taught; a class writes its page by itself.',
    ],
    terms: ['portion', 'spare'],
    keys: [],
  },
];
