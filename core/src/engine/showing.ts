import { isWool, type Part, type Use } from '../pattern/index.ts';
import type { Wool } from './wool.ts';

/** Colours that show, or null for one that nobody has said. */
export type Colours = readonly (string | null)[];

const colourOf = (fibreId: string | null, { fibres }: Wool): string | null =>
  fibreId === null ? null : (fibres.get(fibreId)?.colour ?? null);

/** What shows once this use is laid over what showed before: all of it hidden, or its own colour beside. */
function showingAfter(before: Colours, use: Use, wool: Wool): Colours {
  if (use.role === 'core') return [colourOf(use.fibreId, wool)];
  if (use.role === 'coat' && use.cover.kind === 'all' && use.thickness.by !== 'shading')
    return [colourOf(use.fibreId, wool)];
  // Hair and details hide nothing that a coat would have to hide again.
  return use.role === 'coat' || use.role === 'patch' ? [...before, colourOf(use.fibreId, wool)] : before;
}

/** What shows beneath each use of a part, by the use’s place. */
export function showingBeneath(part: Part, wool: Wool): Colours[] {
  let showing: Colours = [];
  return part.uses.map((use) => {
    const beneath = showing;
    showing = showingAfter(showing, use, wool);
    return beneath;
  });
}

/** What shows of a finished part. */
export const showingOutside = (part: Part, wool: Wool): Colours =>
  part.uses.reduce<Colours>((before, use) => showingAfter(before, use, wool), []);

/** The use whose fibre a part is seen in: the last that hides what is beneath it. */
export function outermostUse(part: Part): Use | null {
  const hides = ({ role }: Use, use: Use) =>
    role === 'core' || (use.role === 'coat' && use.cover.kind === 'all' && use.thickness.by !== 'shading');
  const wool = part.uses.filter(isWool);
  return wool.filter((use) => hides(use, use)).at(-1) ?? wool.at(-1) ?? null;
}
