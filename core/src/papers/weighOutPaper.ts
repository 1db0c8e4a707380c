import { type FibreWeighing, weighings, type WeighMark } from '../run/index.ts';
import { bagWords, counted } from '../words/index.ts';
import { packNames } from './packNames.ts';
import { left, type Paper, type PaperSection, type PaperSource, right, row, section, wide } from './paper.ts';
import {
  fibreName,
  fibreTitle,
  swatchOf,
  UNKNOWN_AMOUNT,
  unknownLines,
  weighed,
  weighedCell,
} from './shown.ts';

/** The list done at the scale: one fibre at a time, pale before dark; what weighs alike in one line. */
export function weighOutPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const { plan, packs, wool, input } = source;
  const all = weighings(plan, packs, wool.fibres, input.scaleStepG);
  return {
    title: 'Weigh-out',
    sections: [
      ...all.map((fibreWeighing) => fibreSection(fibreWeighing, source)),
      ...unknownSection(source),
      section('All fibres together', {
        aside:
          plan.unknownCount > 0 ? `at least ${weighed(plan.classG, input)}` : weighed(plan.classG, input),
        notes: [`${counted(plan.packs, 'pack')}; the scale reads to ${input.scaleStepG} g.`],
      }),
    ],
  };
}

/** What nobody can weigh out yet: named, with whose packs want it. */
function unknownSection(source: PaperSource): PaperSection[] {
  const { toPack, packs } = source;
  const rows = toPack.groups.flatMap((group) =>
    unknownLines(group, source).map(({ name, fibre, isIfNeeded }) =>
      row([
        name,
        fibre,
        isIfNeeded ? `${UNKNOWN_AMOUNT}, only if needed` : UNKNOWN_AMOUNT,
        packNames(packs.filter(({ groupKey }) => groupKey === group.key)),
      ]),
    ),
  );
  return rows.length === 0
    ? []
    : [
        section('Unknown: say how much before it can be weighed', {
          columns: [left('What'), left('Fibre'), left('Weigh'), wide('For')],
          rows,
        }),
      ];
}

function fibreSection(fibreWeighing: FibreWeighing, source: PaperSource): PaperSection {
  const { input, wool, plan, toPack } = source;
  const isUnknown = plan.fibres.some(
    (row_) => row_.fibreId === fibreWeighing.fibreId && row_.unknownCount > 0,
  );
  const lots = fibreWeighing.lotChange.map(
    ({ from, lotName }) => `From ${forWhom([from])} on, lot ${lotName}: one pack, one lot.`,
  );
  const notes = (wool.fibres.get(fibreWeighing.fibreId)?.lots ?? [])
    .filter(({ name, note }) => fibreWeighing.lotNames.includes(name) && note !== '')
    .map(({ name, note }) => `Lot ${name}: ${note}`);
  return section(fibreTitle(source, fibreWeighing.fibreId), {
    aside: `${isUnknown ? 'at least ' : ''}${weighed(fibreWeighing.classG, input)} in all`,
    swatch: swatchOf(wool.fibres.get(fibreWeighing.fibreId)),
    notes: [...lots, ...notes],
    columns: [left('Bag'), right('Weigh'), right('±'), wide('For')],
    rows: fibreWeighing.bags.flatMap(({ bag, marks }) => {
      const group = toPack.groups.find(({ key }) =>
        plan.groups
          .find((packedGroup) => packedGroup.key === key)
          ?.plan.bags.some((candidate) => candidate.key === bag.key),
      );
      const name = bagWords(bag, group ?? { makes: [] }, (id) => fibreName(source, id)) || 'figure';
      return alike(marks).map((same) =>
        row(
          [
            name,
            weighedCell(same[0]?.massG ?? 0, input),
            weighedCell(same[0]?.toleranceG ?? 0, input),
            forWhom(same),
          ],
          { ticks: same.length },
        ),
      );
    }),
  });
}

/** Marks that weigh the same and are for one pack each come together; a weighing that is parted stands alone. */
function alike(marks: readonly WeighMark[]): WeighMark[][] {
  const lots = new Map<string, WeighMark[]>();
  for (const mark of marks) {
    const key = mark.parts > 1 ? mark.mark : String(mark.massG);
    lots.set(key, [...(lots.get(key) ?? []), mark]);
  }
  return [...lots.values()];
}

function forWhom(marks: readonly WeighMark[]): string {
  const [first] = marks;
  if (first && first.parts > 1) return `${first.parts} packs, parted: ${packNames(first.packs)}`;
  if (first && first.packs.length === 0) return 'lies out for all';
  return packNames(marks.flatMap(({ packs }) => packs));
}
