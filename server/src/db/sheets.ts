import { column, type Sheet, sheet } from './sheet.ts';

export type { ApartValue, CellKind, Sheet, SheetColumn, SheetRow } from './sheet.ts';

const ID = column('id', 'id', 'known by this everywhere in these files');
const VERSION = column('version', 'whole', 'one more with every change');
const CREATED = column('createdAt', 'moment', 'made; ISO 8601, UTC');
const UPDATED = column('updatedAt', 'moment', 'last changed; ISO 8601, UTC');
const DELETED = column('deletedAt', 'moment', 'since when it lies in the bin', { canBeNull: true });
const AT = column('at', 'moment', 'ISO 8601, UTC');
const ORDER = column('id', 'whole', 'the order they were entered in');
const ITEM = column('itemId', 'id', 'the thing on the shelf', { refersTo: 'item' });
const RUN = column('runId', 'id', 'the class or batch of kits', { refersTo: 'run' });
const LOT = column('lotId', 'id', 'the lot it is of', { refersTo: 'lot', canBeNull: true });

const items = (name: string, itemKind: string, about: string): Sheet =>
  sheet(
    name,
    'item',
    about,
    [
      ID,
      VERSION,
      column('name', 'text', 'what it is called'),
      column('isArchived', 'yesNo', 'no longer offered'),
      CREATED,
      UPDATED,
      DELETED,
      column('properties', 'document', 'what it is like'),
    ],
    { itemKind },
  );

const ITEM_SHEETS = [
  items('shelf/fibres', 'fibre', 'Wool and other fibres: what they are like, not how much there is'),
  items('shelf/blends', 'blend', 'Fibres mixed by the maker, and of what'),
  items('shelf/findings', 'finding', 'Eyes, wires, fabrics, glues: whatever is not wool'),
  items('shelf/needles', 'needle', 'Felting needles by gauge and profile'),
  items('shelf/tools', 'tool', 'Tools, holders and surfaces'),
  items('shelf/suppliers', 'supplier', 'Who sells what, and for how much'),
] as const;

const SHELF_SHEETS = [
  sheet('shelf/lots', 'lot', 'What came in together of a fibre or blend', [
    ID,
    ITEM,
    VERSION,
    column('name', 'text', 'what it is called'),
    CREATED,
    UPDATED,
    DELETED,
    column('properties', 'document', 'where this lot is other than its fibre'),
  ]),
  sheet(
    'shelf/hand-measures',
    'hand_measure',
    'What a wisp, a pinch and a tuft weigh in these hands',
    [
      column('name', 'text', 'wisp, pinch or tuft'),
      column('massG', 'number', 'grams, the middle'),
      column('lowG', 'number', 'grams, the least'),
      column('highG', 'number', 'grams, the most'),
      column('weighedAt', 'moment', 'ISO 8601, UTC'),
    ],
    { order: 'name' },
  ),
  sheet('shelf/imports', 'import', 'Lists that were brought in', [
    ID,
    column('fileName', 'text', 'of the list'),
    AT,
    column('undoneAt', 'moment', 'taken back; ISO 8601, UTC', { canBeNull: true }),
  ]),
  sheet(
    'shelf/import-changes',
    'import_change',
    'What lists that were brought in made or changed',
    [
      column('importId', 'id', 'the list', { refersTo: 'import' }),
      ITEM,
      column('before', 'document', 'what it was like before; null: it was made', { canBeNull: true }),
      column('versionAfter', 'whole', 'the version it was left at'),
    ],
    { order: 'import_id, item_id' },
  ),
  sheet('ledger', 'movement', 'Everything that came to the shelf or left it; what is on hand is their sum', [
    ORDER,
    ITEM,
    LOT,
    column('amountMilli', 'whole', 'thousandths of the thing’s unit; below nothing: it left'),
    column('reason', 'text', 'why'),
    column('note', 'text', 'in words'),
    AT,
    column('importId', 'id', 'the list it was counted in', { refersTo: 'import', canBeNull: true }),
  ]),
] as const;

