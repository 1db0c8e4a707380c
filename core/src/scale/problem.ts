/** Why a line of a scale was not taken. */
export type LineFault = 'unknown' | 'number' | 'too_long' | 'version';
