/** How far a run is, in order. */
export const RUN_STATES = ['planned', 'bought', 'weighed', 'packed', 'done'] as const;
export type RunState = (typeof RUN_STATES)[number];