const WRITING_SHEETS = [
  sheet('pictures', 'picture', 'Pictures of patterns, each in two sizes', [
    ID,
    column('sha256', 'text', 'of what was brought in, SHA-256 in hexadecimal'),
    column('mime', 'text', 'image/jpeg, image/png, image/webp or image/svg+xml'),
    column('width', 'whole', 'pixels'),
    column('height', 'whole', 'pixels'),
    CREATED,
    column('large', 'bytes', 'the file of it', { isApart: true }),
    column('small', 'bytes', 'the file of it, small', { isApart: true }),
  ]),
  sheet('techniques', 'technique', 'Steps that patterns share', [
    ID,
    VERSION,
    column('archivedAt', 'moment', 'since when it is put away', { canBeNull: true }),
    CREATED,
  ]),
  sheet(
    'technique-versions',
    'technique_version',
    'Each version there was of a technique',
    [
      column('techniqueId', 'id', 'the technique', { refersTo: 'technique' }),
      VERSION,
      CREATED,
      column('document', 'document', 'its steps'),
    ],
    { order: 'technique_id, version' },
  ),
  sheet('patterns', 'pattern', 'Patterns as they are being written', [
    ID,
    VERSION,
    column('title', 'text', 'what it is called'),
    CREATED,
    UPDATED,
    column('archivedAt', 'moment', 'since when it is put away', { canBeNull: true }),
    DELETED,
    column('document', 'document', 'the file of the pattern', { isApart: true }),
  ]),
  sheet('revisions', 'revision', 'Patterns as they were published; never changed', [
    ID,
    column('patternId', 'id', 'the pattern', { refersTo: 'pattern' }),
    column('number', 'whole', 'from 1'),
    column('title', 'text', 'what it is called'),
    column('publishedAt', 'moment', 'ISO 8601, UTC'),
    column('note', 'text', 'what is new in it'),
    column('openRemarks', 'text', 'what the review had open when it was published, as JSON', {
      canBeNull: true,
    }),
    column('document', 'document', 'the file of the pattern', { isApart: true }),
  ]),
  sheet('translations', 'translation', 'Texts of patterns in other languages', [
    ID,
    VERSION,
    column('patternId', 'id', 'the pattern', { refersTo: 'pattern' }),
    column('language', 'text', 'BCP 47'),
    CREATED,
    UPDATED,
    column('document', 'document', 'the file of it', { isApart: true }),
  ]),
] as const;

const RUN_SHEETS = [
  sheet('runs', 'run', 'Classes and batches of kits', [
    ID,
    VERSION,
    column('kind', 'text', 'class or kits'),
    column('name', 'text', 'what it is called'),
    column('date', 'day', 'YYYY-MM-DD'),
    column('state', 'text', 'planned, bought, weighed, packed or done'),
    CREATED,
    UPDATED,
    DELETED,
    column('document', 'document', 'the file of its plan', { isApart: true }),
    column('frozen', 'document', 'the file of its numbers, from when it was bought for', {
      isApart: true,
      canBeNull: true,
    }),
  ]),
  sheet('run-withdrawals', 'run_taking', 'What left the shelf when a run was packed', [
    ORDER,
    RUN,
    ITEM,
    LOT,
    column('amountMilli', 'whole', 'thousandths of the thing’s unit'),
  ]),
  sheet('ticks', 'run_tick', 'What was ticked as weighed and packed; the last of a mark says how it stands', [
    ORDER,
    column('tickKey', 'id', 'made by who ticked'),
    RUN,
    column('mark', 'text', 'what was ticked: pack | bag | fibre'),
    column('isDone', 'yesNo', 'ticked, or taken back'),
    column('massMg', 'whole', 'what was to be weighed, milligrams'),
    column('weighedMg', 'whole', 'what the scale showed, milligrams; null: weighed by hand', {
      canBeNull: true,
    }),
    column('lotId', 'text', 'of which lot it was', { canBeNull: true }),
    column('scale', 'text', 'on which scale', { canBeNull: true }),
    column('device', 'text', 'from which device', { canBeNull: true }),
    column('deviceKey', 'text', 'the key that device made for itself', { canBeNull: true }),
    AT,
  ]),
  sheet('needle-taps', 'needle_tap', 'Needles counted out and in', [
    ORDER,
    column('tapKey', 'id', 'made by who counted'),
    RUN,
    column('needleId', 'id', 'the needle', { refersTo: 'item' }),
    column('pile', 'text', 'out, in, broken, sold, missing or given-up'),
    column('amount', 'whole', 'needles; below nothing: fewer'),
    column('note', 'text', 'in words'),
    column('device', 'text', 'from which device', { canBeNull: true }),
    column('deviceKey', 'text', 'the key that device made for itself', { canBeNull: true }),
    AT,
  ]),
  sheet('class-events', 'class_event', 'What happened in classes, act by act', [
    ORDER,
    column('eventKey', 'id', 'made by who did it'),
    RUN,
    column('at', 'moment', 'when it was done; ISO 8601, UTC'),
    column('seen', 'whole', 'the last of these that the device knew of'),
    column('device', 'text', 'from which device'),
    column('deviceKey', 'id', 'the key that device made for itself'),
    column('what', 'document', 'what was done'),
    column('cameAt', 'moment', 'when the studio had it; ISO 8601, UTC'),
  ]),
  sheet(
    'needle-closings',
    'needle_closing',
    'Counts of needles that are closed, and what the needles went through',
    [
      RUN,
      column('needleId', 'id', 'the needle', { refersTo: 'item' }),
      column('exposureMinutes', 'number', 'minutes in hands'),
      AT,
    ],
    { order: 'run_id, needle_id' },
  ),
  sheet('history', 'history', 'What patterns, runs and things of the shelf were before their changes', [
    ORDER,
    column('kind', 'text', 'pattern, run or item'),
    column('thingId', 'id', 'the pattern, run or thing'),
    VERSION,
    column('at', 'moment', 'from when it was so; ISO 8601, UTC'),
    column('livedMs', 'whole', 'for how long, milliseconds'),
    column('isLost', 'yesNo', 'it never was: somebody else was first'),
    column('document', 'document', 'as it was', { isPacked: true }),
  ]),
] as const;

