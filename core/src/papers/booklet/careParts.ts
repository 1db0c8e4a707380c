import { type BookletPart, plain, say } from './model.ts';
import { part } from './part.ts';
import type { BookletSource } from './source.ts';

const HANDS = [
  'Stop for five minutes in every thirty: put the needle down, open and close the hands, roll the shoulders.',
  'Sit so that the work is in good light at the height of the elbows. Look at it whenever the needle moves.',
  'Pain in a wrist or a thumb is no sign of firm felt. Change what you do, or stop; where it stays, ask a doctor.',
  'A needle is never left in the work, nor on a chair. Count them in when you stop; a tip left in wool is found with a magnet.',
] as const;

/** Hands and rests. */
export const handsPart = (): BookletPart =>
  part('hands', 'Hands and rests', [
    { is: 'list', isNumbered: false, items: HANDS.map((text) => plain(text)) },
  ]);

const CARE = [
  'Dust it with a soft brush, or with a hair drier set to cold. Do not wash it: it felts on, and shrinks.',
  'Keep it out of the sun, which bleaches wool, and from moths: look at it twice a year.',
  'What has come loose is felted in again with a fine needle, light.',
] as const;

/** How it is kept, and for whom it is not. */
export const carePart = ({ build }: BookletSource): BookletPart =>
  part('care', 'Care and cautions', [
    { is: 'list', isNumbered: false, items: CARE.map((text) => plain(text)) },
    say(
      'It is no toy for small children: wool comes off, and so do ',
      build.findings.length > 0 ? 'eyes and other small parts' : 'small parts',
      '. What is sold falls under local rules for toys and for labels of fibre; where in doubt, ask someone qualified.',
    ),
  ]);
