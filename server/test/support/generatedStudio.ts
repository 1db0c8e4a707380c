import type { ClassAct } from '@lanakit/core/classDay';
import { BUYING_TERMS } from '@lanakit/core/buying';
import { translateAll } from './translateAll.ts';
import { blankCommission } from '@lanakit/core/commissions';
import { CUTTING_TERMS } from '@lanakit/core/cutting';
import { blankMaking, blankMakingLine } from '@lanakit/core/logbook';
import { BLANK_STEP, OWN_RIGHTS } from '@lanakit/core/pattern';
import type { Run, RunState } from '@lanakit/core/run';
import {
  BLANK_BLEND,
  BLANK_FINDING,
  BLANK_NEEDLE,
  BLANK_SUPPLIER,
  BLANK_TOOL,
  blankLot,
  byGauge,
  type Fibre,
} from '@lanakit/core/shelf';
import { blankTechniqueStep } from '@lanakit/core/writing';
import fc from 'fast-check';
import { isRefusal, type Outcome } from '../../src/services/index.ts';
import { photo } from './files.ts';
import { ballPattern, fibreInput, runInput, type Studio } from './studio.ts';

/** Something a maker does. `pick` and `amount` say of what and how much, whatever there is. */
export interface Deed {
  readonly does: string;
  readonly pick: number;
  readonly amount: number;
  readonly words: string;
}

/** Words as people and their devices write them. */
const words = fc.oneof(
  fc.constantFrom(
    'Chalk',
    'Chalk ',
    'ćwiek “sea”',
    '=SUM(A1)',
    "'-5",
    'two\nlines',
    'a,b;c"d"',
    '🧶 wool',
    '-5',
  ),
  fc.string({ minLength: 1, maxLength: 40, unit: 'grapheme' }).filter((text) => text.trim() !== ''),
);

export const someDeeds = (): fc.Arbitrary<Deed[]> =>
  fc.array(
    fc.record({
      does: fc.constantFrom(...Object.keys(DEEDS)),
      pick: fc.nat(1000),
      amount: fc.integer({ min: 1, max: 900_000 }).map((milli) => milli / 1000),
      words,
    }),
    { minLength: 15, maxLength: 45 },
  );

type Doing = (studio: Studio, deed: Deed) => unknown;

/** What was refused left nothing; of the rest, what came. */
const done = <T>(outcome: Outcome<T>): T | null => (isRefusal(outcome) ? null : outcome);
const idsIn = ({ db }: Studio, table: string, where = '1'): string[] =>
  db.prepare<[], string>(`SELECT id FROM ${table} WHERE ${where} ORDER BY id`).pluck().all();
const oneOf = (ids: readonly string[], { pick }: Deed): string => ids[pick % Math.max(1, ids.length)] ?? '';
const versionOf = ({ db }: Studio, table: string, id: string): number =>
  db.prepare<[string], number>(`SELECT version FROM ${table} WHERE id = ?`).pluck().get(id) ?? 0;
const alive = 'deleted_at IS NULL';

const patternOf = (studio: Studio, { pick, words: title }: Deed) => {
  const fibreId = oneOf(idsIn(studio, 'item', `${alive} AND kind IN ('fibre', 'blend')`), { pick } as Deed);
  const series = pick % 2 === 0 ? null : { name: 'Studio', number: pick + 1 };
  const document = ballPattern(pick % 4 === 0 ? null : fibreId || null, {
    title: title.slice(0, 60),
    series,
  });
  const needle = pick % 5 < 3 ? byGauge(36 + (pick % 4)) : BLANK_STEP.needle;
  const step = { ...BLANK_STEP, id: 'felt', text: title, partIds: ['p1'], minutes: 10, needle };
  const techniqueId = oneOf(idsIn(studio, 'technique'), { pick } as Deed);
  const use = { id: 'u', techniqueId, name: 'Limb', version: 1, partIds: [], values: [], rights: OWN_RIGHTS };
  return pick % 3 === 0
    ? document
    : { ...document, steps: [step], techniques: techniqueId === '' ? [] : [use] };
};