const BUYING_SHEETS = [
  sheet('orders', 'purchase_order', 'What was ordered of suppliers, and what has come of it', [
    ID,
    VERSION,
    column('isOpen', 'yesNo', 'something of it may still come'),
    CREATED,
    UPDATED,
    column('document', 'document', 'the order'),
  ]),
  sheet('cutting-plans', 'cutting_plan', 'How sticks and sheets are cut, and what of it is done', [
    ID,
    VERSION,
    column('isOpen', 'yesNo', 'it is still wanted'),
    CREATED,
    UPDATED,
    column('document', 'document', 'the plan'),
  ]),
  sheet('shelf/offcuts', 'offcut', 'Pieces of known size among what is on hand', [
    ID,
    ITEM,
    column('lengthMm', 'number', 'millimetres'),
    column('widthMm', 'number', 'millimetres; 0: it is cut by length alone'),
    CREATED,
    column('goneAt', 'moment', 'since when it is cut up; ISO 8601, UTC', { canBeNull: true }),
  ]),
  sheet(
    'settings',
    'setting',
    'What the maker says of her days and her ways',
    [column('name', 'text', 'what it is about'), column('document', 'document', 'what she says'), UPDATED],
    { order: 'name' },
  ),
  sheet(
    'shelf/levels',
    'stock_level',
    'Below how much a thing runs low',
    [ITEM, column('leastMilli', 'whole', 'thousandths of the thing’s unit')],
    { order: 'item_id' },
  ),
] as const;

const LOGBOOK_SHEETS = [
  sheet('makings', 'making', 'Figures that were made, as they were written down', [
    ID,
    VERSION,
    column('title', 'text', 'what it is called'),
    column('date', 'day', 'YYYY-MM-DD'),
    CREATED,
    UPDATED,
    DELETED,
    column('document', 'document', 'the file of it', { isApart: true }),
    column('build', 'document', 'the file of the pattern it is of, as it was chosen and sized then', {
      isApart: true,
      canBeNull: true,
    }),
  ]),
  sheet('commissions', 'commission', 'Who asked for what, by when, and what was agreed', [
    ID,
    VERSION,
    column('title', 'text', 'what is wanted'),
    column('askedOn', 'day', 'YYYY-MM-DD'),
    CREATED,
    UPDATED,
    DELETED,
    column('document', 'document', 'the file of it', { isApart: true }),
  ]),
  sheet(
    'takings',
    'takings',
    'What came in for a class or a batch of kits',
    [RUN, column('minor', 'whole', 'minor units of the studio’s currency'), AT],
    { order: 'run_id' },
  ),
  sheet('learnt', 'learnt', 'What was learnt of them and taken; the last is in force', [
    ORDER,
    column('takenAt', 'moment', 'ISO 8601, UTC'),
    column('document', 'document', 'the factors, and what they rest on'),
  ]),
  sheet(
    'evidence-choices',
    'evidence_choice',
    'What of what was weighed is left out, or odd and meant so; what was asked and is worked off',
    [
      column('evidenceId', 'text', 'the making or run, and where in it'),
      column('choice', 'text', 'left-out, meant, or of a question done'),
      AT,
    ],
    { order: 'evidence_id' },
  ),
] as const;

/** Everything of a studio, in an order in which each names only what stands before it. */
export const SHEETS: readonly Sheet[] = [
  ...ITEM_SHEETS,
  ...SHELF_SHEETS,
  ...WRITING_SHEETS,
  ...RUN_SHEETS,
  ...BUYING_SHEETS,
  ...LOGBOOK_SHEETS,
];
