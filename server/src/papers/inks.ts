/** What is printed in: dark, quieter, and hairlines. */
export const INK = '#1d2733';
export const QUIET = '#55616d';
export const LINE = '#8a9299';