export const DEEDS: Readonly<Record<string, Doing>> = {
  fibre: ({ services }, { amount, pick, words: name }) =>
    services.items.fibre.put(fibreInput({ name, note: name }), pick % 3 === 0 ? null : amount),
  fibreChanged: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'item', `${alive} AND kind = 'fibre'`), deed);
    const fibre = done(studio.services.items.fibre.find(id)) as Fibre | null;
    if (!fibre) return null;
    const input = fibreInput({ name: fibre.name, note: deed.words, archived: deed.pick % 2 === 0 });
    return studio.services.items.fibre.save({ id, version: fibre.version, input });
  },
  fibreGone: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'item', `${alive} AND kind = 'fibre'`), deed);
    return studio.services.items.fibre.remove(id, versionOf(studio, 'item', id));
  },
  blend: (studio, deed) => {
    const fibres = idsIn(studio, 'item', `${alive} AND kind IN ('fibre', 'blend')`);
    const parts = [...new Set([oneOf(fibres, deed), oneOf(fibres, { ...deed, pick: deed.pick + 1 })])];
    return studio.services.items.blend.put({
      ...BLANK_BLEND,
      name: deed.words,
      parts: parts.map((itemId) => ({ itemId, parts: 1 })),
    });
  },
  finding: ({ services }, { words: name, amount }) =>
    services.items.finding.put({ ...BLANK_FINDING, name }, Math.ceil(amount)),
  needle: ({ services }, { pick }) =>
    services.items.needle.put({ ...BLANK_NEEDLE, gauge: 32 + (pick % 10), profile: 'star' }, 20),
  tool: ({ services }, { words: name }) => services.items.tool.put({ ...BLANK_TOOL, name }, null),
  supplier: (studio, deed) =>
    studio.services.items.supplier.put({
      ...BLANK_SUPPLIER,
      name: deed.words,
      offers: [
        {
          itemId: oneOf(idsIn(studio, 'item', alive), deed),
          packAmount: 50,
          priceMinor: 420,
          reference: deed.words,
        },
      ],
    }),
  order: (studio, deed) => {
    const supplierId = oneOf(idsIn(studio, 'item', `${alive} AND kind = 'supplier'`), deed);
    const itemId = oneOf(idsIn(studio, 'item', `${alive} AND kind IN ('fibre', 'finding')`), deed);
    return studio.services.orders.draft({
      supplierId,
      supplierName: deed.words,
      carriageMinor: deed.pick,
      expectedOn: deed.pick % 2 === 0 ? null : '2026-12-06',
      note: deed.words,
      lines: [
        {
          name: deed.words,
          reference: '',
          contents: [{ itemId, amount: deed.amount }],
          packs: 3,
          priceEachMinor: 420,
        },
      ],
    });
  },
  orderOn: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'purchase_order'), deed);
    const order = done(studio.services.orders.find(id));
    if (order?.stage === 'drafted') return studio.services.orders.send(id, order.version);
    const lines = [{ line: 0, packs: 1 + (deed.pick % 2), paidEachMinor: 400 }];
    const arrival = { on: '2026-12-05', lines, lotName: deed.words, isLast: deed.pick % 3 === 0 };
    return order && studio.services.orders.arrive(id, order.version, arrival);
  },
  cuttingPlan: (studio, deed) => {
    const itemId = oneOf(idsIn(studio, 'item', `${alive} AND kind = 'finding'`), deed);
    const runId = oneOf(idsIn(studio, 'run', alive), deed);
    const piece = { key: 'p', name: deed.words, runId, lengthMm: 100, widthMm: 0 };
    const part = { yMm: 0, widthMm: 0, isTurned: false };
    const parts = [
      { ...part, kind: 'piece' as const, key: 'p', xMm: 0, lengthMm: 100, isKept: false },
      { ...part, kind: 'rest' as const, key: null, xMm: 100, lengthMm: 180, isKept: true },
    ];
    return studio.services.cutting.take({
      itemId,
      pieces: [piece],
      terms: CUTTING_TERMS,
      stocks: [{ source: 'whole', offcutId: null, lengthMm: 300, widthMm: 0, cuts: [], parts }],
    });
  },
  cut: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'cutting_plan'), deed);
    return studio.services.cutting.tick(id, versionOf(studio, 'cutting_plan', id), 0, deed.pick % 4 !== 0);
  },
  buyingTerms: ({ services }, { pick }) =>
    services.buying.setTerms({ ...BUYING_TERMS, hoursADay: 1 + (pick % 6) }),
  level: (studio, deed) =>
    studio.services.buying.setLevel(oneOf(idsIn(studio, 'item', alive), deed), deed.amount),
  lot: (studio, deed) => {
    const itemId = oneOf(idsIn(studio, 'item', `${alive} AND kind = 'fibre'`), deed);
    return studio.services.stock.addLot(itemId, blankLot(deed.words.slice(0, 60)), deed.amount);
  },
  movement: (studio, deed) => {
    const lotId = oneOf(idsIn(studio, 'lot', alive), deed);
    const itemId = studio.db
      .prepare<[string], string>('SELECT item_id FROM lot WHERE id = ?')
      .pluck()
      .get(lotId);
    if (itemId === undefined) return null;
    const reason = (['received', 'spoiled', 'sample'] as const)[deed.pick % 3] ?? 'received';
    return studio.services.stock.move({
      itemId,
      lotId,
      amount: deed.amount,
      reason,
      note: deed.words,
      anyway: true,
    });
  },
  list: ({ services }, { words: name }) =>
    services.imports.take({
      fileName: `${name}.csv`,
      creates: [{ kind: 'fibre', input: fibreInput({ name, colour: '#112233' }) }],
      updates: [],
      counts: [],
    }),
  listUndone: (studio, deed) => studio.services.imports.undo(oneOf(idsIn(studio, 'import'), deed)),
  handMeasure: ({ db }, { amount }) =>
    db
      .prepare(
        `INSERT OR REPLACE INTO hand_measure VALUES ('wisp', @g, @g / 2, @g * 2, '2026-11-01T10:00:00.000Z')`,
      )
      .run({ g: amount }),
  pattern: (studio, deed) => studio.services.patterns.begin(patternOf(studio, deed)),
  patternChanged: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'pattern', alive), deed);
    return studio.services.patterns.save(id, versionOf(studio, 'pattern', id), patternOf(studio, deed));
  },
  patternPictured: async (studio, deed) => {
    const picture = done(
      await studio.services.pictures.bringIn(
        await photo(20 + (deed.pick % 5), 10)
          .png()
          .toBuffer(),
      ),
    );
    const id = oneOf(idsIn(studio, 'pattern', alive), deed);
    if (!picture || id === '') return null;
    const document = patternOf(studio, { ...deed, pick: 1 });
    const pictured = {
      ...document,
      pictures: [{ id: picture.id, name: 'shot', alt: '', rights: OWN_RIGHTS }],
      steps: document.steps.map((step) => ({
        ...step,
        pictures: [{ id: 'c', pictureId: picture.id, caption: '' }],
      })),
    };
    return studio.services.patterns.save(id, versionOf(studio, 'pattern', id), pictured);
  },
  drawing: ({ services }, { pick }) =>
    services.pictures.bringIn(
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path d="M0 ${pick % 9}h9"/></svg>`,
      ),
    ),
  patternGone: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'pattern', alive), deed);
    return studio.services.patterns.remove(id, versionOf(studio, 'pattern', id));
  },
  patternArchived: (studio, deed) =>
    studio.services.patterns.setArchived(oneOf(idsIn(studio, 'pattern', alive), deed), deed.pick % 2 === 0),
  revision: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'pattern', alive), deed);
    return studio.services.patterns.publish(id, versionOf(studio, 'pattern', id), deed.words.slice(0, 100));
  },
  technique: ({ services }, { words: name }) =>
    services.techniques.begin({
      name,
      about: '',
      parameters: [],
      steps: [{ ...blankTechniqueStep(), text: 'Roll' }],
      rights: OWN_RIGHTS,
    }),
  techniqueChanged: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'technique'), deed);
    const {
      id: _id,
      version,
      ...input
    } = done(studio.services.techniques.find(id)) ?? { id: '', version: 0 };
    return version === 0
      ? null
      : studio.services.techniques.save(id, version, { ...input, about: deed.words } as never);
  },
  techniqueAway: (studio, deed) =>
    studio.services.techniques.putAway(oneOf(idsIn(studio, 'technique'), deed)),
  run: (studio, deed) =>
    studio.services.runs.plan(
      runInput(oneOf(idsIn(studio, 'revision'), deed), {
        name: deed.words,
        seats: 1 + (deed.pick % 12),
        date: `2026-12-${String(1 + (deed.pick % 28)).padStart(2, '0')}`,
      }),
    ),
  runOn: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'run', alive), deed);
    const run = done(studio.services.runs.opened(id)) as Run | null;
    const order: readonly RunState[] = ['planned', 'bought', 'weighed', 'packed', 'done'];
    const to = run && order[order.indexOf(run.state) + 1];
    return run && to ? studio.services.runs.move(id, run.version, { to, anyway: true }) : null;
  },
  tick: (studio, deed) => {
    const mark = `seat 1|one|${oneOf(idsIn(studio, 'item'), deed)}`;
    const tick = {
      key: `tick-${deed.pick}-${deed.amount}`,
      mark,
      isDone: deed.pick % 5 !== 0,
      massG: deed.amount,
      // By the scale, or by hand.
      weighedG: deed.pick % 2 === 0 ? deed.amount + 0.1 : null,
    };
    return studio.services.runs.tick(oneOf(idsIn(studio, 'run', alive), deed), tick, 'Tablet');
  },
  tap: (studio, deed) =>
    studio.services.trays.tap(
      oneOf(idsIn(studio, 'run', alive), deed),
      {
        key: `tap-${deed.pick}-${deed.amount}`,
        needleId: oneOf(idsIn(studio, 'item', `${alive} AND kind = 'needle'`), deed),
        pile: 'out',
        amount: 1 + (deed.pick % 3),
      } as never,
      'Tablet',
    ),
  trayClosed: (studio, deed) =>
    studio.services.trays.close(oneOf(idsIn(studio, 'run', alive), deed), 'Tablet'),
  runGone: (studio, deed) => {
    const id = oneOf(idsIn(studio, 'run', alive), deed);
    return studio.services.runs.remove(id, versionOf(studio, 'run', id));
  },
  taught: (studio, deed) => {
    const fibres = idsIn(studio, 'item', `${alive} AND kind = 'fibre'`);
    const acts: readonly ClassAct[] = [
      { act: 'help', seatKey: '1', isWanted: deed.pick % 2 === 0 },
      { act: 'left', fibreId: oneOf(fibres, deed), seatKey: null, massG: deed.amount },
      {
        act: 'said',
        sort: 'idea',
        revisionId: 'r',
        stepId: null,
        partId: null,
        seatKey: null,
        text: deed.words,
      },
    ];
    const event = {
      key: `event-${deed.pick}-${deed.amount}`,
      at: '2026-11-24T10:00:00.000Z',
      seen: 0,
      from: 'tablet',
    };
    const what = acts[deed.pick % acts.length] as ClassAct;
    return studio.services.classDays.add(
      oneOf(idsIn(studio, 'run', alive), deed),
      { ...event, what },
      'Tablet',
    );
  },
  making: (studio, deed) => {
    const patternId = oneOf(idsIn(studio, 'pattern', alive), deed) || null;
    const partId =
      patternId === null
        ? null
        : (done(studio.services.patterns.find(patternId))?.document.parts[0]?.id ?? null);
    const lines = [blankMakingLine('l', { of: 'part', partId, beforeG: 50, afterG: 49 - (deed.pick % 9) })];
    return studio.services.makings.begin({ ...blankMaking(deed.words, '2026-11-01'), patternId, lines });
  },
  makingGone: (studio, deed) => studio.services.makings.remove(oneOf(idsIn(studio, 'making'), deed)),
  learntTaken: ({ services }) => services.learning.take(),
  evidenceLeftOut: ({ services }, deed) => {
    const state = done(services.learning.state());
    const id = oneOf(state?.evidence.map((each) => each.id) ?? [], deed);
    return services.learning.choose(id, 'left-out');
  },
  commission: (studio, deed) =>
    studio.services.commissions.begin({
      ...blankCommission(deed.words, '2026-11-02'),
      askedBy: 'Anouk',
      patternId: oneOf(idsIn(studio, 'pattern', alive), deed) || null,
      makings: idsIn(studio, 'making')
        .slice(0, 1)
        .map((makingId) => ({ makingId })),
      agreedMinor: Math.round(deed.amount),
    }),
  translated: (studio, deed) =>
    translateAll(studio, oneOf(idsIn(studio, 'pattern', alive), deed), deed.words),
  commissionGone: (studio, deed) =>
    studio.services.commissions.remove(oneOf(idsIn(studio, 'commission'), deed)),
  cameIn: (studio, deed) =>
    studio.services.year.setTakings(oneOf(idsIn(studio, 'run', alive), deed), deed.pick),
};

/** Each studio begins with this much, or most deeds would find nothing to be done to. */
const BEGINNING = ['fibre', 'needle', 'pattern', 'pattern', 'revision', 'revision', 'run', 'run'];

/** Does one after another what a maker would; what cannot be done is refused and leaves nothing. */
export async function live(studio: Studio, deeds: readonly Deed[]): Promise<void> {
  const first = BEGINNING.map((does, at): Deed => ({ does, pick: at * 2 + 1, amount: 100 + at, words: `First ${at}` })); // prettier-ignore
  for (const deed of [...first, ...deeds]) await DEEDS[deed.does]?.(studio, deed);
}
