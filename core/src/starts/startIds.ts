/** Room for two of them in the id of a join. */
const LONGEST = 16;

/** Ids of a start’s parts and joins follow from their names: they are the author’s own from the first minute. */
export const startId = (name: string): string =>
  name
    .toLowerCase()
    // A name in any script has an id of its own.
    .replaceAll(/[^\p{L}\p{N}]+/gu, '-')
    .replaceAll(/[^a-z0-9-]/gu, (letter) => `u${letter.codePointAt(0)?.toString(16)}`)
    .slice(0, LONGEST);

export const joinId = (partName: string, hostName: string): string =>
  `${startId(partName)}-to-${startId(hostName)}`;
