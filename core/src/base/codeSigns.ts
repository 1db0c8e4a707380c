/**
 * Signs of every code that people read and type: capital letters and digits alone, which a QR sets small; no two that look alike
 * on a label or a screen (neither 0 and O nor 1, I and L); no U, so that no word comes of it.
 */
export const CODE_SIGNS = '23456789ABCDEFGHJKMNPQRSTVWXYZ';

/** What somebody typed as it is held against a code: small letters, gaps, hyphens and points are theirs. */
export const bareCode = (text: string): string => text.toUpperCase().replaceAll(/[\s\-–—_.]/g, '');

export const isOfCodeSigns = (code: string): boolean => [...code].every((sign) => CODE_SIGNS.includes(sign));
