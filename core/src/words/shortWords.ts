import type { NamedShort } from '../api/index.ts';
import type { ThingShort } from '../run/index.ts';
import { type Finding, needleName } from '../shelf/index.ts';
import { wantedName } from './needleWords.ts';
import { needName } from './writingWords.ts';

/** Something beside wool that is short, by its name. @param findings of the shelf, by id */
export function nameOfShort(thing: ThingShort, findings: ReadonlyMap<string, Finding>): NamedShort {
  const { unit, short } = thing;
  switch (thing.kind) {
    case 'finding': {
      const name = findings.get(thing.findingId)?.name ?? 'a finding no longer on the shelf';
      return { itemId: thing.findingId, name, unit, short, putUps: thing.putUps };
    }
    case 'needle': {
      const { needle, wanted } = thing;
      const name = `${needle ? needleName(needle) : wantedName(wanted)} needles`;
      return { itemId: needle?.id ?? null, name, unit, short, putUps: null };
    }
    case 'holder':
      return { itemId: thing.tool.id, name: thing.tool.name, unit, short, putUps: null };
    case 'tool': {
      const { tool } = thing;
      return { itemId: tool.tools[0]?.id ?? null, name: needName(tool), unit, short, putUps: null };
    }
  }
}
