import type { Neighbour, Surroundings } from '../../pattern/index.ts';
import { seriesWords } from '../../words/index.ts';
import { type Block, type BookletPart, isWebAddress, say, strong, type Words } from './model.ts';
import { part } from './part.ts';
import type { BookletSource } from './source.ts';

/** Its series, what goes with it and what can be made after it; null: there is nothing of that. */
export function companionsPart({ surroundings }: BookletSource): BookletPart | null {
  const { series, companions, neededBy } = surroundings;
  const blocks = [
    ...(series ? seriesBlocks(series) : []),
    ...listUnder('Goes with it', companions),
    ...listUnder('What you can make next', neededBy),
  ];
  return blocks.length === 0 ? null : part('companions', 'More to make', blocks);
}

/** What is to be made first, with where it can be had; empty: nothing. */
export const firstWords = ({ before }: Surroundings): Words =>
  before.flatMap((each, at) => [...(at > 0 ? [{ text: '; ' }] : []), ...neighbourWords(each)]);

function seriesBlocks(series: NonNullable<Surroundings['series']>): Block[] {
  const others = series.members.length > 1;
  return [
    say(strong('Series: '), seriesWords(series)),
    ...(others
      ? [
          {
            is: 'list' as const,
            isNumbered: false,
            items: series.members.map(({ number, title, isThis }): Words => [
              isThis ? strong(title) : { text: title },
              ...(number === null ? [] : [{ text: `, no.\u00A0${number}` }]),
              ...(isThis ? [{ text: ' (this one)' }] : []),
            ]),
          },
        ]
      : []),
  ];
}

function listUnder(title: string, neighbours: readonly Neighbour[]): Block[] {
  if (neighbours.length === 0) return [];
  return [
    { is: 'heading', text: title, anchor: null },
    { is: 'list', isNumbered: false, items: neighbours.map(neighbourWords) },
  ];
}

function neighbourWords({ title, where }: Neighbour): Words {
  const address = where.trim();
  if (address === '') return [{ text: title }];
  return [{ text: `${title}, ` }, isWebAddress(address) ? { text: address, to: address } : { text: address }];
}
