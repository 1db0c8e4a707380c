/** Ids of a start’s parts and joins follow from their names: they are the author’s own from the first minute. */
export const startId = (name: string): string => name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');

export const joinId = (partName: string, hostName: string): string =>
  `${startId(partName)}-to-${startId(hostName)}`;
