import { lightness } from '@lanakit/core/shelf';

/** From this CIE L* on dark letters are read better than pale ones. */
const PALE_L = 55;

/** Letters that are read on a colour. */
export const inkOn = (colour: string): string => (lightness(colour) >= PALE_L ? '#14202a' : '#ffffff');
