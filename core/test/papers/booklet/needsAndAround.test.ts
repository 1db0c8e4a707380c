import { describe, expect, test } from '@jest/globals';
import {
  bookletOf,
  type BookletTerms,
  textOfBlock,
  listingOf,
  bookletSources,
  textOfBooklet,
} from '../../../src/papers/index.ts';
import { NO_SURROUNDINGS, type Pattern, type Surroundings } from '../../../src/pattern/index.ts';
import {
  BLANK_BLEND,
  BLANK_SUPPLIER,
  type Blend,
  type Offer,
  type Supplier,
} from '../../../src/shelf/index.ts';
import { bird, coastWool, stillBird } from '../../support/coast.ts';
import { booklet, request, spaced } from '../../support/bookletRequest.ts';

describe('the patterns around it', () => {
  const surroundings: Surroundings = {
    series: {
      name: 'Birds',
      number: 2,
      members: [
        { patternId: 'a', title: 'Wren', number: 1, isThis: false },
        { patternId: 'b', title: 'Bird', number: 2, isThis: true },
      ],
    },
    before: [
      { patternId: 'c', title: 'Felted ball', where: 'https://felt.example/ball' },
      { patternId: null, title: 'A nest', where: 'javascript:alert(1)' },
    ],
    companions: [{ patternId: null, title: 'A twig', where: '' }],
    neededBy: [{ patternId: 'd', title: 'Two birds', where: '' }],
    circle: null,
  };
  const made = (around: Surroundings, more: Partial<BookletTerms> = {}) =>
    bookletOf({ ...request(bird, more), surroundings: around }, coastWool);
  test('are told where each belongs', () => {
    const { parts } = made(surroundings);
    const textOf = (anchor: string) => spaced(parts.find((each) => each.anchor === anchor)?.blocks.flatMap(textOfBlock).join('\n') ?? '');
    expect(textOf('before')).toContain('Make first: Felted ball, https://felt.example/ball; A nest, javascript:alert(1)');
    expect(textOf('companions').split('\n')).toEqual([
      'Series: Birds, no. 2', 'Wren, no. 1', 'Bird, no. 2 (this one)', 'Goes with it', 'A twig', 'What you can make next', 'Two birds',
    ]);
  }); // prettier-ignore
  test('only what is an address in the web leads out of it', () => {
    const links = JSON.stringify(made(surroundings)).match(/"to":"[a-z]+:[^"]*"/g);
    expect(links).toEqual(['"to":"https://felt.example/ball"']);
  });
  test('are not told where there are none, or where they are left out', () => {
    expect(made(NO_SURROUNDINGS).parts.some(({ anchor }) => anchor === 'companions')).toBe(false);
    expect(made(surroundings, { parts: ['needs'] }).parts.map(({ anchor }) => anchor)).toEqual(['needs']);
  });
});

describe('what one needs', () => {
  const tableIn = (build: Pattern) => {
    const needs = booklet(build).parts.find(({ anchor }) => anchor === 'needs');
    const table = needs?.blocks.find((block) => block.is === 'table');
    if (table?.is !== 'table') throw new Error('no table');
    return table.rows.map(({ cells }) =>
      cells.map(({ words }) => spaced(words.map(({ text }) => text).join(''))),
    );
  };
  test('tells in which sitting, where there are several, and in which piece', () => {
    const chalk = tableIn(bird).find(([name]) => /chalk/i.test(name ?? ''));
    expect(chalk?.[0]).toMatch(/: body [\d.]+ g$/i);
    expect(chalk?.[1]).toBe('1');
    expect(tableIn(stillBird)[0]).toHaveLength(2);
  });
  test('a shop tells neither what each piece takes nor in which sitting', () => {
    const text = spaced(textOfBooklet(listingOf(request(), coastWool)));
    expect(text).not.toMatch(/: body [\d.]+ g|, sitting \d|Sittings:/);
  });
});

describe('where it can be had', () => {
  const supplier = (name: string, offers: Partial<Offer>[], more: Partial<Supplier> = {}): Supplier => ({
    ...BLANK_SUPPLIER,
    id: name,
    version: 1,
    name,
    offers: offers.map((offer) => ({ itemId: 'slate', packAmount: 100, priceMinor: 777, reference: '', ...offer })),
    ...more,
  });
  const sold = [
      supplier('Hill', [{ packAmount: 500, reference: 'S-5' }, { reference: 'S-1' }, { itemId: 'plum' }, { itemId: 'eye', packAmount: 10 }]),
      supplier('Dale', [{ packAmount: 250 }]),
      supplier('Closed', [{}], { archived: true }),
      supplier('Others', [{ itemId: 'plum' }]),
  ];
  const sources = bookletSources(bird, { fibres: [], blends: [], suppliers: sold });
  const made = (more: Partial<BookletTerms> = {}) =>
    bookletOf({ ...request(bird, more), sources }, coastWool).parts.find(({ anchor }) => anchor === 'sources');
  test('thing by thing, everybody who sells it, what they call it and in which packs; never for how much', () => {
    const text = spaced(made()?.blocks.flatMap(textOfBlock).join('|') ?? '');
    expect(text).toMatch(/slate.*Hill: 100 g, 500 g \(S-1, S-5\); Dale: 250 g.*eye.*Hill: 10 pcs/is);
    expect(text).not.toMatch(/plum|Closed|Others|777/);
    expect(JSON.stringify(sources)).not.toContain('777');
  });
  test('a blend is told by what it is carded from, down to its fibres, and where those can be had', () => {
    const fibres = [...coastWool.fibres.values()];
    const blend = (id: string, parts: Blend['parts']): Blend => ({ ...BLANK_BLEND, id, version: 1, name: id, parts, lots: [], onHandG: null, peakG: 0, asFibre: null });
    // Slate here is three parts of mist and one of plum; mist is plum and chalk, half and half: 5/8 plum, 3/8 chalk.
    const blends = [blend('slate', [{ itemId: 'mist', parts: 3 }, { itemId: 'plum', parts: 1 }]), blend('mist', [{ itemId: 'plum', parts: 2 }, { itemId: 'chalk', parts: 2 }])];
    const carded = bookletSources(bird, { fibres, blends, suppliers: [supplier('Others', [{ itemId: 'plum' }])] });
    const { parts } = bookletOf({ ...request(bird), sources: carded }, coastWool);
    const textOf = (anchor: string) => spaced(parts.find((each) => each.anchor === anchor)?.blocks.flatMap(textOfBlock).join('|') ?? '');
    expect(textOf('needs')).toMatch(/slate.*; blended of plum 62.5 %, chalk 37.5 %/is);
    expect(textOf('sources')).toMatch(/plum.*Others: 100 g/i);
    const kit = bookletOf({ ...request(bird, { reader: 'kit' }), sources: carded }, coastWool);
    expect(textOfBooklet(kit)).not.toContain('blended of');
  });
  test('not told to who has the kit, nor where nobody sells any of it', () => {
    expect(made({ reader: 'kit' })).toBeUndefined();
    expect(booklet().parts.some(({ anchor }) => anchor === 'sources')).toBe(false);
  });
}); // prettier-ignore
