import * as cells from './cell.ts';
import { byCodePoint } from '../base/index.ts';
import type { Caution } from '../pattern/index.ts';
import { seatsOf } from '../run/index.ts';
import { CAUTION_NAMES, CAUTION_WORDS, counted, FIBRE_FLAG_WORDS, joinWords } from '../words/index.ts';
import { cautionsOf } from '../writing/index.ts';
import { FIRST_AID } from './firstAid.ts';
import { HURTS } from './hurts.ts';
import {
  left,
  type Paper,
  type PaperRow,
  type PaperSection,
  type PaperSource,
  right,
  row,
  section,
  wide,
} from './paper.ts';
import { ranges } from './shown.ts';

/** What can hurt in a class, what is looked to beforehand, and what is usually done first; boxes have no room. */
export function riskPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const title = 'Risks of the class';
  if (source.input.kind === 'kits') return { title, sections: [] };
  const steps = stepsOfCautions(source);
  const hurts = HURTS.filter((caution) => steps.has(caution));
  return {
    title,
    sections: [
      section('For everybody to know', {
        notes: [
          'This is what is usual, and no medical or legal advice. The rules of your place and of the venue, whoever is trained in first aid, and the labels of glues and tools go before it.',
        ],
        columns: [left('What'), wide('Here')],
        rows: [
          'Emergency number',
          'First aider, and where the box is',
          'Way out, and where we meet',
          'Who of the venue is told',
        ].map((what) => row([what, ''])),
      }),
      section('What can hurt', {
        notes: [
          'From the steps, needles, tools and wool of what is made here. Add what your room has of its own.',
        ],
        columns: [left('What'), wide('The usual caution'), left('First in step')],
        rows: [
          ...hurts.map((caution) =>
            row([CAUTION_NAMES[caution], CAUTION_WORDS[caution], steps.get(caution) ?? ''], { ticks: 1 }),
          ),
          row(['of this room', '', ''], { ticks: 1 }),
        ],
      }),
      beforehand(source, hurts),
      section('If it happens', {
        columns: [left('What'), wide('Usually first')],
        rows: hurts.flatMap((caution) => (FIRST_AID[caution] ?? []).map((line) => row(line))),
      }),
    ],
  };
}

/** Of each caution the steps it is said at, the first of each sitting: `3–5, 9`; of several designs with their titles. */
function stepsOfCautions({ toPack, wool }: PaperSource): ReadonlyMap<Caution, string> {
  const numbers = new Map<Caution, Map<string, Set<number>>>();
  for (const { pattern, build } of toPack.groups.flatMap(({ makes }) => makes)) {
    const cautions = cautionsOf(build, wool);
    for (const [at, { id }] of build.steps.entries())
      for (const caution of cautions.get(id) ?? []) {
        const byTitle = numbers.get(caution) ?? new Map<string, Set<number>>();
        byTitle.set(pattern.title, (byTitle.get(pattern.title) ?? new Set()).add(at + 1));
        numbers.set(caution, byTitle);
      }
  }
  const isOneDesign =
    new Set(toPack.groups.flatMap(({ makes }) => makes.map(({ pattern }) => pattern.title))).size === 1;
  return new Map(
    [...numbers].map(([caution, byTitle]) => [
      caution,
      [...byTitle]
        .sort(([a], [b]) => byCodePoint(a, b))
        .map(([title, all]) => `${isOneDesign ? '' : `${title} `}${ranges([...all].sort((a, b) => a - b))}`)
        .join('; '),
    ]),
  );
}

function beforehand({ input, kit }: PaperSource, hurts: readonly Caution[]): PaperSection {
  const needles = kit?.lines.reduce((sum, { total }) => sum + total, 0) ?? null;
  const has = (caution: Caution) => hurts.includes(caution);
  const avoiding = seatsOf(input).filter(({ avoids }) => avoids.length > 0);
  const rows: PaperRow[] = [
    ...(has('needle')
      ? [
          row(
            [
              'Needles counted out, and in again before anybody goes',
              needles === null ? 'not known' : cells.count(needles),
            ],
            { ticks: 2 },
          ),
          row(['A hard box with a lid for broken ones, a magnet for the floor', ''], { ticks: 1 }),
          row(['A surface and finger guards at every seat, good light, no bare feet', ''], { ticks: 1 }),
        ]
      : []),
    ...(has('blade') || has('wire-end')
      ? [row(['Scissors, pins and cutters counted out and in', ''], { ticks: 2 })]
      : []),
    ...(has('hot')
      ? [
          row(['Glue guns and irons on stands, cords out of the way, switched off and cold at the end', ''], {
            ticks: 2,
          }),
        ]
      : []),
    ...(has('glue') ? [row(['A window that opens; labels of the glues at hand', ''], { ticks: 1 })] : []),
    ...(has('small-part') ? [row(['Small children have their own table, or none', ''], { ticks: 1 })] : []),
    row(['Asked about allergies before the bags are opened', ''], {
      ticks: 1,
      note: avoiding
        .map(
          ({ seat, avoids }) => `seat ${seat}: no ${joinWords(avoids.map((flag) => FIBRE_FLAG_WORDS[flag]))}`,
        )
        .join('; '),
    }),
    row(['Hands rest every twenty minutes; nobody stabs on while talking', ''], { ticks: 1 }),
  ];
  return section('Before they sit down', {
    aside: counted(input.seats, 'seat'),
    columns: [wide('What'), right('How many')],
    rows,
  });
}
