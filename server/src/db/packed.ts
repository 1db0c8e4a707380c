import { deflateRawSync, inflateRawSync } from 'node:zlib';

/** JSON as it is kept where much of it is and little of it is asked for: deflated. @param level of effort, 1 to 9 */
export const packed = (text: string, level = 6): Buffer => deflateRawSync(text, { level });

export const unpacked = (bytes: Buffer): string => inflateRawSync(bytes).toString('utf8');
