import { percentOf } from '../base/index.ts';
import { isColour, type SpareRule } from '../shelf/index.ts';

/** How numbers are written in a file. */
export interface CsvStyle {
  readonly decimal: '.' | ',';
}

type CellReading =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly wanted: string };

/** How one kind of value stands in a cell. An empty cell reads as what `empty` says. */
export interface Codec {
  readonly read: (cell: string, style: CsvStyle) => CellReading;
  readonly write: (value: unknown) => string;
}

const good = (value: unknown): CellReading => ({ ok: true, value });
const wanted = (what: string): CellReading => ({ ok: false, wanted: what });

/** A word or number as it stands. */
const plain = (value: unknown): string => String(value);

export const text: Codec = { read: (cell) => good(cell), write: plain };

export const neededText: Codec = {
  read: (cell) => (cell === '' ? wanted('a name') : good(cell)),
  write: plain,
};

/** Several names in one cell, between semicolons. */
export const list: Codec = {
  read: (cell) =>
    good(
      cell
        .split(';')
        .map((word) => word.trim())
        .filter((word) => word !== ''),
    ),
  write: (value) => (value as readonly string[]).join('; '),
};

/** Empty is unknown. */
export const numberOrUnknown: Codec = {
  read: (cell, style) => (cell === '' ? good(null) : readNumber(cell, style)),
  write: (value) => (value === null ? '' : plain(value)),
};

export const number: Codec = {
  read: (cell, style) => (cell === '' ? wanted('a number') : readNumber(cell, style)),
  write: plain,
};

/** Written in whole units (4.20), kept in minor ones (420). */
export const moneyOrUnknown: Codec = {
  read: (cell, style) => (cell === '' ? good(null) : toMinor(readNumber(cell, style))),
  write: (value) => (value === null ? '' : ((value as number) / 100).toFixed(2)),
};

export const money: Codec = {
  read: (cell, style) => (cell === '' ? wanted('a price') : toMinor(readNumber(cell, style))),
  write: (value) => ((value as number) / 100).toFixed(2),
};

export const yesNo: Codec = {
  read: (cell) => {
    const word = cell.toLowerCase();
    if (['yes', 'y', 'true', '1'].includes(word)) return good(true);
    if (['no', 'n', 'false', '0', ''].includes(word)) return good(false);
    return wanted('yes or no');
  },
  write: (value) => (value === true ? 'yes' : 'no'),
};

export const yesNoOrUnknown: Codec = {
  read: (cell) => (cell === '' ? good(null) : yesNo.read(cell, { decimal: '.' })),
  write: (value) => (value === null ? '' : yesNo.write(value)),
};

export const colour: Codec = {
  read: (cell) => (isColour(cell) ? good(cell.toLowerCase()) : wanted('a colour such as #6b7f3a')),
  write: plain,
};

export const colourOrUnknown: Codec = {
  read: (cell, style) => (cell === '' ? good(null) : colour.read(cell, style)),
  write: (value) => (value === null ? '' : plain(value)),
};

/** One of a few, by its word or its key. */
export function oneOfWords<T extends string>(words: Readonly<Record<T, string>>): Codec {
  const keys = Object.keys(words) as T[];
  const find = (cell: string) => {
    const word = cell.trim().toLowerCase();
    return keys.find((key) => key === word || words[key].toLowerCase() === word);
  };
  return {
    read: (cell) => {
      const key = find(cell);
      return key === undefined
        ? wanted(`one of: ${keys.map((wordKey) => words[wordKey]).join(', ')}`)
        : good(key);
    },
    write: (value) => words[value as T],
  };
}

export function orUnknownCell(codec: Codec): Codec {
  return {
    read: (cell, style) => (cell === '' ? good(null) : codec.read(cell, style)),
    write: (value) => (value === null ? '' : codec.write(value)),
  };
}

/** Several of a few, between semicolons. */
export function manyOfWords<T extends string>(words: Readonly<Record<T, string>>): Codec {
  const codec = oneOfWords(words);
  return {
    read: (cell, style) => {
      const readings = (cell === '' ? [] : cell.split(';')).map((part) => codec.read(part.trim(), style));
      const bad = readings.find((reading) => !reading.ok);
      return bad ?? good(readings.map((reading) => (reading.ok ? reading.value : null)));
    },
    write: (value) => (value as readonly T[]).map((key) => words[key]).join('; '),
  };
}

/** Plain numbers, in the file's own decimal sign; the other one only where it parts thousands. */
function readNumber(cell: string, { decimal }: CsvStyle): CellReading {
  const bare = cell.replaceAll(/[\s\u00a0\u202f]/g, '');
  const thousands = decimal === ',' ? /^\d{1,3}(\.\d{3})+(,\d+)?$/ : /^\d{1,3}(,\d{3})+(\.\d+)?$/;
  const plain = thousands.test(bare) ? bare.replaceAll(decimal === ',' ? '.' : ',', '') : bare;
  const form = decimal === ',' ? /^-?\d*,?\d+$/ : /^-?\d*\.?\d+$/;
  return form.test(plain) ? good(Number(plain.replace(',', '.'))) : wanted('a number');
}

const toMinor = (reading: CellReading): CellReading =>
  reading.ok ? good(Math.round((reading.value as number) * 100)) : reading;

const SPARES_SAID = /^(\d+)\s*(?:a|per)\s*(pack|table|run)$/i;

/** How many spares are kept: `none`, `2 a table`, `1 a pack`, `3 a run`, `10 %`; nothing: as is usual. */
export const sparesOrUnknown: Codec = {
  read: (cell) => {
    const text = cell.trim().toLowerCase();
    if (text === '') return good(null);
    if (text === 'none') return good({ by: 'none' });
    const match = SPARES_SAID.exec(text);
    if (match) return good({ by: match[2], count: Number(match[1]) });
    const share = /^(\d+(?:\.\d+)?)\s*%$/.exec(text);
    return share
      ? good({ by: 'share', fraction: Number(share[1]) / 100 })
      : wanted('spares such as “2 a table”, “1 a pack”, “10 %” or “none”');
  },
  write: (value) => {
    const rule = value as SpareRule | null;
    if (rule === null) return '';
    if (rule.by === 'none') return 'none';
    return rule.by === 'share' ? `${percentOf(rule.fraction)} %` : `${rule.count} a ${rule.by}`;
  },
};

/** Cheaper by the number: `5: 3.50; 10: 3.20` are packs and the price of each from so many on. */
export const priceBreaks: Codec = {
  read: (cell, style) => {
    const parts = cell.split(';').filter((part) => part.trim() !== '');
    const breaks = parts.map((part) => {
      const [from = '', price = ''] = part.split(':').map((side) => side.trim());
      const minor = money.read(price, style);
      return /^\d+$/.test(from) && minor.ok ? { fromPacks: Number(from), priceMinor: minor.value } : null;
    });
    return breaks.includes(null) ? wanted('prices by the number, such as “5: 3.50; 10: 3.20”') : good(breaks);
  },
  write: (value) =>
    ((value ?? []) as readonly { readonly fromPacks: number; readonly priceMinor: number }[])
      .map(({ fromPacks, priceMinor }) => `${fromPacks}: ${money.write(priceMinor)}`)
      .join('; '),
};
