import { labelCodeInGroups } from '../../run/index.ts';
import { showDay } from '../../words/index.ts';
import type { PaperSource } from '../paper.ts';
import { qrSvg } from '../qrPath.ts';
import { type Booklet, plain, say, strong } from '../booklet/model.ts';
import { cardOf } from './card.ts';

/** What to do about a thing that is not there, and the code that says which pack it was. */
export function missingCard(whose: string, code: string, { input }: PaperSource): Booklet {
  const signs = labelCodeInGroups(code);
  return cardOf(
    'Something missing?',
    [whose],
    [
      {
        is: 'list',
        isNumbered: true,
        items: [
          'Look once more: small things are in the inner bag, and light wool hides beneath other wool.',
          'Hold what is there against the contents card, and tick it off.',
          'Tell whoever you have it from what is missing, and this code: it says which pack it was, what was weighed into it and from which wool.',
        ].map((words) => plain(words)),
      },
      { is: 'pictures', pictures: [{ key: CODE, alt: `Code of this pack: ${signs}`, caption: '' }] },
      say(strong(signs)),
      say(`${input.name}, ${showDay(input.date, { year: true })}`),
    ],
    { [CODE]: { from: 'drawing', svg: qrSvg(code), aspect: 1 } },
  );
}

const CODE = 'code';
